package oficina.server.api;

import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import oficina.core.handset.Panel;
import oficina.server.desk.CallBackView;
import oficina.server.desk.CallView;
import oficina.server.desk.LeavingView;
import oficina.server.desk.LineUseView;
import oficina.server.desk.OthersCallView;
import oficina.server.push.NoticeView;
import oficina.server.push.Push;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The description of the HTTP API, from which the pages' types are generated. */
@Configuration
class ApiDescription {

  /**
   * Wherever it was asked: otherwise the address of whoever asks would be in it from the second
   * time.
   */
  @Bean
  OpenAPI here() {
    return new OpenAPI().servers(List.of(new Server().url("/")));
  }

  @Bean
  OpenApiCustomizer complete() {
    return api -> {
      api.info(
          new Info()
              .title("Oficina")
              .version("1")
              .description(
                  "Sign in at /api/session, then send its cookies; requests that change something"
                      + " repeat the cookie XSRF-TOKEN in the header X-XSRF-TOKEN. Problems are"
                      + " RFC 9457 documents with a code and what it speaks of. The WebSocket /api/push tells"
                      + " what changes, as Push: of each topic the data that its description names."));
      describePushes(api);
      requireWhatIsAlwaysThere(api);
    };
  }

  /** What only the WebSocket sends is described with the rest. */
  private static void describePushes(OpenAPI api) {
    for (Class<?> type :
        List.of(
            Push.class,
            CallView.class,
            CallBackView.class,
            LeavingView.class,
            OthersCallView.class,
            LineUseView.class,
            Push.Board.class,
            Push.Service.class,
            Push.Speaking.class,
            NoticeView.class,
            Panel.class)) {
      ModelConverters.getInstance().readAll(type).forEach(api.getComponents()::addSchemas);
    }
  }

  /** What is not marked as possibly absent is always there. */
  private static void requireWhatIsAlwaysThere(OpenAPI api) {
    Map<String, Schema> schemas = new TreeMap<>(api.getComponents().getSchemas());
    api.getComponents().setSchemas(schemas);
    // Which are required first, for all: schemas share those of their properties.
    for (Schema<?> schema : schemas.values()) {
      if (schema.getProperties() != null) {
        List<String> required = new ArrayList<>();
        schema
            .getProperties()
            .forEach(
                (name, property) -> {
                  if (!Boolean.TRUE.equals(property.getNullable())) {
                    required.add(name);
                  }
                });
        schema.setRequired(required);
      }
    }
    for (Schema<?> schema : schemas.values()) {
      schema.setNullable(null); // only a use of it can be absent
      if (schema.getProperties() != null) {
        schema.getProperties().values().forEach(ApiDescription::forgetNullable);
      }
    }
  }

  private static void forgetNullable(Schema<?> property) {
    property.setNullable(null);
    if (property.getItems() != null) {
      property.getItems().setNullable(null);
    }
  }
}
