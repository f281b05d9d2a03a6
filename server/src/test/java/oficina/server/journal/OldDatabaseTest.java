package oficina.server.journal;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import oficina.server.Client;
import oficina.server.ServerProcess;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * A database that an earlier version left in the middle of calls of every kind: all of them go on,
 * and nothing of the past is lost. (Its calls are of 2099, so that no timer of theirs runs out.)
 */
class OldDatabaseTest {

  private static List<String> calls(Client client) {
    List<String> all = new ArrayList<>();
    for (JsonNode call : client.get("/api/desk").body().get("calls")) {
      all.add(call.get("phase").asString() + " " + call.get("other").get("name").asString());
    }
    return all;
  }

  private static String id(Client client, String call) {
    return client
        .get("/api/desk")
        .body()
        .get("calls")
        .get(calls(client).indexOf(call))
        .get("id")
        .asString();
  }

  @Test
  void calls_wishes_slots_and_history_of_an_earlier_version_go_on() {
    try (ServerProcess server = new ServerProcess()) {
      server
          .database()
          .load(
              OldDatabaseTest.class.getResourceAsStream("/journal/database-before-version-3.sql"));
      server.start();
      Client ines = Client.withoutPage(server.address(), "ines");
      Client tomasz = Client.withoutPage(server.address(), "tomasz");
      Client bram = Client.withoutPage(server.address(), "bram");
      Client una = Client.withoutPage(server.address(), "una");
      Client lotte = Client.withoutPage(server.address(), "lotte");
      Client mirela = Client.withoutPage(server.address(), "mirela");
      Client priya = Client.withoutPage(server.address(), "priya");
      assertThat(calls(tomasz)).as("handed over").containsExactly("TALKING Adaeze Moor");
      assertThat(calls(bram)).as("parked").containsExactly("WAITING Ines Calloway");
      assertThat(ines.get("/api/desk").body().get("callBacks").get(0).get("name").asString())
          .isEqualTo("Bram Oakes");
      assertThat(calls(una))
          .containsExactly("HELD Rufus Adeyemi", "HELD Lotte Penrose", "SENT Celia Thorne");
      assertThat(calls(mirela)).containsExactly("RINGING Priya Venn", "RINGING Celia Thorne");
      assertThat(calls(priya)).containsExactly("HELD 0151 496 0177", "CALLING Mirela Stanton");

      // Lotte was taken aside, and is brought back.
      JsonNode aside = una.get("/api/desk").body().get("calls").get(1);
      assertThat(aside.get("aside").asBoolean()).isTrue();
      assertThat(aside.get("actions").toString()).contains("JOIN");
      Map<String, String> other = Map.of("other", aside.get("id").asString(), "device", "test");
      String conference = aside.get("announces").asString();
      assertThat(una.post("/api/calls/" + conference + "/join", other).status()).isEqualTo(204);
      assertThat(lotte.get("/api/desk").body().get("calls").get(0).has("conference")).isTrue();

      // Celia was sent to Mirela, who does not take her: back to Una.
      assertThat(mirela.service(id(mirela, "RINGING Celia Thorne"), "decline").status())
          .isEqualTo(204);
      assertThat(calls(una)).contains("RINGING Celia Thorne");

      // Bram is taken out of his slot, and everything ends in the history.
      assertThat(ines.post("/api/slots/63/take", Map.of("device", "test")).status()).isEqualTo(204);
      assertThat(calls(bram)).containsExactly("TALKING Ines Calloway");
      assertThat(bram.service(id(bram, "TALKING Ines Calloway"), "clear").status()).isEqualTo(204);
      JsonNode entries = bram.get("/api/history").body().get("entries");
      assertThat(entries.toString()).contains("PARKED");
      assertThat(bram.get("/api/history?filter=MISSED").status()).isEqualTo(200);
      JsonNode before = tomasz.get("/api/history").body().get("entries").get(0);
      assertThat(before.get("course").toString()).as("a course of then").contains("HELD");
      String name = before.get("other").get("name").asString();
      JsonNode found =
          tomasz.get("/api/history?text=" + name.substring(0, 3)).body().get("entries");
      assertThat(found.toString()).as("found by words").contains(name);
      assertThat(server.log()).doesNotContain("ERROR");
    }
  }
}
