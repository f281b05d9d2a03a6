package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import oficina.core.call.CallId;
import oficina.core.commands.NetworkCommand;
import oficina.core.numbers.PhoneNumber;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.office.OfficeData;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Joss answers and places calls for Lotte; Mirela, who administers, does not. */
class DelegatesOverHttpTest {
  @RegisterExtension static final TestServer SERVER = new TestServer();

  private static final PhoneNumber CALLER = new PhoneNumber("+441214960145");
  private final Client lotte = Client.signedIn("lotte");
  private final Client joss = Client.signedIn("joss");
  private final Client mirela = Client.signedIn("mirela");
  private int calls;

  @AfterEach
  void leaveNothing() {
    Stream.of(lotte, joss, mirela).forEach(Client::hangUp);
    lotte.put("/api/rules", delegates());
    Stream.of(lotte, joss, mirela).forEach(Client::close);
  }

  private static Map<String, Object> delegates(Long... people) {
    return Map.of(
        "rules", List.of(), "rings", List.of(), "delegates", List.of(people), "welcome", false);
  }

  private static long id(String name) {
    return TestServer.get().bean(OfficeData.class).directory().people().stream()
        .filter(person -> person.name().startsWith(name))
        .findFirst()
        .orElseThrow()
        .id()
        .value();
  }

  private String arrive(String to) {
    CallId call = new CallId("delegate-" + ++calls + "-" + System.nanoTime());
    TestServer.get()
        .bean(ExchangeLoop.class)
        .submit(new NetworkCommand.Arrive(call, CALLER, new PhoneNumber(to)))
        .join();
    return call.value();
  }

  /** What a page is told of this call in somebody else's hand. */
  private static JsonNode awaitOther(Client who, String call, String phase) {
    return who.await(push -> Objects.nonNull(other(push, call, phase))).get("others").get(0);
  }

  private static JsonNode other(JsonNode push, String call, String phase) {
    for (JsonNode each : push.path("others")) {
      if (each.get("call").asString().equals(call) && each.get("phase").asString().equals(phase)) {
        return each;
      }
    }
    return null;
  }

  private static JsonNode newest(Client who) {
    return who.get("/api/history").body().get("entries").get(0);
  }

  @Test
  void a_delegate_sees_answers_and_takes_over_and_the_principal_takes_back() {
    lotte.put("/api/rules", delegates(id("Joss")));
    assertThat(joss.get("/api/lines/behalf").body().get(0).get("person").asLong())
        .isEqualTo(id("Lotte"));
    lotte.connect();
    joss.connect();
    mirela.connect();
    String call = arrive("+441914980233");
    JsonNode rings = awaitOther(joss, call, "RINGING");
    assertThat(rings.get("service").asString()).isEqualTo("ANSWER");
    assertThat(rings.get("mine").asBoolean()).isFalse();
    assertThat(mirela.get("/api/desk").body().get("others")).isEmpty();
    assertThat(mirela.service(call, "take-over").status()).isEqualTo(404);

    assertThat(joss.service(call, "take-over").status()).isEqualTo(204);
    JsonNode hers = awaitOther(lotte, call, "TALKING");
    assertThat(hers.get("mine").asBoolean()).isTrue();
    assertThat(hers.has("service") && !hers.get("service").isNull()).isFalse();
    joss.service(call, "hold");
    awaitOther(lotte, call, "HELD");
    assertThat(lotte.service(call, "take-over").status()).isEqualTo(204);
    lotte.awaitCall("TALKING");
    assertThat(joss.get("/api/desk").body().get("calls")).isEmpty();
  }

  @Test
  void a_call_in_somebodys_name_is_in_both_histories() {
    lotte.put("/api/rules", delegates(id("Joss")));
    mirela.connect();
    joss.connect();
    Map<String, Object> call = Map.of("to", "203", "device", "test", "behalf", id("Lotte"));
    String placed = joss.post("/api/calls", call).done().get("id").asString();
    JsonNode rings = mirela.awaitCall("RINGING");
    assertThat(rings.get("behalf").asString()).startsWith("Lotte");
    mirela.service(placed, "answer");
    joss.service(placed, "clear");
    mirela.awaitNoCalls();
    assertThat(newest(joss).get("behalf").asString()).startsWith("Lotte");
    JsonNode done = newest(lotte);
    assertThat(done.get("direction").asString()).isEqualTo("PLACED");
    assertThat(done.get("answeredBy").asString()).startsWith("Joss");
  }

  @Test
  void nobody_acts_for_whom_they_are_not_named_by_or_for_themselves() {
    Map<String, Object> call = Map.of("to", "203", "device", "test", "behalf", id("Lotte"));
    assertThat(mirela.post("/api/calls", call).code()).isEqualTo("NOT_A_DELEGATE");
    assertThat(joss.put("/api/rules?person=" + id("Lotte"), delegates(id("Joss"))).status())
        .isEqualTo(404);
    assertThat(lotte.put("/api/rules", delegates(id("Lotte"))).code())
        .isEqualTo("RULE_NO_DELEGATE");
    assertThat(lotte.put("/api/rules", delegates(99_999L)).code()).isEqualTo("RULE_NO_DELEGATE");
    assertThat(mirela.put("/api/rules?line=1", delegates(id("Joss"))).code())
        .isEqualTo("RULE_NO_DELEGATE");
  }

  @Test
  void whoever_acts_for_somebody_no_longer_sees_nothing_of_them() {
    lotte.put("/api/rules", delegates(id("Joss")));
    lotte.connect();
    joss.connect();
    String call = arrive("+441914980233");
    awaitOther(joss, call, "RINGING");
    lotte.put("/api/rules", delegates());
    joss.await(push -> push.has("others") && push.get("others").isEmpty());
    assertThat(joss.service(call, "take-over").status()).isEqualTo(404);
    lotte.service(call, "answer");
  }

  @Test
  void rules_that_were_changed_elsewhere_meanwhile_are_not_replaced_unseen() {
    int read = lotte.get("/api/rules").body().get("version").asInt();
    lotte.put("/api/rules", delegates(id("Joss")));
    Map<String, Object> stale = new HashMap<>(delegates());
    stale.put("version", read);
    assertThat(lotte.put("/api/rules", stale).code()).isEqualTo("RULES_CHANGED");
    assertThat(lotte.get("/api/rules").body().get("delegates")).hasSize(1);
    stale.put("version", lotte.get("/api/rules").body().get("version").asInt());
    assertThat(lotte.put("/api/rules", stale).status()).isEqualTo(204);
  }
}
