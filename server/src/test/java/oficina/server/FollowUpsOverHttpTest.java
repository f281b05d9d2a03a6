package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import oficina.server.office.OfficeData;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Notes, outcomes, follow-ups, and what is known of whoever calls again. */
@ExtendWith(TestServer.class)
class FollowUpsOverHttpTest {
  private static final String DOV = "0151 496 0177";

  private final Client lotte = Client.signedIn("lotte");
  private final Client joss = Client.signedIn("joss");
  private final Client celia = Client.signedIn("celia");

  @AfterEach
  void end() {
    for (Client each : List.of(lotte, joss, celia)) {
      for (JsonNode open : each.get("/api/follow-ups").body()) {
        each.put("/api/follow-ups/" + open.get("id").asLong() + "/done", Map.of("done", true));
      }
      each.hangUp();
      each.close();
    }
  }

  private static JsonNode known(Client who, String number) {
    return who.get("/api/known?number=" + number.replace(" ", "")).body();
  }

  private static long id(String name) {
    return TestServer.get().bean(OfficeData.class).directory().people().stream()
        .filter(person -> person.name().startsWith(name))
        .mapToLong(person -> person.id().value())
        .findFirst()
        .orElseThrow();
  }

  private static Map<String, Object> followUp(String call, String what, int inHours, String whose) {
    LocalDateTime due =
        LocalDateTime.ofInstant(TestServer.get().clock().instant(), ZoneId.of("Europe/London"))
            .plusHours(inHours)
            .truncatedTo(ChronoUnit.MINUTES);
    return Map.of("call", call, "what", what, "due", due.toString(), "assignee", id(whose));
  }

  @Test
  void a_note_is_kept_with_the_call_and_read_when_the_caller_calls_again() {
    String call = lotte.call(DOV);
    Map<String, Object> note = Map.of("title", "Two lorries", "text", "Wants the early boat.");
    assertThat(lotte.put("/api/calls/" + call + "/note", note).status()).isEqualTo(200);
    assertThat(joss.put("/api/calls/" + call + "/note", note).code()).isEqualTo("NO_SUCH_CALL");
    assertThat(joss.get("/api/calls/" + call + "/note").body().get("text").asString()).isEmpty();
    lotte.service(call, "clear");
    Map<String, Object> other =
        Map.of("title", "Two lorries", "text", "Wants the late boat.", "from", note);
    assertThat(lotte.put("/api/calls/" + call + "/note", other).status())
        .as("also afterwards")
        .isEqualTo(200);
    Map<String, Object> elsewhere =
        Map.of("title", "Two lorries", "text", "Wants the early boat. Pays cash.", "from", note);
    assertThat(lotte.put("/api/calls/" + call + "/note", elsewhere).body().get("text").asString())
        .as("written in another window meanwhile")
        .isEqualTo("Wants the late boat.\nWants the early boat. Pays cash.");

    joss.call(DOV);
    JsonNode known = known(joss, DOV);
    assertThat(known.get("notes").get(0).get("by").asString()).isEqualTo("Lotte Penrose");
    assertThat(known.get("notes").get(0).get("text").asString()).startsWith("Wants the late boat.");
    assertThat(known.get("calls").get(0).get("by").asString()).isEqualTo("Lotte Penrose");
    assertThat(known.get("calls").size()).isLessThanOrEqualTo(3);
    JsonNode noted = lotte.get("/api/history?filter=NOTED").body().get("entries").get(0);
    assertThat(noted.get("call").asString()).isEqualTo(call);
    assertThat(noted.get("noted").asBoolean()).isTrue();
  }

  @Test
  void what_a_colleague_has_to_do_with_a_contact_of_their_own_is_their_own_business() {
    String number = "07700 900209";
    JsonNode own =
        lotte
            .post(
                "/api/contacts",
                Map.of("own", true, "card", ContactsOverHttpTest.card("Ana", "", List.of(number))))
            .body();
    String call = lotte.call(number);
    lotte.put("/api/calls/" + call + "/note", Map.of("title", "Supper", "text", "At eight."));
    lotte.post("/api/follow-ups", followUp(call, "Buy fish", 2, "Lotte"));
    lotte.service(call, "clear");
    assertThat(known(lotte, number).get("notes")).hasSize(1);
    assertThat(known(lotte, number).get("followUps")).hasSize(1);
    for (String kind : List.of("calls", "notes", "followUps")) {
      assertThat(known(joss, number).get(kind)).as(kind).isEmpty();
    }
    lotte.delete("/api/contacts/" + own.get("row").get("id").asLong());
  }

  @Test
  void an_outcome_is_one_of_the_offices_list() {
    String call = lotte.call(DOV);
    lotte.service(call, "clear");
    String path = "/api/calls/" + call + "/outcome";
    assertThat(lotte.put(path, Map.of("outcome", "Whatever")).code()).isEqualTo("NO_SUCH_OUTCOME");
    String first = lotte.get("/api/outcomes").body().get(0).asString();
    assertThat(lotte.put(path, Map.of("outcome", first)).status()).isEqualTo(204);
    assertThat(joss.put(path, Map.of("outcome", first)).code()).isEqualTo("NO_SUCH_CALL");
    String found = "/api/history?outcome=" + first.replace(" ", "+");
    assertThat(lotte.get(found).body().get("entries").get(0).get("outcome").asString())
        .isEqualTo(first);
    assertThat(joss.get(found).body().get("entries")).isEmpty();
    assertThat(lotte.put("/api/office/outcomes", Map.of("outcomes", List.of("Sold"))).status())
        .as("for administrators")
        .isEqualTo(403);
  }

