package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Whoever reloads a view, or keeps its address, gets it. */
@ExtendWith(TestServer.class)
class PagesTest {
  private static final Pattern ROUTE = Pattern.compile("<Route path=\"(/[a-z/]+)\"");

  @Test
  void every_view_has_an_address_of_its_own() throws IOException {
    String app = Files.readString(Path.of("../web/src/App.tsx"));
    List<String> views = ROUTE.matcher(app).results().map(each -> each.group(1)).toList();
    assertThat(views).hasSizeGreaterThan(3);
    try (Client stranger = new Client(TestServer.get().address())) {
      for (String view : views) {
        assertThat(new String(stranger.bytes(view).body())).as(view).contains("<div id=\"root\"");
      }
    }
  }
}
