package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.nimbusds.jose.jwk.RSAKey;
import com.nimbusds.jose.jwk.gen.RSAKeyGenerator;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import oficina.core.people.Person;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Signing in by the identity provider of the office. */
@ExtendWith(TestServer.class)
class ProviderOverHttpTest {
  private static final String SETTING = "/api/office/identity-provider";

  private final PlayedProvider provider = new PlayedProvider();
  private final Client mirela = Client.withoutPage(TestServer.get().address(), "mirela");
  private final Client browser = new Client(TestServer.get().address());

  @BeforeEach
  void theOfficeHasOne() {
    assertThat(mirela.put(SETTING, provider.settings("REFUSED")).status()).isEqualTo(204);
    provider.vouchFor("s-1", mail("Rufus Adeyemi"), "Rufus A.");
  }

  @AfterEach
  void theOfficeHasNone() {
    mirela.delete(SETTING);
    mirela.close();
    provider.close();
  }

  private static String mail(String name) {
    return TestServer.get().bean(OfficeData.class).directory().people().stream()
        .filter(each -> each.name().equals(name))
        .map(each -> each.place().mail())
        .findFirst()
        .orElseThrow();
  }

  private static String location(Client.Answer answer) {
    return answer.response().headers().firstValue("Location").orElse("");
  }

  /** Where the provider sends a browser back to. */
  private String toProvider(Client by) throws Exception {
    String there = location(by.get("/api/session/provider/go"));
    HttpResponse<Void> sent =
        HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(URI.create(there)).build(),
                HttpResponse.BodyHandlers.discarding());
    return sent.headers()
        .firstValue("Location")
        .orElseThrow()
        .substring(TestServer.get().address().length());
  }

  private String comesBack() throws Exception {
    return location(browser.get(toProvider(browser)));
  }

  @Test
  void whoever_the_provider_vouches_for_is_in_by_their_mail_until_they_sign_out_there()
      throws Exception {
    assertThat(comesBack()).isEqualTo("/");
    assertThat(browser.get("/api/session").body().get("name").asString())
        .isEqualTo("Rufus Adeyemi");

    assertThat(saysSignedOut("not signed").statusCode()).isEqualTo(401);
    assertThat(browser.get("/api/desk").status()).isEqualTo(200);
    assertThat(saysSignedOut(provider.signedOut("s-1")).statusCode()).isEqualTo(204);
    assertThat(browser.get("/api/desk").code()).isEqualTo("SIGNED_OUT");
  }

  private static HttpResponse<String> saysSignedOut(String token) throws Exception {
    String form = "logout_token=" + URLEncoder.encode(token, StandardCharsets.UTF_8);
    return HttpClient.newHttpClient()
        .send(
            HttpRequest.newBuilder(
                    URI.create(TestServer.get().address() + "/api/session/provider/signed-out"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(form))
                .build(),
            HttpResponse.BodyHandlers.ofString());
  }

  @Test
  void whoever_is_nobody_here_is_refused_or_joins_as_the_office_says() throws Exception {
    provider.vouchFor("s-2", "senna.oakes@isles.example", "Senna Oakes");
    assertThat(comesBack()).isEqualTo("/?refused=NOT_OF_OFFICE");
    assertThat(browser.get("/api/desk").code()).isEqualTo("SIGNED_OUT");

    mirela.put(SETTING, provider.settings("JOINS")).done();
    assertThat(comesBack()).isEqualTo("/");
    var me = browser.get("/api/session").body();
    assertThat(me.get("name").asString()).isEqualTo("Senna Oakes");
    assertThat(me.get("role").asString()).isEqualTo("employee");
    assertThat(comesBack()).as("the second time").isEqualTo("/");
    assertThat(TestServer.get().bean(OfficeData.class).directory().people())
        .extracting(Person::name)
        .containsOnlyOnce("Senna Oakes");
    mirela.delete("/api/office/people/" + me.get("id").asLong()).done();
    mirela.put(SETTING, provider.settings("REFUSED")).done();
    assertThat(comesBack()).as("who has left").isEqualTo("/?refused=NOT_OF_OFFICE");
  }

  @Test
  void what_the_provider_has_not_signed_for_this_office_lets_nobody_in() throws Exception {
    RSAKey own = provider.signs;
    provider.signs = new RSAKeyGenerator(2048).keyID("one").generate();
    assertThat(comesBack()).as("forged").isEqualTo("/?refused=PROVIDER_NOT_BELIEVED");
    provider.signs = own;
    provider.audience = "another office";
    assertThat(comesBack()).isEqualTo("/?refused=PROVIDER_NOT_BELIEVED");
    provider.audience = "oficina";
    provider.person = Map.of("sub", "s-1", "email", mail("Rufus Adeyemi"), "email_verified", false);
    assertThat(comesBack()).isEqualTo("/?refused=PROVIDER_SAYS_NO_MAIL");
    assertThat(location(browser.get("/api/session/provider/back")))
        .isEqualTo("/?refused=PROVIDER_REFUSED");
    assertThat(browser.get("/api/desk").code()).isEqualTo("SIGNED_OUT");
  }

  @Test
  void another_browser_cannot_be_sent_back_in_ones_name() throws Exception {
    String back = toProvider(browser);
    Client lured = new Client(TestServer.get().address());
    lured.get("/api/session/provider/go");
    assertThat(location(lured.get(back))).isEqualTo("/?refused=PROVIDER_BEGIN_ANEW");
    assertThat(location(browser.get(back)))
        .as("it counts once, whoever tried")
        .isEqualTo("/?refused=PROVIDER_BEGIN_ANEW");
  }

  @Test
  void only_what_answers_as_a_provider_is_taken_and_its_secret_is_told_nobody() {
    Map<String, Object> nowhere =
        Map.of(
            "issuer", "http://127.0.0.1:1",
            "clientId", "x",
            "secret", "y",
            "called", "z",
            "unknown", "REFUSED");
    assertThat(mirela.put(SETTING, nowhere).code()).isEqualTo("PROVIDER_SILENT");
    for (String bad : new String[] {"http://isles.example", "ftp://isles.example", "isles"}) {
      Map<String, Object> body = new HashMap<>(nowhere);
      body.put("issuer", bad);
      assertThat(mirela.put(SETTING, body).code()).isEqualTo("PROVIDER_ADDRESS");
    }
    assertThat(mirela.get(SETTING).body().toString())
        .contains(provider.issuer())
        .doesNotContain("known to two");
    assertThat(mirela.get("/api/office/log?text=Isles").body().toString())
        .contains("Isles Account")
        .doesNotContain("known to two");
    assertThat(TestServer.get().bean(OfficeStore.class).setting("identity-provider").orElseThrow())
        .as("sealed in the database")
        .doesNotContain("known to two", provider.issuer());
    assertThat(browser.get("/api/session/provider").body().toString())
        .isEqualTo("{\"called\":\"Isles Account\"}");
  }
}
