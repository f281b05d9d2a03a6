package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.security.GeneralSecurityException;
import java.util.Map;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Signing in with a passkey, and trying to with what is none. */
@ExtendWith(TestServer.class)
class PasskeysOverHttpTest {
  private static final String PASSKEYS = "/api/session/passkeys";
  private static final Map<String, Object> PROOF = Map.of("present", "harbour-light");

  /** Where the office has a name. */
  private final String named = TestServer.get().address().replace("127.0.0.1", "localhost");

  private final Client rufus = Client.withoutPage(named, "rufus");
  private final Client stranger = new Client(named);
  private PlayedDevice device;

  @BeforeEach
  void rufusHasOne() throws GeneralSecurityException {
    device = new PlayedDevice(named);
    assertThat(add(rufus, device).status()).isEqualTo(204);
    stranger.get("/api/session");
  }

  @AfterEach
  void none() {
    rufus.get(PASSKEYS).body().forEach(each -> rufus.delete(PASSKEYS + "/" + id(each)));
    rufus.close();
  }

  private static long id(JsonNode passkey) {
    return passkey.get("id").asLong();
  }

  private static Answer add(Client who, PlayedDevice device) throws GeneralSecurityException {
    JsonNode asked = who.post(PASSKEYS + "/begin", PROOF).done();
    return who.post(PASSKEYS, Map.of("name", "mobile", "answer", device.make(asked)));
  }

  private JsonNode asked() {
    return stranger.post(PASSKEYS + "/asked", Map.of()).done();
  }

  private Answer show(JsonNode asked, Map<String, Object> answer) {
    return stranger.post(
        "/api/session/passkey",
        Map.of("challenge", asked.get("challenge").asString(), "answer", answer));
  }

  @Test
  void what_a_device_shows_lets_its_person_in_once() throws GeneralSecurityException {
    JsonNode asked = asked();
    Map<String, Object> shown = device.show(asked);
    assertThat(show(asked, shown).done().get("name").asString()).isEqualTo("Rufus Adeyemi");
    assertThat(stranger.get("/api/desk").status()).isEqualTo(200);
    assertThat(show(asked, shown).code()).as("heard on the way").isEqualTo("PASSKEY_BEGIN_ANEW");
    assertThat(rufus.get(PASSKEYS).body().get(0).has("used")).isTrue();
  }

  @Test
  void whatever_is_not_rightly_shown_lets_nobody_in() throws GeneralSecurityException {
    PlayedDevice another = new PlayedDevice(named);
    JsonNode asked = asked();
    another.make(rufus.post(PASSKEYS + "/begin", PROOF).done());
    assertThat(show(asked, another.show(asked)).code()).as("nobody's").isEqualTo("WRONG_PASSKEY");

    asked = asked();
    assertThat(show(asked(), device.show(asked)).code())
        .as("to another question")
        .isEqualTo("WRONG_PASSKEY");

    device.personKnown = false;
    asked = asked();
    assertThat(show(asked, device.show(asked)).code())
        .as("found on a table")
        .isEqualTo("WRONG_PASSKEY");
    device.personKnown = true;

    device.signs = new PlayedDevice(named).signs;
    asked = asked();
    assertThat(show(asked, device.show(asked)).code()).as("forged").isEqualTo("WRONG_PASSKEY");

    Map<String, Object> nonsense =
        Map.of(
            "clientDataJSON", "e30", "authenticatorData", "x", "signature", "!", "userHandle", "x");
    String its = (String) device.show(asked()).get("id");
    assertThat(show(asked(), Map.of("id", its, "response", nonsense)).code())
        .isEqualTo("WRONG_PASSKEY");
    assertThat(stranger.get("/api/desk").code()).isEqualTo("SIGNED_OUT");
  }

  @Test
  void what_was_asked_in_another_name_is_worth_nothing_here() throws GeneralSecurityException {
    PlayedDevice fooled = new PlayedDevice("http://oficina.example");
    assertThat(add(rufus, fooled).code()).isEqualTo("WRONG_PASSKEY");
    Client byAddress = Client.withoutPage(TestServer.get().address(), "rufus");
    assertThat(byAddress.post(PASSKEYS + "/begin", PROOF).code()).isEqualTo("PASSKEY_NEEDS_NAME");
    assertThat(byAddress.post(PASSKEYS + "/asked", Map.of()).code())
        .isEqualTo("PASSKEY_NEEDS_NAME");
  }

  @Test
  void nobody_adds_one_without_the_password_or_takes_away_one_of_another() {
    assertThat(rufus.post(PASSKEYS + "/begin", Map.of("present", "guessed")).code())
        .isEqualTo("WRONG_PRESENT_PASSWORD");
    Client joss = Client.withoutPage(named, "joss");
    assertThat(joss.get(PASSKEYS).body()).isEmpty();
    long his = id(rufus.get(PASSKEYS).body().get(0));
    assertThat(joss.delete(PASSKEYS + "/" + his).code()).isEqualTo("NO_SUCH_PASSKEY");
    assertThat(rufus.get(PASSKEYS).body()).hasSize(1);
  }

  @Test
  void an_administrator_takes_all_away_that_somebody_has_lost() throws GeneralSecurityException {
    Client mirela = Client.withoutPage(TestServer.get().address(), "mirela");
    long person = rufus.get("/api/session").body().get("id").asLong();
    String factor = "/api/office/people/" + person + "/second-factor";
    assertThat(mirela.get(factor).body().get("has").asBoolean()).isTrue();
    mirela.delete(factor).done();
    JsonNode asked = asked();
    assertThat(show(asked, device.show(asked)).code()).isEqualTo("WRONG_PASSKEY");
  }
}
