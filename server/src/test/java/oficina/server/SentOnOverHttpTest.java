package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Transfers, park slots, conferences and call backs over real HTTP, and what outlives a restart.
 */
@ExtendWith(TestServer.class)
class SentOnOverHttpTest {
  private final Client ines = Client.signedIn("ines");
  private final Client tomasz = Client.signedIn("tomasz");
  private final Client adaeze = Client.signedIn("adaeze");
  private final Client bram = Client.signedIn("bram");
  private String call;

  @BeforeEach
  void tomasz_talks_to_ines() {
    call = tomasz.call("201");
    ines.service(call, "answer");
  }

  @AfterEach
  void end() {
    List<Client> all = List.of(ines, tomasz, adaeze, bram);
    all.forEach(Client::hangUp);
    for (Client each : all) {
      assertThat(phases(each)).as("left over").isEmpty();
      each.close();
    }
  }

  private static Answer ask(Client who, String call, String service, Object... about) {
    Map<String, Object> body = new HashMap<>(Map.of("device", "test"));
    for (int i = 0; i < about.length; i += 2) {
      body.put((String) about[i], about[i + 1]);
    }
    return who.post("/api/calls/" + call + "/" + service, body);
  }

  private static String wish(Client who) {
    return who.get("/api/desk").body().get("callBacks").get(0).get("id").asString();
  }

  private static List<String> phases(Client who) {
    return who.get("/api/desk")
        .body()
        .get("calls")
        .valueStream()
        .map(each -> each.get("phase").asString())
        .toList();
  }

  private static JsonNode waiting(Client who, String slot) {
    return who.get("/api/desk")
        .body()
        .get("shelf")
        .valueStream()
        .filter(each -> each.get("slot").asString().equals(slot))
        .findFirst()
        .orElseThrow()
        .path("waiting");
  }

  @Test
  void nobody_sends_parks_or_orders_the_calls_of_others() {
    for (String service :
        List.of(
            "put-through",
            "deflect",
            "pull-back",
            "announce",
            "reconnect",
            "park",
            "mute",
            "move-here",
            "call-back",
            "end-for-all",
            "members/1/mute",
            "members/1/aside")) {
      Answer answer = ask(bram, call, service, "to", "222", "on", true);
      assertThat(answer.code()).as(service).isEqualTo("NO_SUCH_CALL");
    }
    assertThat(ask(bram, call, "join", "other", call).code()).isEqualTo("NO_SUCH_CALL");
    assertThat(ask(bram, call, "hand-over", "other", call).code()).isEqualTo("NO_SUCH_CALL");
    assertThat(bram.delete("/api/calls/" + call + "/members/1").code()).isEqualTo("NO_SUCH_CALL");
    String brams = bram.call("222");
    assertThat(ask(bram, brams, "join", "other", call).code())
        .as("a call of his own joined with one of others")
        .isEqualTo("NO_OTHER_CALL");
    assertThat(phases(tomasz)).containsExactly("TALKING");
  }

  @Test
  void a_wish_and_preferences_are_ones_own() {
    adaeze.service(adaeze.call("213"), "clear");
    String busy = bram.call("212");
    adaeze.service(busy, "answer");
    String failed = tomasz.call("213");
    assertThat(ask(tomasz, failed, "call-back").status()).isEqualTo(204);
    String wish = wish(tomasz);
    assertThat(adaeze.get("/api/desk").body().toString()).doesNotContain(wish);
    assertThat(adaeze.delete("/api/calls/call-backs/" + wish).code())
        .isEqualTo("NO_SUCH_CALL_BACK");
    assertThat(tomasz.delete("/api/calls/call-backs/" + wish).status()).isEqualTo(204);
    Map<String, Object> chosen =
        Map.of(
            "callWaiting",
            true,
            "callerId",
            "WITHHELD",
            "recording",
            "ON_DEMAND",
            "hiddenSlots",
            List.of("62"));
    assertThat(ines.put("/api/preferences", chosen).status()).isEqualTo(204);
    assertThat(ines.get("/api/preferences").body().get("callerId").asString())
        .isEqualTo("WITHHELD");
    assertThat(tomasz.get("/api/preferences").body().get("callerId").asString())
        .isEqualTo("DIRECT");
    assertThat(ines.put("/api/preferences", Map.of("callWaiting", true)).status()).isEqualTo(422);
    ines.put(
        "/api/preferences",
        Map.of(
            "callWaiting",
            true,
            "callerId",
            "DIRECT",
            "recording",
            "ON_DEMAND",
            "hiddenSlots",
            List.of()));
  }

