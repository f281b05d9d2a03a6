package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * A mobile telephone as one of somebody's devices. Lotte has it in her hand, for whoever owns it.
 */
class OutsidePhoneTest {
  private static final String MOBILE = "07700 900120";
  private static final String OWNER = "Mobile of Ines Calloway";
  private static final int INES = 3_600;
  private static final int TOMASZ = 4_300;
  private static final int LOTTE = 5_100;
  private static final List<Integer> ALL = List.of(INES, TOMASZ, LOTTE);

  @RegisterExtension final Browsers browsers = Browsers.withSound();

  private static Locator chip(Desk desk, String name) {
    return desk.page
        .getByRole(AriaRole.BANNER)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name));
  }

  /** Names the mobile under the device at the top, after a number that cannot be one. */
  private static void namesTheMobile(Desk ines) {
    chip(ines, "This computer").click();
    Locator sheet = ines.page.getByRole(AriaRole.DIALOG);
    Locator number = sheet.getByLabel("Number of your phone outside");
    number.fill("221");
    number.press("Enter");
    ines.isTold("Type a number outside the office, such as that of your mobile.");
    number.fill(MOBILE);
    number.press("Enter");
    sheet.getByLabel("Phone outside " + MOBILE).click();
    assertThat(chip(ines, MOBILE)).isVisible();
    ines.press("Escape");
  }

  private static void forgetsIt(Desk ines) {
    ines.button("Use this computer for calls").click();
    assertThat(ines.button("Use this computer for calls")).hasCount(0);
    chip(ines, "This computer").click();
    Locator number =
        ines.page.getByRole(AriaRole.DIALOG).getByLabel("Number of your phone outside");
    number.fill("");
    number.press("Enter");
    assertThat(ines.button("Use " + MOBILE + " for calls")).hasCount(0);
  }

  private void answersAndPresses(Desk lotte, Desk ines, String call) {
    browsers.pass(Duration.ofSeconds(1));
    ines.sees(call, "rings at " + MOBILE + "; press 1 there to take it");
    lotte.phoneButton(OWNER, "Answer").click();
    ines.sees(call, "answered at " + MOBILE + "; press 1 there to take it");
    lotte
        .phoneOf(OWNER)
        .getByRole(AriaRole.GROUP, new Locator.GetByRoleOptions().setName("Press keys"))
        .getByText("1", new Locator.GetByTextOptions().setExact(true))
        .click();
    ines.sees(call, "on your phone outside, " + MOBILE);
  }

  @Test
  void it_places_calls_and_they_are_taken_here_and_there_while_one_speaks() {
    Desk ines = browsers.speaking("ines", INES);
    Desk tomasz = browsers.speaking("tomasz", TOMASZ);
    Desk lotte = browsers.speaking("lotte", LOTTE);
    lotte.play(OWNER);
    namesTheMobile(ines);
    ines.dial("221");
    answersAndPresses(lotte, ines, "Tomasz Brill");
    tomasz.button("Answer").click();
    Ear.hears(tomasz, ALL, LOTTE);
    Ear.hears(lotte, ALL, TOMASZ);
    Ear.hears(ines, ALL);
    ines.button("Hold").click();
    Ear.hearsMusic(tomasz, ALL);
    Ear.hears(lotte, ALL);
    ines.button("Resume").click();
    Ear.hears(tomasz, ALL, LOTTE);

    ines.press("x");
    Ear.hears(tomasz, ALL, INES);
    assertThat(lotte.phoneButton(OWNER, "Call")).isVisible();
    ines.button("To the phone outside").click();
    answersAndPresses(lotte, ines, "Tomasz Brill");
    Ear.hears(tomasz, ALL, LOTTE);
    Ear.hears(lotte, ALL, TOMASZ);
    ines.page.reload();
    Ear.hears(tomasz, ALL, LOTTE);

    lotte.phoneButton(OWNER, "Hang up").click();
    tomasz.hasNoCalls();
    ines.hasNoCalls();
    ines.open("History");
    assertThat(ines.entries().first()).containsText("Tomasz Brill");
    assertThat(ines.entries().nth(1)).not().containsText(MOBILE);
    forgetsIt(ines);
  }

  @Test
  void a_mailbox_that_answers_there_swallows_nothing_and_the_call_can_be_placed_from_here() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    Desk lotte = browsers.of("lotte");
    lotte.play(OWNER);
    namesTheMobile(ines);
    ines.dial("221");
    browsers.pass(Duration.ofSeconds(1));
    lotte.phoneButton(OWNER, "Answer").click();
    ines.sees("Tomasz Brill", "answered at " + MOBILE);
    tomasz.hasNoCalls();
    browsers.pass(Duration.ofSeconds(16));
    ines.sees("Tomasz Brill", "Nobody pressed 1 at your phone outside.");
    ines.button("Close").click();
    assertThat(lotte.phoneButton(OWNER, "Call")).isVisible();

    ines.dial("221");
    browsers.pass(Duration.ofSeconds(1));
    ines.sees("Tomasz Brill", "rings at " + MOBILE);
    ines.press("x");
    tomasz.button("Answer").click();
    ines.sees("Tomasz Brill", "talking");
    tomasz.sees("Ines Calloway", "talking");
    assertThat(lotte.phoneButton(OWNER, "Call")).isVisible();

    ines.button("To the phone outside").click();
    browsers.pass(Duration.ofSeconds(1));
    ines.sees("Tomasz Brill", "rings at " + MOBILE);
    ines.button("Keep it here").click();
    assertThat(ines.button("To the phone outside")).isVisible();
    ines.button("To the phone outside").click();
    browsers.pass(Duration.ofSeconds(1));
    lotte.phoneButton(OWNER, "Decline").click();
    ines.isTold("Nobody pressed 1 at " + MOBILE + ". The call is still here.");
    ines.sees("Tomasz Brill", "talking");
    ines.button("End").click();
    forgetsIt(ines);
  }
}
