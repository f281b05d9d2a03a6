package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import oficina.core.people.Group;
import oficina.server.Client.Answer;
import oficina.server.office.OfficeData;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The freight line keeps callers for Tomasz alone, who leads it; Joss is none of its members. */
@ExtendWith(TestServer.class)
abstract class FreightOverHttp {
  static final String NUMBER = "0191 498 0120";
  static final String DOV = "/api/outside/subscribers/+441514960177";
  static final String MARISOL = "/api/outside/subscribers/+441134960148";

  final Group freight =
      TestServer.get().bean(OfficeData.class).directory().groups().stream()
          .filter(group -> group.name().equals("Freight"))
          .findFirst()
          .orElseThrow();
  final long line = freight.id().value();
  final String path = "/api/queues/" + line;
  final String kept = "/api/office/queues/" + line;

  final Client boss = Client.withoutPage(TestServer.get().address(), "mirela");
  final Client tomasz = Client.signedIn("tomasz");
  final Client stranger = Client.signedIn("joss");

  @BeforeEach
  void only_tomasz_takes_part() {
    assertThat(boss.put(kept, settings()).status()).isEqualTo(204);
    others().forEach(other -> assertThat(takePart(tomasz, other, false).status()).isEqualTo(204));
    assertThat(stranger.put(DOV + "/player", Map.of()).status()).isEqualTo(204);
    assertThat(stranger.put(MARISOL + "/player", Map.of()).status()).isEqualTo(204);
  }

  @AfterEach
  void as_before() {
    for (String each : List.of(DOV, MARISOL)) {
      stranger.post(each + "/hang-up", Map.of());
      stranger.delete(each + "/player");
    }
    tomasz.hangUp();
    tomasz.post("/api/queues/finishing", Map.of());
    tomasz.put("/api/lines/part", Map.of("takesPart", true, "reason", ""));
    others().forEach(other -> takePart(tomasz, other, true));
    boss.delete(kept);
    List.of(boss, tomasz, stranger).forEach(Client::close);
  }

  List<Long> others() {
    return freight.members().stream().map(each -> each.value()).filter(id -> id != me()).toList();
  }

  long me() {
    return TestServer.get().bean(OfficeData.class).directory().people().stream()
        .filter(person -> person.name().equals("Tomasz Brill"))
        .mapToLong(person -> person.id().value())
        .findFirst()
        .orElseThrow();
  }

  Map<String, Object> settings() {
    Map<String, Object> settings = new HashMap<>();
    settings.put("order", "LONGEST_IDLE");
    settings.put("longestWait", 120);
    settings.put("most", 5);
    settings.put("finishing", 30);
    settings.put("tellPlace", true);
    settings.put("tellTime", true);
    settings.put("every", 30);
    settings.put("keep", true);
    settings.put("message", true);
    settings.put("elsewhere", false);
    settings.put("within", 20);
    settings.put("percent", 80);
    settings.put("members", List.of(Map.of("person", me(), "leads", true, "asked", 0)));
    settings.put("preferences", List.of(Map.of("why", "AGAIN_TODAY", "tag", "", "priority", 3)));
    settings.put("asks", "");
    settings.put("digits", 6);
    settings.put("fields", List.of());
    settings.put("address", "");
    return settings;
  }

  Answer takePart(Client who, long person, boolean takesPart) {
    return who.put(
        path + "/members/" + person, Map.of("takesPart", takesPart, "reason", "in a test"));
  }

  Answer calls(String subscriber) {
    return stranger.post(subscriber + "/calls", Map.of("to", NUMBER, "withheld", false));
  }

  JsonNode queue() {
    return tomasz.get("/api/queues").body().get("queues").get(0);
  }

  /** What is spoken before it takes its time. */
  static void until(BooleanSupplier holds) {
    long patience = System.nanoTime() + Duration.ofSeconds(40).toNanos();
    while (!holds.getAsBoolean() && System.nanoTime() < patience) {
      LockSupport.parkNanos(20_000_000);
    }
    assertThat(holds.getAsBoolean()).isTrue();
  }
}