  @Test
  void what_was_handed_over_parked_joined_and_wished_for_outlives_a_restart() {
    // Tomasz handed over to Adaeze: the call that announced him has ended, but made this one.
    String announcing = ask(ines, call, "announce", "to", "212").done().get("id").asString();
    adaeze.service(announcing, "answer");
    assertThat(ask(ines, call, "hand-over", "other", announcing).status()).isEqualTo(204);
    // Ines parks Bram for Adaeze, and waits for somebody who is busy.
    String brams = bram.call("201");
    ines.service(brams, "answer");
    assertThat(ask(ines, brams, "park", "slot", "63", "note", "about the ramp").status())
        .isEqualTo(204);
    String failed = ines.call("213"); // Bram takes one call at a time, and is parked
    assertThat(ask(ines, failed, "call-back").status()).isEqualTo(204);
    String wish = wish(ines);

    TestServer.get().restart();

    List.of(ines, tomasz, adaeze, bram).forEach(Client::connect); // as pages do by themselves
    FreightOverHttp.until(() -> phases(adaeze).equals(List.of("TALKING"))); // attended again
    FreightOverHttp.until(() -> phases(tomasz).equals(List.of("TALKING")));
    assertThat(waiting(adaeze, "63").get("note").asString()).isEqualTo("about the ramp");
    JsonNode wishes = ines.get("/api/desk").body().get("callBacks");
    assertThat(wishes.get(0).get("id").asString()).isEqualTo(wish);
    TestServer.get().clock().advance(Duration.ofMinutes(3));
    ines.await(push -> push.path("calls").toString().contains("PARKED_TOO_LONG"));
    assertThat(ines.service(brams, "answer").status()).isEqualTo(204);
    assertThat(phases(bram)).containsExactly("TALKING");
    // A third one joins the two of before, is taken aside, and all of that is replayed once more.
    String third = ines.call("212");
    adaeze.service(third, "answer");
    assertThat(ask(adaeze, call, "join", "other", third).status()).isEqualTo(204);
    TestServer.get().restart();
    assertThat(adaeze.get("/api/desk").body().get("calls").get(0).path("conference").isObject())
        .isTrue();
  }

  @Test
  void two_want_one_slot_and_two_take_one_call_at_the_same_moment() {
    String second = adaeze.call("213");
    bram.service(second, "answer");
    List<Answer> parked =
        List.of(Map.entry(ines, call), Map.entry(bram, second)).parallelStream()
            .map(each -> ask(each.getKey(), each.getValue(), "park", "slot", "61"))
            .toList();
    assertThat(parked).extracting(Answer::status).containsExactlyInAnyOrder(204, 409);
    assertThat(parked).extracting(Answer::code).contains("SLOT_TAKEN");
    boolean inesFirst = parked.get(0).status() == 204;
    assertThat(phases(inesFirst ? bram : ines)).containsExactly("TALKING");
    Map<String, String> take =
        Map.of("call", waiting(ines, "61").get("call").asString(), "device", "test");
    Client other = inesFirst ? ines : bram;
    Client una = Client.signedIn("una");
    List<Answer> taken =
        List.of(other, una).parallelStream()
            .map(each -> each.post("/api/slots/61/take", take))
            .toList();
    assertThat(taken).extracting(Answer::status).containsExactlyInAnyOrder(204, 409);
    assertThat(taken).extracting(Answer::code).contains("ANSWERED_BY_OTHER");
    una.hangUp();
    una.close();
  }

  @Test
  void without_the_database_holds_and_transfers_go_on_and_everything_is_written_once() {
    TestServer.get().database().stop();
    try {
      assertThat(ask(ines, call, "hold").status()).isEqualTo(204);
      String announcing = ask(ines, call, "announce", "to", "212").done().get("id").asString();
      assertThat(adaeze.service(announcing, "answer").status()).isEqualTo(204);
      assertThat(ask(ines, call, "hand-over", "other", announcing).status()).isEqualTo(204);
      assertThat(ask(adaeze, call, "park", "slot", "65").status()).isEqualTo(204);
      for (int i = 0; i < 20; i++) {
        String again = bram.call("222");
        assertThat(bram.service(again, "clear").status()).isEqualTo(204);
      }
      assertThat(tomasz.get("/api/desk").body().get("calls").get(0).get("slot").asString())
          .isEqualTo("65");
      ines.await(push -> push.path("behind").asBoolean());
    } finally {
      TestServer.get().database().start();
    }
    ines.await(push -> !push.path("behind").asBoolean(true));
    tomasz.service(call, "clear");
    JsonNode entries = adaeze.get("/api/history?text=brill").body().get("entries");
    assertThat(
            entries.valueStream().filter(each -> each.get("result").asString().equals("ANSWERED")))
        .as("one entry of this call")
        .isNotEmpty();
    JsonNode brams = bram.get("/api/history?text=redfern").body().get("entries");
    assertThat(brams).hasSize(20);
    List<String> began = brams.valueStream().map(each -> each.get("began").asString()).toList();
    assertThat(began).as("in order").isSortedAccordingTo((a, b) -> b.compareTo(a));
  }
}
