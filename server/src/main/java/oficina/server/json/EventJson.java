package oficina.server.json;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.Arrays;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import oficina.core.call.Party;
import oficina.core.exchange.ExchangeEvent;
import tools.jackson.databind.json.JsonMapper;

/** The exchange's events as JSON, one object each, as they stand in the journal. */
public final class EventJson {
  private static final Map<String, Class<?>> TYPES =
      Arrays.stream(ExchangeEvent.class.getPermittedSubclasses())
          .collect(Collectors.toMap(Class::getSimpleName, Function.identity()));

  /** Which kind of party it is stands in the property {@code is}. */
  @JsonTypeInfo(use = JsonTypeInfo.Id.SIMPLE_NAME, property = "is")
  @JsonIgnoreProperties(ignoreUnknown = true)
  private interface PartyKind {}

  private static final JsonMapper JSON =
      JsonMapper.builder()
          .addMixIn(Party.class, PartyKind.class)
          .registerSubtypes(Party.class.getPermittedSubclasses())
          .build();

  private EventJson() {}

  public static String type(ExchangeEvent event) {
    return event.getClass().getSimpleName();
  }

  public static String write(ExchangeEvent event) {
    return JSON.writeValueAsString(event);
  }

  public static ExchangeEvent read(String type, String body) {
    return (ExchangeEvent) JSON.readValue(body, TYPES.get(type));
  }

  /** For other values that speak of parties. */
  public static JsonMapper json() {
    return JSON;
  }
}
