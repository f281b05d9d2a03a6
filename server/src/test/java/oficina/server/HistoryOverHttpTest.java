package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Entries of the history are found by words, one page after the other, and only one's own. */
@ExtendWith(TestServer.class)
class HistoryOverHttpTest {
  private final Client petra = Client.signedIn("petra");
  private final Client samir = Client.signedIn("samir");

  @BeforeEach
  void petra_calls() {
    for (String to : List.of("0151 496 0177", "0114 496 0155", "0151 496 0177", "223")) {
      petra.service(petra.call(to), "clear");
    }
    petra.service(petra.call("101"), "clear");
  }

  @AfterEach
  void end() {
    petra.close();
    samir.close();
  }

  private static List<String> found(Client who, String question) {
    List<String> names = new ArrayList<>();
    for (JsonNode entry : who.get("/api/history?" + question).body().get("entries")) {
      names.add(entry.get("other").get("name").asString());
    }
    return names;
  }

  private List<String> text(String text) {
    return found(petra, "text=" + URLEncoder.encode(text, StandardCharsets.UTF_8));
  }

  @Test
  void by_beginnings_of_words_in_any_order_and_parts_of_numbers() {
    assertThat(text("liverp")).containsOnly("0151 496 0177");
    assertThat(text("quayle sam")).containsOnly("Samir Quayle");
    assertThat(text("SAMIR freight")).containsOnly("Samir Quayle");
    assertThat(text("4960155")).containsOnly("0114 496 0155");
    assertThat(text("+44 114")).containsOnly("0114 496 0155");
    assertThat(text("60177")).containsOnly("0151 496 0177");
    assertThat(text("101")).containsOnly("101");
    assertThat(text("iverpool")).isEmpty();
    assertThat(text("liverpool sheffield")).isEmpty();
    assertThat(text("%")).isEmpty();
    assertThat(text("_")).isEmpty();
    assertThat(text(" ")).contains("101", "Samir Quayle");
  }

  @Test
  void with_a_filter_and_only_ones_own() {
    assertThat(found(samir, "filter=MISSED&text=petra")).isNotEmpty();
    assertThat(found(samir, "filter=RECEIVED&text=vance")).isNotEmpty();
    assertThat(found(samir, "filter=PLACED&text=petra")).isEmpty();
    assertThat(found(samir, "text=liverpool")).isEmpty();
  }

  @Test
  void entries_are_removed_for_oneself_alone_and_saved_as_a_file() {
    JsonNode latest = petra.get("/api/history").body().get("entries").get(0);
    long id = latest.get("id").asLong();
    Map<String, Object> chosen = Map.of("ids", List.of(id));
    assertThat(samir.post("/api/history/remove", chosen).status()).isEqualTo(204);
    assertThat(petra.get("/api/history/" + id).status()).as("only one's own").isEqualTo(200);
    String file = new String(samir.bytes("/api/history/file?ids=" + id).body());
    assertThat(file.lines()).as("only its head").hasSize(1);

    String mine = new String(petra.bytes("/api/history/file?ids=" + id).body());
    assertThat(mine.lines().toList().get(1)).contains("PLACED,101");
    String found = new String(petra.bytes("/api/history/file?filter=PLACED&text=samir").body());
    assertThat(found).contains("Samir Quayle").doesNotContain("0151");
    assertThat(petra.post("/api/history/remove", chosen).status()).isEqualTo(204);
    assertThat(petra.get("/api/history/" + id).status()).isEqualTo(404);
    assertThat(petra.post("/api/history/restore", chosen).status()).isEqualTo(204);
    assertThat(petra.get("/api/history/" + id).status()).isEqualTo(200);
    petra.post("/api/history/remove", chosen);
    TestServer.get().clock().advance(Duration.ofHours(25));
    try (Client later = Client.withoutPage(TestServer.get().address(), "petra")) {
      later.post("/api/history/remove", Map.of("ids", List.of(1)));
      later.post("/api/history/restore", chosen);
      assertThat(later.get("/api/history/" + id).status()).as("gone for good").isEqualTo(404);
      assertThat(later.post("/api/history/remove", Map.of("ids", List.of())).status())
          .isEqualTo(422);
    }
  }

  @Test
  void page_by_page_none_twice_and_none_left_out() {
    for (int i = 0; i < 55; i++) { // more than a page has
      petra.service(petra.call("0151 496 0177"), "clear");
    }
    for (String question :
        List.of("", "text=liverpool", "filter=PLACED", "filter=PLACED&text=0151")) {
      List<Long> seen = new ArrayList<>();
      String before = "";
      do {
        JsonNode page = petra.get("/api/history?" + question + "&before=" + before).body();
        page.get("entries").forEach(entry -> seen.add(entry.get("id").asLong()));
        before = URLEncoder.encode(page.path("next").asString(""), StandardCharsets.UTF_8);
      } while (!before.isEmpty());
      assertThat(seen).as(question).doesNotHaveDuplicates().hasSizeGreaterThan(55);
      assertThat(seen).isSortedAccordingTo((a, b) -> Long.compare(b, a));
    }
  }
}
