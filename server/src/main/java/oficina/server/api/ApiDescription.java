package oficina.server.api;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The description of the HTTP API, from which the pages' types are generated. */
@Configuration
class ApiDescription {

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
                      + " RFC 9457 documents with a code and a sentence."));
      api.setServers(List.of());
      requireWhatIsAlwaysThere(api);
    };
  }

  /** What is not marked as possibly absent is always there. */
  private static void requireWhatIsAlwaysThere(OpenAPI api) {
    Map<String, Schema> schemas = new TreeMap<>(api.getComponents().getSchemas());
    api.getComponents().setSchemas(schemas);
    for (Schema<?> schema : schemas.values()) {
      schema.setNullable(null); // only a use of it can be absent
      if (schema.getProperties() == null) {
        continue;
      }
      List<String> required = new ArrayList<>();
      schema
          .getProperties()
          .forEach(
              (name, property) -> {
                if (!Boolean.TRUE.equals(property.getNullable())) {
                  required.add(name);
                }
                property.setNullable(null);
                if (property.getItems() != null) {
                  property.getItems().setNullable(null);
                }
              });
      schema.setRequired(required);
    }
  }
}
