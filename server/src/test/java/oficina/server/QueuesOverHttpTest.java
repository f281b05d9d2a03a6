package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import oficina.server.office.OfficeData;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A line that keeps callers, over HTTP: who waits, who serves, who may see and decide what. */
class QueuesOverHttpTest extends FreightOverHttp {
  @Test
  void whoever_waits_is_served_in_turn_and_counted() {
    JsonNode before = figures().get("totals");
    assertThat(calls(DOV).status()).isEqualTo(201);
    JsonNode first = tomasz.awaitCall("RINGING");
    assertThat(first.get("queued").get("line").asString()).isEqualTo("Freight");
    assertThat(tomasz.service(first.get("id").asString(), "answer").status()).isEqualTo(204);
    assertThat(calls(MARISOL).status()).isEqualTo(201);
    JsonNode waits = queue().get("waiting").get(0);
    assertThat(waits.get("rings").asBoolean()).isFalse();
    assertThat(waits.get("who").get("number").asString()).isEqualTo("0113 496 0148");
    assertThat(state(me())).isEqualTo("SERVING");

    JsonNode found = stranger.get("/api/find?text=220").body().get("queue");
    assertThat(found.get("waiting").asInt()).isEqualTo(1);
    assertThat(found.get("free").asInt()).isZero();
    assertThat(stranger.get("/api/find?text=freig").body().get("known").toString())
        .as("and who can be asked for there")
        .contains("Tomasz Brill");

    tomasz.service(first.get("id").asString(), "clear");
    tomasz.awaitNoCalls();
    JsonNode finishing = tomasz.get("/api/queues").body().get("finishing");
    assertThat(finishing.get("call").asString()).isEqualTo(first.get("id").asString());
    assertThat(state(me())).isEqualTo("FINISHING");
    assertThat(tomasz.post("/api/queues/finishing", Map.of("seconds", 60)).status()).isEqualTo(204);
    assertThat(tomasz.post("/api/queues/finishing", Map.of("seconds", 1800)).code())
        .isEqualTo("FINISHING_TOO_LONG");
    assertThat(tomasz.post("/api/queues/finishing", Map.of()).status()).isEqualTo(204);
    String second = tomasz.awaitCall("RINGING").get("id").asString();
    tomasz.service(second, "answer");
    tomasz.service(second, "clear");

    JsonNode after = figures().get("totals");
    assertThat(after.get("offered").asLong()).isEqualTo(before.get("offered").asLong() + 2);
    assertThat(after.get("answered").asLong()).isEqualTo(before.get("answered").asLong() + 2);
    TestServer.get().clock().advance(Duration.ofMinutes(2));
    until(() -> figures().get("totals").has("occupancy"));
    JsonNode own = figures().get("members").get(0);
    assertThat(own.get("name").asString()).isEqualTo("Tomasz Brill");
    assertThat(own.get("present").asLong()).isGreaterThanOrEqualTo(60);
    assertThat(new String(tomasz.bytes(path + "/figures/file" + today()).body()))
        .startsWith("half_hour,in_time,later,given_up,elsewhere");

    tomasz.post("/api/queues/finishing", Map.of());
    JsonNode turn = member(me());
    assertThat(turn.get("state").asString()).isEqualTo("FREE");
    TestServer.get().restart();
    tomasz.connect();
    until(() -> state(me()).equals("FREE"));
    assertThat(Instant.parse(member(me()).get("since").asString()))
        .as("since when he has had no call: by that he is rung")
        .isCloseTo(Instant.parse(turn.get("since").asString()), within(1, ChronoUnit.MILLIS));
  }

  private String state(long person) {
    return member(person).get("state").asString();
  }

  private JsonNode member(long person) {
    return queue()
        .get("members")
        .valueStream()
        .filter(each -> each.get("person").asLong() == person)
        .findFirst()
        .orElseThrow();
  }

  private static String today() {
    LocalDate today =
        LocalDate.ofInstant(
            TestServer.get().clock().instant(),
            TestServer.get().bean(OfficeData.class).now().identity().zone());
    return "?first=%s&last=%s".formatted(today, today);
  }

  private JsonNode figures() {
    return tomasz.get(path + "/figures" + today()).body();
  }

  @Test
  void members_are_told_without_asking_and_strangers_are_told_nothing() {
    assertThat(calls(DOV).status()).isEqualTo(201);
    tomasz.await(push -> told(push).contains("0151 496 0177"));
    tomasz.await(push -> told(push).contains("\"state\":\"RINGING\""));
    assertThat(stranger.connect().get("queues").get("queues")).isEmpty();
  }

  private static String told(JsonNode push) {
    return push.path("queues").toString();
  }

