package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The pages' types are generated from a file; it must be what the server says of itself. */
@ExtendWith(TestServer.class)
class ApiDescriptionTest {
  private static final Path FILE = Path.of("../web/src/api/openapi.json");

  @Test
  void the_file_in_the_sources_is_the_description_of_this_server() throws IOException {
    new Client(TestServer.get().address()).get("/api/description"); // the same each time
    String now =
        JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build()
            .writeValueAsString(
                new Client(TestServer.get().address()).get("/api/description").body());
    String write = System.getProperty("oficina.api.write");
    if (write != null) {
      Files.writeString(Path.of(write), now + "\n");
    }
    JsonMapper json = new JsonMapper();
    assertThat(json.readTree(Files.readString(FILE)))
        .as("run ./oficina api after a change of the HTTP API")
        .isEqualTo(json.readTree(now));
  }
}
