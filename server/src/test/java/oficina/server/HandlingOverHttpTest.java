package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** How the office wants calls handled. */
class HandlingOverHttpTest {
  private static final String PATH = "/api/office/handling";

  private static ObjectNode with(ObjectNode handling, String... barred) {
    ObjectNode copy = handling.deepCopy();
    ArrayNode all = copy.putArray("barred");
    List.of(barred).forEach(all::add);
    return copy;
  }

  @Test
  void what_is_set_counts_at_once_is_logged_and_is_not_set_half() {
    try (Client mirela = Client.withoutPage(TestServer.get().address(), "mirela");
        Client tomasz = Client.signedIn("tomasz")) {
      JsonNode before = mirela.get(PATH).done();
      ObjectNode usual = (ObjectNode) before.get("handling");
      ObjectNode wanted = with(usual, "0909", "+351", "118").put("holdReminder", 45);
      assertThat(mirela.put(PATH, with(usual, "0909", "dear ones")).code())
          .isEqualTo("NUMBER_UNREADABLE");
      assertThat(mirela.put(PATH, usual.deepCopy().put("conferenceParties", 2)).status())
          .isEqualTo(422);
      assertThat(mirela.get(PATH).done()).isEqualTo(before);

      assertThat(mirela.put(PATH + "?version=" + before.get("version"), wanted).status())
          .isEqualTo(204);
      assertThat(mirela.get(PATH).done().get("handling")).isEqualTo(wanted);
      assertThat(mirela.put(PATH + "?version=" + before.get("version"), usual).code())
          .isEqualTo("CHANGED_MEANWHILE");
      JsonNode found = tomasz.get("/api/find?text=09098790123").body().get("dials").get(0);
      assertThat(found.get("problem").asString()).isEqualTo("NUMBER_BARRED");
      assertThat(tomasz.post("/api/calls", Map.of("to", "0909 879 0123", "device", "test")).code())
          .isEqualTo("NUMBER_BARRED");
      assertThat(tomasz.get("/api/find?text=118118").body().get("dials").get(0).toString())
          .contains("NUMBER_BARRED");
      assertThat(mirela.get("/api/office/log?text=barring").body().toString()).contains("+44909");
      String[] many =
          IntStream.range(0, 200).mapToObj(n -> "+3519100" + (1000 + n)).toArray(String[]::new);
      assertThat(mirela.put(PATH, with(usual, many)).status()).isEqualTo(204);
      assertThat(mirela.get(PATH).done().at("/handling/barred")).hasSize(200);
      assertThat(mirela.put(PATH, usual).status()).isEqualTo(204);
    }
  }

  @Test
  void lists_of_the_office_are_logged_with_what_was_there_before() {
    try (Client mirela = Client.withoutPage(TestServer.get().address(), "mirela")) {
      JsonNode usual = mirela.get("/api/outcomes").done();
      Map<String, Object> sold = Map.of("outcomes", List.of("Sold", "Lost"));
      assertThat(mirela.put("/api/office/outcomes", sold).status()).isEqualTo(204);
      assertThat(mirela.put("/api/office/outcomes", sold).status()).isEqualTo(204);
      JsonNode logged = mirela.get("/api/office/log?text=Sold").done();
      assertThat(logged.toString())
          .contains("outcomes")
          .contains("Sold, Lost")
          .contains(usual.get(0).asString());
      assertThat(logged.toString().split("Sold, Lost"))
          .as("the same again is no change")
          .hasSize(2);
      assertThat(mirela.put("/api/office/outcomes", Map.of("outcomes", usual)).status())
          .isEqualTo(204);
    }
  }

  @Test
  void whoever_was_exempt_and_has_left_keeps_nobody_from_changing_it() {
    try (Client mirela = Client.withoutPage(TestServer.get().address(), "mirela")) {
      ObjectNode usual = (ObjectNode) mirela.get(PATH).done().get("handling");
      Map<String, Object> joining =
          Map.of(
              "person",
              OfficeOverHttpTest.person("Wren Aske", "wren.aske", "398"),
              "password",
              "for the first time");
      long wren = mirela.post("/api/office/people", joining).done().get("id").asLong();
      ObjectNode exempting = usual.deepCopy();
      exempting.putArray("exempt").add(wren);
      assertThat(mirela.put(PATH, exempting).status()).isEqualTo(204);
      assertThat(mirela.delete("/api/office/people/" + wren).status()).isEqualTo(204);
      JsonNode shown = mirela.get(PATH).done();
      assertThat(shown.get("handling")).isEqualTo(usual);
      assertThat(
              mirela.put(PATH + "?version=" + shown.get("version"), shown.get("handling")).status())
          .isEqualTo(204);
    }
  }
}