  @Test
  void strangers_see_and_decide_nothing_of_a_line() {
    tomasz.put("/api/lines/" + line + "/part", Map.of("takesPart", false, "reason", "Lunch"));
    assertThat(state(me())).isEqualTo("RESTS");
    assertThat(stranger.get("/api/queues").body().get("queues")).isEmpty();
    assertThat(stranger.get("/api/queues?all=true").code()).isEqualTo("NOT_ADMINISTRATOR");
    assertThat(boss.get("/api/queues?all=true").body().get("queues")).isNotEmpty();
    assertThat(stranger.get(path + "/figures" + today()).code()).isEqualTo("NO_SUCH_QUEUE");
    assertThat(stranger.get(path + "/figures/file" + today()).code()).isEqualTo("NO_SUCH_QUEUE");
    assertThat(stranger.get(path + "/figures/needed").code()).isEqualTo("NO_SUCH_QUEUE");
    assertThat(stranger.get("/api/office/queues").status()).isEqualTo(403);
    assertThat(stranger.put(kept, settings()).status()).isEqualTo(403);
    assertThat(takePart(stranger, me(), true).code()).isEqualTo("NO_SUCH_LINE");
    assertThat(
            stranger
                .put("/api/lines/" + line + "/part", Map.of("takesPart", true, "reason", ""))
                .code())
        .isEqualTo("NO_SUCH_LINE");
    assertThat(tomasz.get(path + "/figures?first=2026-12-02&last=2026-12-01").code())
        .isEqualTo("DAYS_NOT_IN_ORDER");
  }

  @Test
  void who_leads_takes_a_caller_out_of_turn_and_what_others_try_is_refused() {
    tomasz.put("/api/lines/" + line + "/part", Map.of("takesPart", false, "reason", ""));
    takePart(tomasz, others().get(0), true);
    takePart(tomasz, me(), true);
    assertThat(calls(DOV).status()).isEqualTo(201);
    JsonNode waits = queue().get("waiting").get(0);
    String take = path + "/waiting/" + waits.get("call").asString();
    assertThat(stranger.post(take + "/take", Map.of("device", "test")).code())
        .isEqualTo("NO_SUCH_CALL");
    assertThat(stranger.post(take + "/move", Map.of("to", 1)).code()).isEqualTo("NO_SUCH_CALL");
    assertThat(tomasz.post(take + "/move", Map.of("to", 1)).code()).isEqualTo("NO_SUCH_LINE");
    assertThat(tomasz.post(take + "/take", Map.of("device", "test")).status()).isEqualTo(204);
    tomasz.awaitCall("TALKING");
    assertThat(tomasz.post(take + "/take", Map.of("device", "test")).code())
        .isEqualTo("WAITS_NO_LONGER");
    JsonNode last = tomasz.get(path + "/log").body().get(0);
    assertThat(last.get("what").asString()).isEqualTo("TOOK");
    assertThat(last.get("caller").asString()).contains("0151 496 0177");
    assertThat(boss.get(path + "/log").body().get(1).get("member").asString())
        .isEqualTo("Tomasz Brill");
    assertThat(boss.get(path + "/log?text=0151%20177").body()).hasSize(1);
    assertThat(boss.get(path + "/log?text=BRILL").body()).hasSizeGreaterThan(1);
    assertThat(boss.get(path + "/log?text=nobody%20brill").body()).isEmpty();
    assertThat(stranger.get(path + "/log").code()).isEqualTo("NO_SUCH_QUEUE");
  }

  @Test
  void whoever_keeps_their_place_by_a_key_is_called_back_in_turn() {
    assertThat(calls(DOV).status()).isEqualTo(201);
    String first = tomasz.awaitCall("RINGING").get("id").asString();
    tomasz.service(first, "answer");
    assertThat(calls(MARISOL).status()).isEqualTo(201);
    String waits = queue().get("waiting").get(0).get("call").asString();
    assertThat(stranger.post(MARISOL + "/keys", Map.of("digits", "1")).status()).isEqualTo(204);
    until(() -> queue().get("waiting").get(0).get("kept").asBoolean());
    tomasz.service(first, "clear");
    tomasz.awaitNoCalls();
    tomasz.post("/api/queues/finishing", Map.of());
    JsonNode returns = tomasz.awaitCall("RINGING");
    assertThat(returns.get("id").asString()).isEqualTo(waits);
    assertThat(returns.get("queued").get("kept").asBoolean()).isTrue();
    tomasz.service(waits, "answer");
    tomasz.awaitCall("CALLING");
    assertThat(stranger.post(MARISOL + "/answer", Map.of()).status()).isEqualTo(204);
    tomasz.awaitCall("TALKING");
    tomasz.service(waits, "clear");
    tomasz.awaitNoCalls();
    assertThat(figures().get("totals").get("calledBack").asLong()).isPositive();
  }
}
