package oficina.server.json;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import oficina.core.call.Party;
import oficina.core.history.Part;
import oficina.core.routing.Way;
import oficina.core.rules.CallRules;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.ObjectReader;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;

/**
 * Values of core as JSON, as they are stored. The names stand here and nowhere else, so that a
 * class can be renamed without anything stored becoming unreadable.
 */
public final class CoreJson {
  private CoreJson() {}

  /** Which kind it is stands in the property {@code is}. */
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "is")
  @JsonIgnoreProperties(ignoreUnknown = true)
  private interface Kind {}

  public static final JsonMapper JSON =
      JsonMapper.builder()
          .addMixIn(Party.class, Kind.class)
          .addMixIn(Way.Step.class, Kind.class)
          .registerSubtypes(
              new NamedType(Party.Employee.class, "Employee"),
              new NamedType(Party.Outside.class, "Outside"),
              new NamedType(Party.Members.class, "Members"),
              new NamedType(Party.Emergency.class, "Emergency"),
              new NamedType(Party.Slot.class, "Slot"),
              new NamedType(Party.Nobody.class, "Nobody"),
              new NamedType(Party.Mailbox.class, "Mailbox"),
              new NamedType(Party.Attendant.class, "Attendant"),
              new NamedType(Party.Welcome.class, "Welcome"),
              new NamedType(Party.Queue.class, "Queue"),
              new NamedType(Way.To.class, "To"),
              new NamedType(Way.FrontDesk.class, "FrontDesk"),
              new NamedType(Way.WaitOn.class, "WaitOn"),
              new NamedType(Way.ToMailbox.class, "ToMailbox"),
              new NamedType(Way.NextRing.class, "NextRing"),
              new NamedType(Way.ByRules.class, "ByRules"))
          .build();

  /** Reads what has been decided about calls, the oldest of which knows of no welcome. */
  public static final ObjectReader CALL_RULES =
      JSON.readerFor(CallRules.class).without(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES);

  /** Reads entries of the history, of which the oldest know nothing of recordings. */
  public static final ObjectReader PART =
      JSON.readerFor(Part.class).without(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES);
}
