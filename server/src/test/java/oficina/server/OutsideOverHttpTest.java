package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Playing subscribers of the simulated network. */
@ExtendWith(TestServer.class)
class OutsideOverHttpTest {
  private static final String DOV = "/api/outside/subscribers/+441514960177";

  private static JsonNode dov(Client client) {
    for (JsonNode each : client.get("/api/outside").body().get("subscribers")) {
      if (each.get("number").asString().equals("+441514960177")) {
        return each;
      }
    }
    throw new AssertionError("no Dov");
  }

  @Test
  void one_person_plays_a_subscriber_and_nobody_else_sees_or_drives_their_calls() {
    try (Client ines = Client.signedIn("ines");
        Client tomasz = Client.signedIn("tomasz")) {
      assertThat(ines.post(DOV + "/calls", Map.of("to", "221", "withheld", false)).code())
          .isEqualTo("NOT_PLAYED_BY_YOU");
      assertThat(ines.put(DOV + "/player", Map.of()).status()).isEqualTo(204);
      Answer taken = tomasz.put(DOV + "/player", Map.of());
      assertThat(taken.status()).isEqualTo(409);
      assertThat(taken.code()).isEqualTo("PLAYED_BY_OTHER");
      assertThat(taken.body().get("about").get("person").asString()).isEqualTo("Ines Calloway");

      assertThat(
              ines.post(DOV + "/calls", Map.of("to", "0191 498 0221", "withheld", false)).status())
          .isEqualTo(201);
      tomasz.awaitCall("RINGING");
      assertThat(dov(ines).get("calls").get(0).get("state").asString()).isEqualTo("CALLING");
      assertThat(dov(tomasz).get("calls")).isEmpty();
      assertThat(tomasz.post(DOV + "/hang-up", Map.of()).status()).isEqualTo(409);
      assertThat(ines.post(DOV + "/calls", Map.of("to", "221", "withheld", false)).code())
          .isEqualTo("SUBSCRIBER_ON_CALL");
      assertThat(ines.post(DOV + "/hang-up", Map.of()).status()).isEqualTo(204);
      tomasz.awaitNoCalls();

      assertThat(ines.post(DOV + "/calls", Map.of("to", "nobody", "withheld", false)).code())
          .isEqualTo("NOT_AN_OFFICE_NUMBER");
      assertThat(
              ines.post(DOV + "/calls", Map.of("to", "0191 498 0299", "withheld", false)).status())
          .isEqualTo(201);
      assertThat(dov(ines).get("calls").get(0).get("reason").asString())
          .isEqualTo("NUMBER_NOT_IN_USE");
      assertThat(ines.post(DOV + "/hang-up", Map.of()).status()).isEqualTo(204);
      assertThat(ines.delete(DOV + "/player").status()).isEqualTo(204);
    }
  }

  @Test
  void at_least_forty_subscribers_of_every_kind() {
    try (Client ines = Client.signedIn("ines")) {
      JsonNode subscribers = ines.get("/api/outside").body().get("subscribers");
      assertThat(subscribers.size()).isGreaterThanOrEqualTo(40);
      assertThat(subscribers.toString())
          .contains("ANSWERS", "NO_ANSWER", "BUSY", "MENU", "NOT_IN_USE");
    }
  }
}
