package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.ByteArrayOutputStream;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import oficina.core.passwords.OneTimeCode;
import oficina.server.Client;
import oficina.server.PlayedProvider;
import oficina.server.TestServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Getting in by a passkey, a provider, a code besides the password, a new password by a link. */
@ExtendWith(TestServer.class)
class GettingInTest {
  private static final String PASSWORD = "harbour-light";
  private static final String ANOTHER = "oilskins behind the door";
  private static final String BASE32 = "ABCDEFGHIJKLMNOPQRSTUVWXYZ234567";

  @RegisterExtension final Browsers browsers = new Browsers();

  /** As a program on a telephone takes in what is typed into it. */
  private static byte[] secret(String typed) {
    ByteArrayOutputStream secret = new ByteArrayOutputStream();
    int bits = 0;
    int held = 0;
    for (char each : typed.replaceAll("\\s", "").toCharArray()) {
      held = held << 5 | BASE32.indexOf(each);
      bits += 5;
      if (bits >= 8) {
        bits -= 8;
        secret.write(held >> bits);
        held &= (1 << bits) - 1;
      }
    }
    return secret.toByteArray();
  }

  /** What that program shows after the present code has gone. */
  private static String nextCode(byte[] secret) {
    TestServer.get().clock().advance(Duration.ofSeconds(30));
    return OneTimeCode.at(secret, TestServer.get().clock().instant());
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  @Test
  void with_a_second_factor_the_password_alone_lets_nobody_in() {
    Desk kirsi = browsers.of("kirsi");
    Page page = kirsi.page;
    kirsi.openMenu("Kirsi");
    page.getByText("Passkeys and second factor").click();
    page.getByLabel("Your password, once more").fill(PASSWORD);
    button(page, "Begin").click();
    assertThat(
            page.getByRole(
                AriaRole.IMG,
                new Page.GetByRoleOptions().setName("What the program on your mobile reads")))
        .isVisible();
    byte[] secret = secret(page.locator("span.break-all").innerText());
    page.getByLabel("The code it shows").fill("000000");
    button(page, "That is my code").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("That is not the code.");
    page.getByLabel("The code it shows").fill(nextCode(secret));
    button(page, "That is my code").click();
    assertThat(page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.LISTITEM)).hasCount(10);
    String onPaper =
        page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.LISTITEM).first().innerText();
    button(page, "I have them").click();

    Page elsewhere = browsers.stranger();
    Desk desk = new Desk(elsewhere);
    desk.signIn("kirsi", PASSWORD);
    elsewhere.getByLabel("Code").fill(nextCode(secret));
    elsewhere.keyboard().press("Enter");
    assertThat(desk.dialField()).isVisible();
    elsewhere.context().close();
    Page third = browsers.stranger();
    desk = new Desk(third);
    desk.signIn("kirsi", PASSWORD);
    third.getByLabel("Code").fill(onPaper);
    third.keyboard().press("Enter");
    assertThat(desk.dialField()).isVisible();

