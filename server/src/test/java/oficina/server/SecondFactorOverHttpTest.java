package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import oficina.core.passwords.OneTimeCode;
import oficina.server.Client.Answer;
import oficina.server.passwords.AccessPolicy;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Signing in with a code besides the password, and a new password by a link. */
@ExtendWith(TestServer.class)
class SecondFactorOverHttpTest {
  private static final String FACTOR = "/api/session/second-factor";
  private static final String OFFICE = "/api/office/second-factor";
  private static final String ACCESS = "/api/office/access";
  private static final String PASSWORD = "harbour-light";
  private static final String ANOTHER = "the second lamp on the quay";

  private final Client mirela = Client.signedIn("mirela");

  @AfterEach
  void nobodyHasToHaveOne() {
    mirela.put(OFFICE, Map.of("of", "NOBODY"));
    mirela.close();
  }

  private static Client stranger() {
    return new Client(TestServer.get().address());
  }

  private static Answer signIn(Client client, String name, String password, String code) {
    client.get("/api/session");
    return client.post("/api/session", Map.of("name", name, "password", password, "code", code));
  }

  /** What the program of the person shows, a new one. */
  private static String code(byte[] secret) {
    TestServer.get().clock().advance(Duration.ofSeconds(30));
    return OneTimeCode.at(secret, TestServer.get().clock().instant());
  }

  private static byte[] secret(JsonNode begun) {
    String text = begun.get("secret").asString();
    StringBuilder bits = new StringBuilder();
    for (char each : text.toCharArray()) {
      int five = "ABCDEFGHIJKLMNOPQRSTUVWXYZ234567".indexOf(each);
      bits.append(Integer.toBinaryString(32 + five).substring(1));
    }
    byte[] secret = new byte[OneTimeCode.SECRET_BYTES];
    for (int i = 0; i < secret.length; i++) {
      secret[i] = (byte) Integer.parseInt(bits.substring(8 * i, 8 * i + 8), 2);
    }
    return secret;
  }

  private static long id(Client who) {
    return who.get("/api/session").body().get("id").asLong();
  }

  @Test
  void a_code_is_wanted_besides_the_password_each_counts_once_and_guessing_is_slow() {
    Client celia = Client.withoutPage(TestServer.get().address(), "celia");
    assertThat(celia.post(FACTOR + "/begin", Map.of("present", "not this one")).code())
        .isEqualTo("WRONG_PRESENT_PASSWORD");
    JsonNode begun = celia.post(FACTOR + "/begin", Map.of("present", PASSWORD)).done();
    byte[] secret = secret(begun);
    assertThat(begun.get("address").asString()).contains("otpauth://totp/", ":celia?secret=");
    assertThat(celia.post(FACTOR, Map.of("code", "000000")).code()).isEqualTo("WRONG_CODE");
    assertThat(signIn(stranger(), "celia", PASSWORD, "").status())
        .as("not in force yet")
        .isEqualTo(200);

    String first = code(secret);
    JsonNode paper = celia.post(FACTOR, Map.of("code", first)).done().get("recoveryCodes");
    assertThat(paper).hasSize(10);
    assertThat(
            TestServer.get()
                .bean(JdbcClient.class)
                .sql("select secret from second_factor where person_id = ?")
                .param(id(celia))
                .query(byte[].class)
                .single())
        .as("sealed in the database")
        .startsWith("sealed1:".getBytes(StandardCharsets.US_ASCII))
        .hasSizeGreaterThan(secret.length + 16);

    assertThat(signIn(stranger(), "celia", PASSWORD, "").code()).isEqualTo("CODE_WANTED");
    assertThat(signIn(stranger(), "celia", "wrong", "").code()).isEqualTo("WRONG_PASSWORD");
    assertThat(signIn(stranger(), "celia", PASSWORD, first).code())
        .as("used")
        .isEqualTo("WRONG_CODE");
    String code = code(secret);
    assertThat(signIn(stranger(), "celia", PASSWORD, code).status()).isEqualTo(200);
    assertThat(signIn(stranger(), "celia", PASSWORD, code).code()).isEqualTo("WRONG_CODE");
    String onPaper = paper.get(3).asString().toLowerCase();
    assertThat(signIn(stranger(), "celia", PASSWORD, onPaper).status()).isEqualTo(200);
    assertThat(signIn(stranger(), "celia", PASSWORD, onPaper).code()).isEqualTo("WRONG_CODE");
    assertThat(celia.get(FACTOR).body().get("recoveryCodes").asInt()).isEqualTo(9);
    for (int i = 0; i < 4; i++) {
      signIn(stranger(), "celia", PASSWORD, "00000" + i);
    }
    assertThat(signIn(stranger(), "celia", PASSWORD, code(secret)).status())
        .as("also the right one waits")
        .isIn(200, 429);

    String path = "/api/office/people/" + id(celia) + "/second-factor";
    assertThat(mirela.get(path).body().get("has").asBoolean()).isTrue();
    mirela.delete(path).done();
    assertThat(signIn(stranger(), "celia", PASSWORD, "").status()).isEqualTo(200);
  }

