package oficina.server.door;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.function.Function;
import org.springframework.format.FormatterRegistry;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.module.SimpleModule;

/** No request brings in a time that is out of this world, in its body or its address. */
@Component
class MomentModule extends SimpleModule implements WebMvcConfigurer {
  private static final long serialVersionUID = 1;

  MomentModule() {
    super("moments");
    addDeserializer(Instant.class, new Checked<>(Instant.class, Moments::instant));
    addDeserializer(LocalDate.class, new Checked<>(LocalDate.class, Moments::day));
  }

  @Override
  public void addFormatters(FormatterRegistry registry) {
    registry.addConverter(String.class, Instant.class, Moments::instant);
    registry.addConverter(String.class, LocalDate.class, Moments::day);
  }

  private static final class Checked<T> extends StdScalarDeserializer<T> {
    private final transient Function<String, T> read;

    Checked(Class<T> kind, Function<String, T> read) {
      super(kind);
      this.read = read;
    }

    @Override
    @SuppressWarnings("unchecked")
    public T deserialize(JsonParser parser, DeserializationContext context) {
      String text = parser.getValueAsString();
      if (text == null) {
        return (T) context.handleUnexpectedToken(handledType(), parser);
      }
      try {
        return read.apply(text);
      } catch (DateTimeException e) {
        throw context.weirdStringException(text, handledType(), "not a time");
      }
    }
  }
}
