package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each kind of rule, written by mouse or by the keyboard alone, and felt by a real call. */
class EveryRuleTest {
  @RegisterExtension final Browsers browsers = new Browsers();
  private static final String ALWAYS = "In any case";
  private Desk lotte;

  private Locator combo(String name) {
    return lotte.page.getByRole(
        AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private Locator rule(String situation) {
    return lotte.button("Take away the rule for " + situation + ": everybody");
  }

  private void byMouse(String situation, String target) {
    lotte.button("Add a rule for: " + situation).click();
    combo("Where they go").selectOption(new SelectOption().setLabel(target));
    if (target.equals("a colleague")) {
      combo("Colleague").selectOption("Joss Ardley");
    } else if (target.equals("a line")) {
      combo("Line").selectOption("Bookings");
    }
    lotte.button("Keep the rule").click();
    assertThat(rule(situation)).isVisible();
  }

  private void byKeyboard(String situation) {
    lotte.button("Add a rule for: " + situation).focus();
    lotte.press("Enter");
    assertThat(combo("Whose calls")).isFocused();
    lotte.press("Tab");
    lotte.page.keyboard().type("a colleague");
    lotte.press("Tab");
    lotte.page.keyboard().type("Joss");
    lotte.button("Keep the rule").press("Enter");
    assertThat(rule(situation)).isVisible();
  }

  private void say(String digit, String shown) {
    lotte.press(",");
    assertThat(lotte.page.getByRole(AriaRole.DIALOG)).isVisible();
    lotte.press(digit);
    assertThat(lotte.page.getByRole(AriaRole.DIALOG)).hasCount(0);
    assertThat(lotte.page.getByRole(AriaRole.BANNER)).containsText(shown);
  }

  @ParameterizedTest
  @CsvSource({
    "In any case, mouse",
    "Do not disturb, mouse",
    "Do not disturb, keyboard",
    "Off duty, mouse",
    "Off duty, keyboard",
    "Nobody answers, mouse",
    "Nobody answers, keyboard",
    "I am on a call, mouse",
    "I am on a call, keyboard",
    "I decline, keyboard",
    "I am not there, mouse",
    "I am not there, keyboard"
  })
  void in_each_situation(String situation, String how) {
    lotte = browsers.of("lotte");
    Desk joss = browsers.of("joss");
    Desk tomasz = browsers.of("tomasz");
    lotte.open("Call rules");
    if (how.equals("mouse")) {
      byMouse(situation, "a colleague");
    } else {
      byKeyboard(situation);
    }
    switch (situation) {
      case "Do not disturb" -> {
        say("4", "Do not disturb");
        assertThat(lotte.rulesLine()).containsText("does not ring: Joss Ardley");
      }
      case "Off duty" -> say("5", "Off duty");
      case "I am not there" -> say("3", "Away");
      case "I am on a call" -> {
        Desk una = browsers.of("una");
        una.dial("233");
        lotte.button("Answer").click();
        una.sees("Lotte Penrose", "talking");
      }
      default -> {}
    }
    tomasz.dial("233");
    if (situation.equals("Nobody answers")) {
      lotte.sees("Tomasz Brill", "ringing");
      browsers.pass(Duration.ofSeconds(21));
    } else if (situation.equals("I decline")) {
      lotte.button("Decline").click();
    }
    joss.sees("Tomasz Brill", "For Lotte Penrose, whose rules sent it here");
    joss.button("Answer").click();
    tomasz.sees("Joss Ardley", "talking");
    tomasz.button("End").click();
    joss.hasNoCalls();
    if (situation.equals("I am on a call")) {
      lotte.press("e");
    }
    say("1", "Free");
    rule(situation).click();
    assertThat(rule(situation)).hasCount(0);
  }

  @Test
  void to_each_kind_of_destination() {
    lotte = browsers.of("lotte");
    Desk tomasz = browsers.of("tomasz");
    Desk adaeze = browsers.of("adaeze");
    lotte.open("Call rules");
    byMouse(ALWAYS, "voicemail");
    tomasz.dial("233");
    assertThat(tomasz.calls().first()).containsText("Voicemail of Lotte Penrose");
    tomasz.button("End").click();
    tomasz.hasNoCalls();
    rule(ALWAYS).click();
    assertThat(rule(ALWAYS)).hasCount(0);

    byMouse(ALWAYS, "a line");
    tomasz.dial("233");
    adaeze.sees("Tomasz Brill", "For Lotte Penrose, whose rules sent it here");
    tomasz.button("End").click();
    adaeze.hasNoCalls();
    rule(ALWAYS).click();
    assertThat(rule(ALWAYS)).hasCount(0);

    byMouse(ALWAYS, "told that nobody takes the call");
    tomasz.dial("233");
    assertThat(tomasz.button("Close")).isVisible();
    tomasz.button("Close").click();
    rule(ALWAYS).click();
    assertThat(rule(ALWAYS)).hasCount(0);
  }
}
