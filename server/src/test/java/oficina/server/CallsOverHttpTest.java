package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Calls over real HTTP and WebSockets, journaled in a real MariaDB. */
@ExtendWith(TestServer.class)
class CallsOverHttpTest {

  @Test
  void a_call_is_pushed_to_both_and_ends_in_both_histories() {
    try (Client ines = Client.signedIn("ines");
        Client tomasz = Client.signedIn("tomasz")) {
      String call = ines.call("221");
      JsonNode ringing = tomasz.awaitCall("RINGING");
      assertThat(ringing.get("other").get("name").asString()).isEqualTo("Ines Calloway");
      assertThat(ringing.get("actions").toString()).contains("ANSWER", "DECLINE", "SILENCE");
      assertThat(tomasz.service(call, "answer").status()).isEqualTo(204);
      ines.awaitCall("TALKING");
      TestServer.get().clock().advance(Duration.ofSeconds(65));
      assertThat(ines.service(call, "clear").status()).isEqualTo(204);
      tomasz.awaitNoCalls();

      JsonNode entry = tomasz.get("/api/history?text=calloway").body().get("entries").get(0);
      assertThat(entry.get("result").asString()).isEqualTo("ANSWERED");
      assertThat(entry.get("talked").asLong()).isBetween(65_000L, 75_000L);
      assertThat(entry.get("ending").asString()).isEqualTo("OTHER_HUNG_UP");
      assertThat(entry.get("endedBy").asString()).isEqualTo("Ines Calloway");
      long id = entry.get("id").asLong();
      assertThat(tomasz.get("/api/history/" + id).status()).isEqualTo(200);
      Answer others = ines.get("/api/history/" + id);
      assertThat(others.status()).as("an entry of somebody else").isEqualTo(404);
    }
  }

  @Test
  void a_submission_counts_once_however_often_it_is_sent() {
    try (Client ines = Client.signedIn("ines");
        Client tomasz = Client.signedIn("tomasz")) {
      Map<String, String> call = Map.of("to", "999", "device", "test");
      List<Answer> placed =
          IntStream.range(0, 6)
              .parallel()
              .mapToObj(i -> ines.submit("one", "/api/calls", call))
              .toList();
      assertThat(placed).extracting(Answer::status).containsOnly(201);
      assertThat(placed)
          .extracting(each -> each.done().get("id"))
          .containsOnly(placed.get(0).done().get("id"));
      String id = placed.get(0).done().get("id").asString();
      TestServer.get().clock().advance(Duration.ofSeconds(4));
      ines.awaitCall("TALKING");
      String keys = "/api/calls/" + id + "/digits";
      for (int i = 0; i < 3; i++) {
        assertThat(ines.submit("keys", keys, Map.of("digits", "7")).status()).isEqualTo(204);
      }
      assertThat(ines.get("/api/desk").body().get("calls").get(0).get("digits").asString())
          .isEqualTo("7");
      assertThat(ines.submit("keys", "/api/calls", call).code()).isEqualTo("SUBMISSION_REUSED");
      assertThat(tomasz.submit("keys", keys, Map.of("digits", "7")).status())
          .as("another person's")
          .isEqualTo(404);
      ines.service(id, "clear");
    }
  }

  @Test
  void of_a_long_course_only_the_end_is_told_again_and_again() {
    try (Client ines = Client.signedIn("ines")) {
      String call = ines.call("999");
      TestServer.get().clock().advance(Duration.ofSeconds(4));
      ines.awaitCall("TALKING");
      for (int i = 0; i < 40; i++) {
        ines.service(call, "hold");
        ines.service(call, "retrieve");
      }
      JsonNode now = ines.get("/api/desk").body().get("calls").get(0);
      assertThat(now.get("course")).hasSize(40);
      int earlier = now.get("earlier").asInt();
      assertThat(earlier).isGreaterThan(40);
      String before = "/api/calls/" + call + "/course?from=" + (earlier - 1) + "&most=2";
      JsonNode told = ines.get(before).body();
      assertThat(told).hasSize(2);
      assertThat(told.get(1)).isEqualTo(now.get("course").get(0));
      assertThat(ines.get("/api/calls/" + call + "/course?most=0").status()).isEqualTo(400);
      ines.service(call, "clear");
      assertThat(ines.get("/api/history").body().get("entries").get(0).get("course"))
          .hasSizeGreaterThan(80);
    }
  }

  @Test
  void nobody_can_touch_or_see_the_call_of_others() {
    try (Client ines = Client.signedIn("ines");
        Client tomasz = Client.signedIn("tomasz");
        Client adaeze = Client.signedIn("adaeze")) {
      String call = ines.call("221");
      tomasz.awaitCall("RINGING");
      for (String service : List.of("answer", "decline", "silence", "clear", "hold", "retrieve")) {
        Answer answer = adaeze.service(call, service);
        assertThat(answer.status()).isEqualTo(404);
        assertThat(answer.code()).isEqualTo("NO_SUCH_CALL");
      }
      JsonNode desk = adaeze.get("/api/desk").body();
      assertThat(desk.get("calls")).isEmpty();
      assertThat(desk.toString()).doesNotContain(call);
      JsonNode board =
          adaeze.await(
              push -> push.path("people").toString().contains("\"RINGING\"") && !push.has("calls"));
      assertThat(board.toString()).doesNotContain(call);
      ines.service(call, "clear");
    }
  }

