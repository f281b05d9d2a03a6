package oficina.server.door;

import org.springframework.stereotype.Component;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.module.SimpleModule;

/** No request brings in a text that is not well-formed or holds control characters. */
@Component
class TextModule extends SimpleModule {
  private static final long serialVersionUID = 1;

  TextModule() {
    super("texts");
    addDeserializer(String.class, new Checked());
  }

  private static final class Checked extends StdScalarDeserializer<String> {
    Checked() {
      super(String.class);
    }

    @Override
    public String deserialize(JsonParser parser, DeserializationContext context) {
      String text = parser.getValueAsString();
      if (text == null) {
        return (String) context.handleUnexpectedToken(String.class, parser);
      }
      if (!Texts.allowed(text)) {
        throw context.weirdStringException(text, String.class, "not a text");
      }
      return text;
    }
  }
}
