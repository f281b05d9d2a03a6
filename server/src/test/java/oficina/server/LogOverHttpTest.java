package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What people who are no administrators do to what belongs to the office stands in its log. */
@ExtendWith(TestServer.class)
class LogOverHttpTest {
  private final Client mirela = Client.signedIn("mirela");
  private final Client tomasz = Client.signedIn("tomasz");

  @AfterEach
  void out() {
    mirela.close();
    tomasz.close();
  }

  private JsonNode last() {
    return mirela.get("/api/office/log?who=tomasz").body().get(0);
  }

  @Test
  void contacts_of_the_office_by_their_identity_and_never_somebodys_own() {
    Map<String, Object> card =
        ContactsOverHttpTest.card("Wick Tarrant", "", List.of("07700 900655"));
    JsonNode added = tomasz.post("/api/contacts", Map.of("own", false, "card", card)).done();
    String contact = "/api/contacts/" + added.at("/row/id").asLong();
    assertThat(last().get("kind").asString()).isEqualTo("ADDED");
    assertThat(last().get("about").asString()).isEqualTo("contact " + added.at("/row/id").asLong());
    tomasz.put(contact, ContactsOverHttpTest.card("Wick Tarrant", "Rope", List.of())).done();
    assertThat(last().get("kind").asString()).isEqualTo("CHANGED");
    tomasz.delete(contact).done();
    assertThat(last().get("kind").asString()).isEqualTo("REMOVED");
    long number = last().get("number").asLong();
    tomasz.post("/api/contacts", Map.of("own", true, "card", card)).done();
    assertThat(last().get("number").asLong()).as("of nobody else's concern").isEqualTo(number);
    assertThat(mirela.get("/api/office/log?text=Tarrant").body()).isEmpty();
  }

  @Test
  void what_callers_of_a_line_hear() {
    JsonNode freight = null;
    for (JsonNode each : tomasz.get("/api/greetings").body()) {
      freight = each.path("line").asString("").equals("Freight") ? each : freight;
    }
    String greeting = "/api/greetings/" + freight.get("mailbox").asString() + "/CLOSED";
    tomasz.put(greeting + "/typed", Map.of("text", "The sheds open at six.")).done();
    assertThat(last().get("about").asString()).isEqualTo("Freight");
    assertThat(last().get("after").asString()).isEqualTo("CLOSED: The sheds open at six.");
    tomasz.delete(greeting).done();
    assertThat(last().get("before").asString()).isEqualTo("CLOSED: The sheds open at six.");
    assertThat(last().get("after").asString()).isEmpty();
    String own = "/api/greetings/p" + tomasz.get("/api/session").body().get("id").asLong();
    tomasz.put(own + "/BUSY/typed", Map.of("text", "I speak already.")).done();
    assertThat(last().get("after").asString()).startsWith("BUSY: ").doesNotContain("speak");
    tomasz.delete(own + "/BUSY").done();
  }
}