    kirsi.openMenu("Kirsi");
    page.getByText("Passkeys and second factor").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("9 of the codes on paper are left.");
    page.getByLabel("Your password, once more").fill(PASSWORD);
    button(page, "Do without").click();
    assertThat(page.getByRole(AriaRole.DIALOG))
        .containsText("You sign in with your password alone.");
  }

  /** A device that knows its person by itself, and keeps what it is asked to. */
  private static void givePasskeyDevice(Page page) {
    CDPSession session = page.context().newCDPSession(page);
    session.send("WebAuthn.enable");
    JsonObject options = new JsonObject();
    options.addProperty("protocol", "ctap2");
    options.addProperty("transport", "internal");
    for (String can : List.of("hasResidentKey", "hasUserVerification", "isUserVerified")) {
      options.addProperty(can, true);
    }
    JsonObject device = new JsonObject();
    device.add("options", options);
    session.send("WebAuthn.addVirtualAuthenticator", device);
  }

  @Test
  void a_passkey_alone_lets_its_person_in_and_is_what_the_office_wants() {
    Page page = browsers.stranger();
    givePasskeyDevice(page);
    page.navigate(TestServer.get().address().replace("127.0.0.1", "localhost"));
    Desk mirela = new Desk(page);
    mirela.signIn("mirela", PASSWORD);
    mirela.isLive();
    mirela.openMenu("Mirela");
    page.getByText("Passkeys and second factor").click();
    page.getByLabel("What you call it").fill("Key on my ring");
    page.getByLabel("Your password, as proof").fill("wrong");
    button(page, "Add a passkey").click();
    assertThat(page.getByRole(AriaRole.DIALOG))
        .containsText("Your present password is not that one");
    page.getByLabel("Your password, as proof").fill(PASSWORD);
    button(page, "Add a passkey").click();
    assertThat(button(page, "Remove Key on my ring")).isVisible();
    page.keyboard().press("Escape");

    signOut(mirela);
    button(page, "Sign in with a passkey").click();
    mirela.isLive();
    signOut(mirela);

    Client boss = Client.withoutPage(TestServer.get().address(), "mirela");
    boss.put("/api/office/second-factor", Map.of("of", "ADMINISTRATORS")).done();
    try {
      mirela.signIn("mirela", PASSWORD);
      assertThat(page.getByRole(AriaRole.ALERT)).containsText("Sign in with your passkey.");
      button(page, "Sign in with a passkey").click();
      mirela.isLive();
    } finally {
      boss.put("/api/office/second-factor", Map.of("of", "NOBODY"));
    }

    mirela.openMenu("Mirela");
    page.getByText("Passkeys and second factor").click();
    button(page, "Remove Key on my ring").click();
    assertThat(button(page, "Remove Key on my ring")).hasCount(0);
    page.keyboard().press("Escape");
    signOut(mirela);
    button(page, "Sign in with a passkey").click();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("That passkey opens nothing here.");
  }

  private static void signOut(Desk desk) {
    desk.openMenu("Mirela");
    button(desk.page, "Sign out").click();
    assertThat(button(desk.page, "Sign in with a passkey")).isVisible();
  }

  @Test
  void people_sign_in_where_the_office_does_for_everything_else() {
    try (PlayedProvider provider = new PlayedProvider()) {
      Page page = browsers.of("mirela").page;
      page.keyboard().press("=");
      Locator form =
          page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Identity provider"));
      form.getByLabel("Its address").fill("http://isles.example");
      form.getByLabel("What people call it").fill("Isles Account");
      form.getByLabel("How this office is called there").fill("oficina");
      form.getByLabel("What this office shows there").fill("known to two");
      form.getByText("Keep").click();
      assertThat(form.getByRole(AriaRole.ALERT)).containsText("begins with https://");
      form.getByLabel("Its address").fill(provider.issuer());
      form.getByText("Keep").click();
      assertThat(form.getByText("Nobody signs in by it any more")).isVisible();

      provider.vouchFor("s-9", "somebody@isles.example", "Somebody Else");
      Page elsewhere = browsers.stranger();
      elsewhere.getByText("Sign in with Isles Account").click();
      assertThat(elsewhere.getByRole(AriaRole.ALERT))
          .containsText("Nobody of this office has your mail.");
      provider.vouchFor("s-1", "petra@fennick-isles.example", "Petra");
      elsewhere.getByText("Sign in with Isles Account").click();
      new Desk(elsewhere).isLive();

      form.getByText("Nobody signs in by it any more").click();
      assertThat(form.getByText("Nobody signs in by it any more")).hasCount(0);
    }
  }

  @Test
  void a_link_lets_whoever_has_forgotten_their_password_choose_another() {
    Desk mirela = browsers.of("mirela");
    mirela.press("=");
    mirela.page.getByLabel("Find in the register").fill("yusuf");
    button(mirela.page, "Change Yusuf Penhallow").click();
    button(mirela.page, "Link for a new password").click();
    String link =
        mirela
            .page
            .getByRole(
                AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Link for a new password"))
            .inputValue();

    choose(link, ANOTHER);
    Page used = browsers.stranger();
    used.navigate(link);
    assertThat(used.getByText("This link was used already")).isVisible();
  }

  private void choose(String link, String password) {
    Page page = browsers.stranger();
    page.navigate(link);
    page.getByLabel("New password", new Page.GetByLabelOptions().setExact(true)).fill(password);
    page.getByLabel("New password again").fill(password);
    button(page, "Change password").click();
    assertThat(page.getByText("Your password is changed.")).isVisible();
    page.getByText("To sign in").click();
    Desk yusuf = new Desk(page);
    yusuf.signIn("yusuf", password);
    assertThat(yusuf.dialField()).isVisible();
    page.context().close();
  }
}
