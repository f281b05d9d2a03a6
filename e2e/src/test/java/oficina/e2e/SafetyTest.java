package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.Map;
import oficina.server.Client;
import oficina.server.TestServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** One's own sign-ins, what waits for others, and an end of a call at which nobody is any more. */
class SafetyTest {
  @RegisterExtension final Browsers browsers = new Browsers();

  private static Locator signIns(Desk desk, String menu) {
    desk.openMenu(menu);
    desk.button("Where I am signed in").click();
    return desk.page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.LISTITEM);
  }

  @Test
  void where_i_am_signed_in_is_seen_and_ended_from_here() {
    Desk oskar = browsers.of("oskar");
    try (Client forgotten = Client.signedIn(TestServer.get().address(), "oskar")) {
      Locator places = signIns(oskar, "Oskar Lund 252");
      assertThat(places.filter(new Locator.FilterOptions().setHasText("127.0.0.1")).first())
          .isVisible();
      oskar.button("Sign out everywhere else").click();
      assertThat(places).hasCount(1);
      assertThat(places).containsText("Chromium, Linux");
      assertEquals(4001, forgotten.awaitClosed());
      assertEquals(401, forgotten.get("/api/desk").status());
      oskar.page.keyboard().press("Escape");
      oskar.isLive();
    }
  }

  @Test
  void wrong_passwords_tried_elsewhere_are_told_at_the_next_sign_in_and_stay_in_sight() {
    Client attacker = new Client(TestServer.get().address());
    attacker.post("/api/session", Map.of("name", "priya", "password", "a guess"));
    Page page = browsers.stranger();
    Desk priya = new Desk(page);
    priya.signIn("priya", "harbour-light");
    priya.isLive();
    Locator told = page.getByText("since you last signed in: 1,");
    assertThat(told).isVisible();
    page.getByRole(AriaRole.LOG)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Put away"))
        .click();
    assertThat(told).hasCount(0);
  }

  @Test
  void a_call_that_waits_for_somebody_else_is_taken_when_asked_once_more() {
    Desk tomasz = browsers.of("tomasz");
    Desk ines = browsers.of("ines");
    Desk bram = browsers.of("bram");
    tomasz.dial("201");
    ines.button("Answer").click();
    ines.sees("Tomasz Brill", "talking");
    ines.button("Park").click();
    ines.page.getByLabel("For", new Page.GetByLabelOptions().setExact(true)).fill("adaeze");
    ines.press("Enter");
    bram.take("61");
    assertThat(bram.slot("61")).containsText("Take it anyway?");
    bram.hasNoCalls();
    bram.take("61");
    tomasz.sees("Bram Oakes", "talking");
    bram.button("End").click();
  }

  @Test
  void when_the_other_closes_their_page_there_is_music_and_then_an_end_with_its_reason() {
    Desk ottoline = browsers.of("ottoline");
    Desk noor = browsers.of("noor");
    noor.dial("224");
    ottoline.button("Answer").click();
    noor.sees("Ottoline Grange", "talking");
    ottoline.page.navigate("about:blank");
    browsers.pass(Duration.ofSeconds(11));
    noor.sees("Ottoline Grange", "their line is gone; you hear music");
    browsers.pass(Duration.ofSeconds(61));
    noor.hasNoCalls();
    noor.open("History");
    noor.entries().first().getByText("Ottoline Grange").click();
    assertThat(noor.page.getByText("the connection was lost").first()).isVisible();
  }
}
