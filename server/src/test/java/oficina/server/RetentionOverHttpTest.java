package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** What the office keeps for a time only is gone the night after, and nothing else. */
@ExtendWith(TestServer.class)
class RetentionOverHttpTest {
  private static final String KEEPING = "/api/office/keeping";
  private static final String DOV = "0151 496 0177";

  private final Client mirela = Client.signedIn("mirela");
  private final Client lotte = Client.signedIn("lotte");
  private final Client joss = Client.signedIn("joss");

  @AfterEach
  void everythingIsKeptAgain() {
    mirela.put(KEEPING, Map.of()).done();
    for (Client each : List.of(mirela, lotte, joss)) {
      each.hangUp();
      each.close();
    }
  }

  private static long rows(String of) {
    return TestServer.get()
        .bean(JdbcClient.class)
        .sql("select count(*) from " + of)
        .query(Long.class)
        .single();
  }

  private static JsonNode entries(Client who, String text) {
    return who.get("/api/history?text=" + text).body().get("entries");
  }

  @Test
  void old_entries_go_with_all_they_are_found_by_and_a_call_that_is_up_stays() {
    String old = lotte.call(DOV);
    lotte.put("/api/calls/" + old + "/note", Map.of("title", "Nails", "text", "Sixty.")).done();
    lotte.hangUp();
    String up = lotte.call(joss.get("/api/session").body().get("extension").asString());
    joss.service(up, "answer");
    TestServer.get().clock().advance(Duration.ofDays(9));

    Map<String, Object> week = new HashMap<>(Map.of("history", 7, "notes", 30_000));
    JsonNode would = mirela.post(KEEPING + "/try", week).done();
    assertThat(would.get("HISTORY").asLong()).isPositive();
    assertThat(would.get("NOTES").asLong()).as("kept longer").isZero();
    assertThat(entries(lotte, "4960177")).as("only tried").isNotEmpty();
    assertThat(mirela.post(KEEPING + "/try", Map.of("history", 3)).code())
        .isEqualTo("FIELDS_WRONG");

    mirela.put(KEEPING, week).done();
    assertThat(mirela.get(KEEPING).body().at("/keeping/history").asInt()).isEqualTo(7);
    TestServer.get().clock().advance(Duration.ofDays(1));
    lotte.await(push -> push.has("to_return"));
    assertThat(entries(lotte, "4960177")).isEmpty();
    assertThat(rows("journal where subject = '" + old + "'")).isZero();
    assertThat(rows("call_course where call_id = '" + old + "'")).isZero();
    assertThat(rows("history_search s where s.id not in (select search_id from history)")).isZero();
    assertThat(rows("history_search_word where search_id not in (select id from history_search)"))
        .isZero();
    assertThat(lotte.get("/api/known?number=" + DOV.replace(" ", "")).body().get("notes"))
        .as("notes have a time of their own")
        .isNotEmpty();

    TestServer.get().restart();
    assertThat(lotte.get("/api/desk").body().get("calls").get(0).get("id").asString())
        .as("its beginning is older than entries are kept")
        .isEqualTo(up);
    assertThat(mirela.get("/api/office/log?text=keeping").body().toString()).contains("keeping");
  }
}
