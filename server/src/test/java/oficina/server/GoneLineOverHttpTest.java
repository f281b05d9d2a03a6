package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A line that is taken away, and what becomes of everything that counts on it. */
class GoneLineOverHttpTest {
  private static final String LINES = "/api/office/lines";

  private static long make(Client mirela, String name, String extension, long member) {
    Map<String, Object> line =
        Map.of(
            "name",
            name,
            "extension",
            extension,
            "number",
            "",
            "members",
            List.of(member),
            "ringSeconds",
            20,
            "mailbox",
            true);
    return mirela.post(LINES, line).done().get("id").asLong();
  }

  private static Map<String, Object> leadingTo(String dial) {
    Map<String, Object> anybody =
        Map.of(
            "kind", "ANYBODY", "people", List.of(), "numbers", List.of(), "companies", List.of());
    Map<String, Object> rule =
        Map.of(
            "id",
            0,
            "when",
            "NO_ANSWER",
            "callers",
            anybody,
            "to",
            Map.of("kind", "DIAL", "dial", dial));
    return Map.of(
        "rules", List.of(rule), "rings", List.of(), "delegates", List.of(), "welcome", false);
  }

  private static long me(Client who) {
    return who.get("/api/session").done().get("id").asLong();
  }

  @Test
  void what_counts_on_it_and_what_waits_there_goes_to_the_line_that_takes_its_place() {
    try (Client mirela = Client.withoutPage(TestServer.get().address(), "mirela");
        Client tomasz = Client.signedIn("tomasz");
        Client lotte = Client.signedIn("lotte");
        Client joss = Client.signedIn("joss")) {
      long evening = make(mirela, "Evening watch", "386", me(tomasz));
      long morning = make(mirela, "Morning watch", "387", me(tomasz));
      String path = LINES + "/" + evening;
      assertThat(lotte.put("/api/rules", leadingTo("386")).status()).isEqualTo(204);
      joss.call("386");
      tomasz.awaitCall("RINGING");
      assertThat(mirela.delete(path + "?instead=" + morning).code()).isEqualTo("LINE_IN_USE");
      joss.hangUp();
      tomasz.awaitNoCalls();
      JsonNode needed = mirela.get(path + "/needed").done();
      assertThat(needed.get("toReturn").asInt()).isEqualTo(1);
      assertThat(needed.get("dependants").get(0).get("name").asString()).isEqualTo("Lotte Penrose");
      assertThat(mirela.delete(path).code()).isEqualTo("LINE_NEEDED");
      assertThat(mirela.delete(path + "?instead=" + evening).code())
          .isEqualTo("LINE_INSTEAD_OF_ITSELF");
      assertThat(mirela.delete(path + "?instead=999").code()).isEqualTo("NO_SUCH_LINE");

      assertThat(mirela.delete(path + "?instead=" + morning).status()).isEqualTo(204);
      assertThat(mirela.get(path + "/needed").code()).isEqualTo("NO_SUCH_LINE");
      JsonNode to = lotte.get("/api/rules").body().get("rules").get(0).get("to");
      assertThat(to.toString()).contains("Morning watch");
      assertThat(tomasz.get("/api/to-call-back").body().toString())
          .contains("Joss Ardley")
          .contains("Morning watch");
      assertThat(tomasz.get("/api/history").body().get("entries").get(0).get("line").asString())
          .as("what it was called then")
          .isEqualTo("Evening watch");
      assertThat(joss.get("/api/find?text=386").body().has("group")).isFalse();
      long again = make(mirela, "Another one", "386", me(tomasz));
      assertThat(mirela.delete(LINES + "/" + again).status())
          .as("nobody counts on it")
          .isEqualTo(204);
      lotte.put(
          "/api/rules",
          Map.of("rules", List.of(), "rings", List.of(), "delegates", List.of(), "welcome", false));
      joss.call("387");
      tomasz.service(tomasz.awaitCall("RINGING").get("id").asString(), "answer");
      tomasz.awaitCall("TALKING");
      joss.hangUp();
      tomasz.awaitNoCalls();
      assertThat(mirela.delete(LINES + "/" + morning).status())
          .as("whoever called has been spoken with")
          .isEqualTo(204);
    }
  }
}
