package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Whoever waits at a queue keeps their place whatever becomes of the server and its database. */
class QueuesKilledTest {
  private static final List<String> CALLERS =
      List.of("+441514960177", "+442920180031", "+441214960101");

  @Test
  void places_outlive_a_killed_server_and_a_database_that_is_away() throws Exception {
    try (ServerProcess server = new ServerProcess()) {
      server.start();
      Client ines = Client.signedIn(server.address(), "ines");
      Client adaeze = Client.signedIn(server.address(), "adaeze");
      onlyAdaezeTakesPart(adaeze);
      String busy = adaeze.call("0121 496 0103"); // nobody answers there
      callIn(ines, CALLERS.get(0));
      callIn(ines, CALLERS.get(1));
      List<String> before = places(adaeze);
      assertThat(before).hasSize(2);
      server.kill();

      server.launch();
      server.awaitReady();
      adaeze.connect();
      assertThat(places(adaeze)).as("who, and since when").isEqualTo(before);
      server.database().stop();
      callIn(ines, CALLERS.get(2));
      adaeze.service(busy, "clear");
      JsonNode rings = adaeze.awaitCall("RINGING");
      assertThat(rings.get("other").get("number").asString()).isEqualTo("0151 496 0177");
      assertThat(places(adaeze)).hasSize(3).startsWith(before.get(0), before.get(1));
      server.database().start();
    }
  }

  private static void onlyAdaezeTakesPart(Client lead) {
    JsonNode queue = queue(lead);
    String members = "/api/queues/" + queue.get("line").asLong() + "/members/";
    for (JsonNode each : queue.get("members")) {
      boolean takesPart = each.get("name").asString().equals("Adaeze Moor");
      lead.put(members + each.get("person").asLong(), Map.of("takesPart", takesPart));
    }
  }

  private static void callIn(Client player, String subscriber) {
    String path = "/api/outside/subscribers/" + subscriber;
    assertThat(player.put(path + "/player", Map.of()).status()).isEqualTo(204);
    Map<String, Object> call = Map.of("to", "270", "withheld", false);
    assertThat(player.post(path + "/calls", call).status()).isEqualTo(201);
  }

  private static JsonNode queue(Client member) {
    Client.Answer answer = member.get("/api/queues");
    assertThat(answer.status()).as(answer.toString()).isEqualTo(200);
    return answer.body().get("queues").get(0);
  }

  private static List<String> places(Client member) {
    List<String> places = new ArrayList<>();
    for (JsonNode each : queue(member).get("waiting")) {
      places.add(each.get("who").get("number").asString() + " " + each.get("since").asString());
    }
    return places;
  }
}