  @Test
  void a_follow_up_is_due_told_handed_on_and_done() {
    String call = lotte.call(DOV);
    assertThat(
            lotte.post("/api/follow-ups", followUp(call, "Send the timetable", 3, "Joss")).status())
        .isEqualTo(204);
    lotte.service(call, "clear");
    JsonNode open = joss.get("/api/follow-ups").body().get(0);
    String path = "/api/follow-ups/" + open.get("id").asLong();
    assertThat(open.get("dueNow").asBoolean()).isFalse();
    assertThat(open.get("by").asString()).isEqualTo("Lotte Penrose");
    assertThat(lotte.get("/api/follow-ups").body()).as("of Joss").isEmpty();
    assertThat(lotte.get("/api/follow-ups?team=true").body()).as("of the team").hasSize(1);
    assertThat(known(celia, DOV).get("followUps")).hasSize(1);
    assertThat(celia.put(path + "/done", Map.of("done", true)).code())
        .as("of another team")
        .isEqualTo("NO_SUCH_FOLLOW_UP");
    assertThat(celia.put(path, followUp(call, "Mine", 1, "Celia")).code())
        .isEqualTo("NO_SUCH_FOLLOW_UP");

    TestServer.get().clock().advance(Duration.ofHours(4));
    JsonNode told =
        joss.await(
            push ->
                push.has("notices")
                    && push.get("notices").get(0).get("what").asString().equals("FOLLOW_UP_DUE"));
    assertThat(told.get("notices").get(0).get("about").get("what").asString())
        .isEqualTo("Send the timetable");
    assertThat(joss.get("/api/follow-ups").body().get(0).get("dueNow").asBoolean()).isTrue();
    assertThat(joss.put(path, followUp(call, "Send it by post", 1, "Lotte")).status())
        .isEqualTo(204);
    assertThat(joss.get("/api/follow-ups").body()).isEmpty();
    assertThat(lotte.put(path + "/done", Map.of("done", true)).status()).isEqualTo(204);
    assertThat(lotte.get("/api/follow-ups").body()).isEmpty();
    assertThat(lotte.put(path + "/done", Map.of("done", false)).status()).isEqualTo(204);
    assertThat(lotte.get("/api/follow-ups").body()).hasSize(1);
    Map<String, Object> nobody = Map.of("what", "x", "due", "2026-12-01T09:00", "assignee", 9999);
    assertThat(lotte.post("/api/follow-ups", nobody).code()).isEqualTo("NO_SUCH_PERSON");
  }

  @Test
  void the_history_is_narrowed_down_and_found_by_the_names_of_today() {
    lotte.service(lotte.call("0121 496 0101"), "clear");
    lotte.service(lotte.call("234"), "clear");
    JsonNode card =
        lotte
            .post(
                "/api/contacts",
                Map.of(
                    "own",
                    true,
                    "card",
                    ContactsOverHttpTest.card("Elspeth Nairn", "Wool", List.of("0121 496 0101"))))
            .body();
    long contact = card.get("row").get("id").asLong();
    for (String question : List.of("text=nairn", "text=elspeth+wool", "contact=" + contact)) {
      JsonNode found = lotte.get("/api/history?" + question).body().get("entries");
      assertThat(found).as(question).isNotEmpty();
      found.forEach(
          each -> assertThat(each.get("other").get("name").asString()).isEqualTo("Elspeth Nairn"));
      assertThat(joss.get("/api/history?" + question).body().get("entries")).isEmpty();
    }
    JsonNode josss = lotte.get("/api/history?person=" + id("Joss")).body().get("entries");
    josss.forEach(
        each -> assertThat(each.get("other").get("name").asString()).isEqualTo("Joss Ardley"));
    assertThat(josss).isNotEmpty();
    assertThat(lotte.get("/api/history?to=2020-01-01").body().get("entries")).isEmpty();
    assertThat(lotte.get("/api/history?from=2020-01-01").body().get("entries")).isNotEmpty();
    assertThat(lotte.get("/api/history?line=1").body().get("entries")).isEmpty();
    assertThat(lotte.get("/api/history?from=yesterday").status()).isEqualTo(422);
    lotte.delete("/api/contacts/" + contact);
  }

  @Test
  void stock_phrases_are_ones_own() {
    List<String> phrases = List.of("Wants to be called back.", "Sent the timetable.");
    assertThat(lotte.put("/api/phrases", Map.of("phrases", phrases)).status()).isEqualTo(204);
    assertThat(lotte.get("/api/phrases").body().get("phrases")).hasSize(2);
    assertThat(joss.get("/api/phrases").body().get("phrases")).isEmpty();
    assertThat(lotte.put("/api/phrases", Map.of("phrases", List.of(" "))).status()).isEqualTo(422);
    lotte.put("/api/phrases", Map.of("phrases", List.of()));
  }

  @Test
  void stock_phrases_of_the_office_are_everybodys_and_made_by_administrators() {
    Map<String, List<String>> phrases = Map.of("phrases", List.of("The boat leaves at seven."));
    assertThat(lotte.put("/api/office/phrases", phrases).code()).isEqualTo("NOT_ADMINISTRATOR");
    try (Client mirela = Client.withoutPage(TestServer.get().address(), "mirela")) {
      mirela.put("/api/office/phrases", phrases).done();
      assertThat(joss.get("/api/phrases").body().get("office").get(0).asString())
          .isEqualTo("The boat leaves at seven.");
      assertThat(joss.get("/api/phrases").body().get("phrases")).isEmpty();
      mirela.put("/api/office/phrases", Map.of("phrases", List.of())).done();
      assertThat(joss.get("/api/phrases").body().get("office")).isEmpty();
    }
  }
}