  @Test
  void two_windows_answer_at_once_and_exactly_one_gets_the_call() throws Exception {
    try (Client tomasz = Client.signedIn("tomasz");
        Client ines = Client.signedIn("ines");
        Client second = Client.signedIn("ines")) {
      String call = tomasz.call("201");
      ines.awaitCall("RINGING");
      List<Answer> answers =
          List.of(ines, second).parallelStream().map(each -> each.service(call, "answer")).toList();
      assertThat(answers.stream().map(Answer::status)).containsExactlyInAnyOrder(204, 409);
      assertThat(answers.stream().map(Answer::code)).contains("ANSWERED_HERE");
      tomasz.service(call, "clear");
    }
  }

  @Test
  void a_member_of_the_front_desk_who_comes_second_is_told_who_answered() {
    try (Client tomasz = Client.signedIn("tomasz");
        Client ines = Client.signedIn("ines");
        Client rufus = Client.signedIn("rufus")) {
      String call = tomasz.call("200");
      rufus.awaitCall("RINGING");
      ines.awaitCall("RINGING");
      assertThat(rufus.service(call, "answer").status()).isEqualTo(204);
      Answer late = ines.service(call, "answer");
      assertThat(late.status()).isEqualTo(409);
      assertThat(late.code()).isEqualTo("ANSWERED_BY_OTHER");
      assertThat(late.body().get("about").get("person").asString()).isEqualTo("Rufus Adeyemi");
      tomasz.service(call, "clear");
    }
  }

  @Test
  void wrong_requests_get_a_problem_document_and_never_a_500() {
    try (Client ines = Client.signedIn("ines")) {
      Map<String, Integer> bodies =
          Map.of(
              "{not json",
              400,
              "[]",
              400,
              "{}",
              422,
              "{\"to\":\"212\"}",
              422,
              "{\"to\":\"\",\"device\":\"x\"}",
              422,
              "{\"to\":\"299\",\"device\":\"x\"}",
              422,
              "{\"to\":\"+++\",\"device\":\"x\"}",
              422,
              "{\"to\":\"212\",\"device\":\"" + "x".repeat(99) + "\"}",
              422,
              "{\"to\":\"" + "1".repeat(6_000) + "\",\"device\":\"x\"}",
              422);
      bodies.forEach(
          (body, status) -> {
            Answer answer = ines.send("POST", "/api/calls", body);
            assertThat(answer.status())
                .as(body.substring(0, Math.min(40, body.length())))
                .isEqualTo(status);
            assertThat(answer.response().headers().firstValue("Content-Type"))
                .hasValue("application/problem+json");
            assertThat(answer.code()).isNotBlank();
          });
      assertThat(ines.get("/api/history?before=nonsense").status()).isEqualTo(400);
      assertThat(ines.get("/api/history?filter=NONE").status()).isEqualTo(400);
      assertThat(ines.get("/api/history/nonsense").status()).isEqualTo(400);
      assertThat(ines.get("/api/nowhere").status()).isEqualTo(404);
      assertThat(ines.send("DELETE", "/api/calls", null).status()).isEqualTo(405);
      assertThat(ines.service("no-such-call", "answer").code()).isEqualTo("NO_SUCH_CALL");
      assertThat(ines.get("/api/desk").body().get("calls")).isEmpty();
    }
  }

  @Test
  void a_second_call_while_the_first_is_not_answered_is_refused() {
    try (Client ines = Client.signedIn("ines")) {
      String call = ines.call("213");
      Answer again = ines.post("/api/calls", Map.of("to", "213", "device", "test"));
      assertThat(again.status()).isEqualTo(409);
      assertThat(again.code()).isEqualTo("ALREADY_CALLING");
      ines.service(call, "clear");
    }
  }

  @Test
  void calls_sign_ins_and_times_outlive_a_restart_of_the_server() {
    Client ines = Client.signedIn("ines");
    Client tomasz = Client.signedIn("tomasz");
    String call = ines.call("221");
    tomasz.service(call, "answer");
    String began = ines.awaitCall("TALKING").get("began").asString();
    TestServer.get().restart();
    JsonNode desk = ines.get("/api/desk").body();
    assertThat(desk.get("calls").get(0).get("phase").asString()).isEqualTo("TALKING");
    assertThat(desk.get("calls").get(0).get("began").asString()).isEqualTo(began);
    assertThat(tomasz.service(call, "clear").status()).isEqualTo(204);
    assertThat(ines.get("/api/desk").body().get("calls")).isEmpty();
    assertThat(ines.get("/api/history").body().get("entries").get(0).get("talked").asLong())
        .isPositive();
    ines.close();
    tomasz.close();
  }

  @Test
  void while_the_database_is_away_calls_go_on_and_the_history_catches_up() {
    try (Client ines = Client.signedIn("ines");
        Client tomasz = Client.signedIn("tomasz")) {
      TestServer.get().database().stop();
      String call;
      try {
        call = ines.call("221");
        tomasz.awaitCall("RINGING");
        tomasz.service(call, "answer");
        tomasz.service(call, "clear");
        ines.await(push -> push.path("behind").asBoolean());
        Answer history = ines.get("/api/history");
        assertThat(history.status()).isEqualTo(503);
        assertThat(history.code()).isEqualTo("DATABASE_AWAY");
      } finally {
        TestServer.get().database().start();
      }
      ines.await(push -> !push.path("behind").asBoolean(true));
      JsonNode entry = ines.get("/api/history").body().get("entries").get(0);
      assertThat(entry.get("other").get("name").asString()).isEqualTo("Tomasz Brill");
      assertThat(entry.get("result").asString()).isEqualTo("ANSWERED");
    }
  }
}
