package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A database that hangs or dies: calls go on, nothing is lost, nothing is there twice. */
@ExtendWith(TestServer.class)
class DatabaseTroubleTest {
  private final TestServer server = TestServer.get();
  private final Client ines = Client.signedIn("ines");
  private final Client tomasz = Client.signedIn("tomasz");
  private final Instant begun = server.clock().instant();
  private String call;

  @BeforeEach
  void tomasz_talks_to_ines() {
    call = tomasz.call("201");
    ines.service(call, "answer");
  }

  @AfterEach
  void end() {
    ines.close();
    tomasz.close();
  }

  /** Of the call of this test, as often as it is there. */
  private long entriesOfTheCall() {
    return ines.get("/api/history")
        .body()
        .get("entries")
        .valueStream()
        .filter(entry -> !Instant.parse(entry.get("began").asString()).isBefore(begun))
        .filter(entry -> entry.get("course").toString().contains("HELD"))
        .count();
  }

  @Test
  void a_frozen_database_counts_as_away_and_nothing_is_doubled_when_it_wakes() {
    server.database().freeze();
    long frozen = System.nanoTime();
    try {
      for (int i = 0; i < 5; i++) {
        assertThat(ines.service(call, "hold").status()).isEqualTo(204);
        assertThat(ines.service(call, "retrieve").status()).isEqualTo(204);
      }
      ines.await(push -> push.path("behind").asBoolean());
      assertThat(ines.service(call, "clear").status()).isEqualTo(204);
      tomasz.awaitNoCalls();
    } finally {
      server.database().thaw();
    }
    assertThat(Duration.ofNanos(System.nanoTime() - frozen)).isLessThan(Duration.ofSeconds(10));
    JsonNode now = ines.await(push -> push.has("behind") && !push.get("behind").asBoolean());
    assertThat(now.get("refused").asInt()).isZero();
    assertThat(entriesOfTheCall()).isEqualTo(1);
  }

  @Test
  void what_a_stopped_server_could_not_write_the_next_one_writes() {
    server.database().kill();
    assertThat(ines.service(call, "hold").status()).isEqualTo(204);
    assertThat(ines.service(call, "retrieve").status()).isEqualTo(204);
    String second = tomasz.call("212");
    assertThat(ines.service(call, "clear").status()).isEqualTo(204);
    server.restart(() -> server.database().start());
    assertThat(tomasz.get("/api/desk").body().get("calls").toString()).contains(second);
    assertThat(entriesOfTheCall()).isEqualTo(1);
    server.restart();
    assertThat(entriesOfTheCall()).as("read in once").isEqualTo(1);
    tomasz.service(second, "clear");
  }

  @Test
  void what_was_submitted_before_a_restart_counts_once_all_the_same() {
    ines.service(call, "clear");
    ines.awaitNoCalls();
    String outside = ines.call("999");
    server.clock().advance(Duration.ofSeconds(4));
    ines.awaitCall("TALKING");
    assertThat(press(outside, "written", "7").status()).isEqualTo(204);
    // However long the restarts take, nobody gives the call up meanwhile.
    server.database().set("unattended", "3600");
    server.database().kill();
    assertThat(press(outside, "waiting", "8").status()).isEqualTo(204);
    server.restart(() -> server.database().start());
    ines.connect(); // as a page does: a call that nobody attends is given up
    assertThat(press(outside, "written", "7").code()).isEqualTo("SUBMISSION_DONE");
    assertThat(press(outside, "waiting", "8").code()).isEqualTo("SUBMISSION_DONE");
    server.restart();
    ines.connect();
    assertThat(press(outside, "waiting", "8").code()).as("written").isEqualTo("SUBMISSION_DONE");
    assertThat(press(outside, "new", "9").status()).isEqualTo(204);
    assertThat(ines.get("/api/desk").body().get("calls").get(0).get("digits").asString())
        .isEqualTo("789");
    ines.service(outside, "clear");
  }

  private Answer press(String outside, String identity, String key) {
    return ines.submit(identity, "/api/calls/" + outside + "/digits", Map.of("digits", key));
  }
}
