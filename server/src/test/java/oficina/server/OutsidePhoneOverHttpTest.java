package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A telephone outside as one of somebody's devices: chosen, rung first, and kept over a restart.
 */
@ExtendWith(TestServer.class)
class OutsidePhoneOverHttpTest {
  private static final String MOBILE = "/api/outside/subscribers/+447700900101";

  private final Client ines = Client.signedIn("ines");
  private final Client tomasz = Client.signedIn("tomasz");

  @AfterEach
  void leave() {
    ines.put("/api/devices/choice", choice("WINDOW", null));
    ines.hangUp();
    tomasz.delete(MOBILE + "/player");
    ines.close();
    tomasz.close();
  }

  private static Map<String, Object> choice(String places, String outside) {
    Map<String, Object> choice = new HashMap<>();
    choice.put("places", places);
    choice.put("windowAfter", 0);
    choice.put("phoneAfter", 0);
    choice.put("outside", outside);
    return choice;
  }

  /** Waits until the line to the telephone has come so far. */
  private void awaitStage(String stage) {
    ines.await(
        push ->
            push.path("calls").size() == 1
                && push.get("calls")
                    .get(0)
                    .path("outside")
                    .path("stage")
                    .asString("")
                    .equals(stage));
  }

  private void placesOn(String number) {
    assertThat(ines.put("/api/devices/choice", choice("OUTSIDE", number)).status()).isEqualTo(204);
  }

  @Test
  void only_a_number_outside_can_be_named_and_nobody_else_has_it() {
    assertThat(ines.put("/api/devices/choice", choice("OUTSIDE", "")).code())
        .isEqualTo("NO_OUTSIDE_PHONE");
    for (String wrong : new String[] {"221", "999", "0191 498 0221", "nonsense"}) {
      assertThat(ines.put("/api/devices/choice", choice("WINDOW", wrong)).code())
          .as(wrong)
          .isEqualTo("NOT_AN_OUTSIDE_NUMBER");
    }
    placesOn("07700 900101");
    assertThat(ines.get("/api/devices").body().get("choice").get("outside").asString())
        .isEqualTo("07700 900101");
    assertThat(tomasz.get("/api/devices").body().get("choice").has("outside")).isFalse();
    assertThat(tomasz.post("/api/calls", Map.of("to", "201", "device", "outside")).code())
        .isEqualTo("NO_OUTSIDE_PHONE");
  }

  @Test
  void it_is_rung_first_and_a_restart_of_the_server_changes_nothing() {
    tomasz.put(MOBILE + "/player", Map.of());
    placesOn("07700 900101");
    assertThat(ines.post("/api/calls", Map.of("to", "221", "device", "outside")).status())
        .isEqualTo(201);
    awaitStage("RINGING");
    assertThat(tomasz.get("/api/desk").body().get("calls")).isEmpty();
    tomasz.post(MOBILE + "/answer", Map.of());
    awaitStage("ASKED");
    TestServer.get().restart();
    ines.connect();
    tomasz.connect();
    tomasz.put(MOBILE + "/player", Map.of());
    tomasz.post(MOBILE + "/keys", Map.of("digits", "1"));
    tomasz.awaitCall("RINGING");
    awaitStage("THERE");
    tomasz.post(MOBILE + "/hang-up", Map.of());
    ines.awaitNoCalls();
  }

  @Test
  void the_mobile_of_the_demo_is_answered_and_the_key_pressed_without_anybody_playing_it() {
    placesOn("07700 900120");
    ines.post("/api/calls", Map.of("to", "221", "device", "outside"));
    TestServer.get().clock().advance(Duration.ofSeconds(1));
    awaitStage("RINGING");
    TestServer.get().clock().advance(Duration.ofSeconds(5));
    awaitStage("ASKED");
    TestServer.get().clock().advance(Duration.ofSeconds(4));
    awaitStage("THERE");
    tomasz.awaitCall("RINGING");
  }
}