  @Test
  void the_office_says_how_long_passwords_are_and_sign_ins_last() {
    AccessPolicy policy = TestServer.get().bean(AccessPolicy.class);
    AccessPolicy.Access before = policy.now();
    Client davy = Client.withoutPage(TestServer.get().address(), "davy");
    Map<String, Integer> body =
        Map.of("shortestPassword", 12, "unusedHours", 100, "longestDays", 30);
    try {
      assertThat(davy.put(ACCESS, body).code()).isEqualTo("NOT_ADMINISTRATOR");
      assertThat(mirela.put(ACCESS, Map.of("shortestPassword", 7)).status()).isEqualTo(422);
      mirela.put(ACCESS, body).done();
      Answer tooShort =
          davy.put("/api/session/password", Map.of("present", PASSWORD, "next", "grey gull 9"));
      assertThat(tooShort.code()).isEqualTo("PASSWORD_TOO_SHORT");
      assertThat(tooShort.body().get("about").get("shortest").asString()).isEqualTo("12");
      assertThat(mirela.get("/api/office/log?text=100%20h").body().toString())
          .contains("12 characters");
    } finally {
      policy.set(before);
    }
  }

  @Test
  void whoever_has_to_have_one_sets_it_up_before_anything_else() {
    Client mirelaToo = Client.withoutPage(TestServer.get().address(), "mirela");
    Client davy = Client.withoutPage(TestServer.get().address(), "davy");
    mirela.put(OFFICE, Map.of("of", "ADMINISTRATORS")).done();
    assertThat(davy.get("/api/history").status()).isEqualTo(200);
    assertThat(mirelaToo.get("/api/history").code()).isEqualTo("SECOND_FACTOR_MUST_BE_SET_UP");
    assertThat(mirela.put(OFFICE, Map.of("of", "NOBODY")).code())
        .as("also whoever said so")
        .isEqualTo("SECOND_FACTOR_MUST_BE_SET_UP");
    assertThat(mirelaToo.get("/api/session").body().get("mustAddFactor").asBoolean()).isTrue();

    byte[] secret = secret(mirelaToo.post(FACTOR + "/begin", Map.of("present", PASSWORD)).done());
    mirelaToo.post(FACTOR, Map.of("code", code(secret))).done();
    assertThat(mirelaToo.get("/api/history").status()).isEqualTo(200);
    assertThat(mirelaToo.post(FACTOR + "/end", Map.of("present", PASSWORD)).code())
        .isEqualTo("SECOND_FACTOR_WANTED_BY_OFFICE");
    mirelaToo.put(OFFICE, Map.of("of", "NOBODY")).done();
    mirelaToo.post(FACTOR + "/end", Map.of("present", PASSWORD)).done();
    assertThat(signIn(stranger(), "mirela", PASSWORD, "").status()).isEqualTo(200);
  }

  @Test
  void a_link_gives_one_new_password_for_a_day() {
    mirela
        .post("/api/office/people", OfficeOverHttpTest.joining("Linnet Pryor", "linnet", "297"))
        .done();
    Client linnet = stranger();
    linnet.signIn("linnet", "given-by-mirela").done();
    long id = id(linnet);
    mirela.post("/api/office/people/" + id + "/sign-out", Map.of()).done();
    assertThat(linnet.get("/api/history").code()).isEqualTo("SIGNED_OUT");
    linnet.signIn("linnet", "given-by-mirela").done();
    assertThat(mirela.get("/api/office/log?kind=SIGNED_OUT").body().toString()).contains("Linnet");
    String made = "/api/office/people/" + id + "/link";
    String first = token(mirela.post(made, Map.of()));
    String second = token(mirela.post(made, Map.of()));
    Client visitor = stranger();
    visitor.get("/api/session");
    assertThat(visitor.post("/api/session/link", Map.of("token", first)).code())
        .isEqualTo("LINK_GONE");
    assertThat(visitor.post("/api/session/link", Map.of("token", second)).body().toString())
        .contains("linnet");
    Map<String, String> chosen = Map.of("token", second, "password", ANOTHER);
    assertThat(
            visitor
                .post("/api/session/link/password", Map.of("token", second, "password", "linnet"))
                .status())
        .as("too weak")
        .isEqualTo(422);
    visitor.post("/api/session/link/password", chosen).done();
    assertThat(visitor.post("/api/session/link/password", chosen).code()).isEqualTo("LINK_GONE");
    assertThat(linnet.get("/api/history").code()).as("signed out").isEqualTo("SIGNED_OUT");
    assertThat(
            signIn(stranger(), "linnet", ANOTHER, "").body().get("mustChangePassword").asBoolean())
        .isFalse();

    String third = token(mirela.post(made, Map.of()));
    TestServer.get().clock().advance(Duration.ofHours(25));
    assertThat(visitor.post("/api/session/link", Map.of("token", third)).code())
        .isEqualTo("LINK_GONE");
    assertThat(mirela.post("/api/office/people/" + id(mirela) + "/link", Map.of()).code())
        .isEqualTo("NOT_ONESELF");
    mirela.delete("/api/office/people/" + id).done();
  }

  private static String token(Answer made) {
    String path = made.done().get("path").asString();
    return path.substring(path.indexOf('#') + 1);
  }

  @Test
  void a_secret_number_that_was_forgotten_or_told_is_taken_away() {
    Client oskar = Client.withoutPage(TestServer.get().address(), "oskar");
    String telephone = "/api/voicemail-by-telephone";
    String pin = "/api/office/people/" + id(oskar) + "/pin";
    oskar.put(telephone + "/pin", Map.of("pin", "7294")).done();
    assertThat(mirela.get(pin).body().get("has").asBoolean()).isTrue();
    assertThat(mirela.delete(pin).status()).isEqualTo(204);
    assertThat(oskar.get(telephone).body().get("pinIsSet").asBoolean()).isFalse();
    assertThat(mirela.delete(pin).code()).isEqualTo("NO_SUCH_PERSON");
    assertThat(mirela.get("/api/office/log?kind=REMOVED").body().get(0).get("what").asString())
        .isEqualTo("pin");
  }
}
