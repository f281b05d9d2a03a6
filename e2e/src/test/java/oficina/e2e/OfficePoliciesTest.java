package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import oficina.server.TestServer;
import oficina.server.passwords.AccessPolicy;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What the office says for everybody, and rooms, in which nobody in particular sits. */
class OfficePoliciesTest {
  /** How many go, also when none does. */
  private static final Pattern OLDER = Pattern.compile("older (than that|and go at once)\\.");

  @RegisterExtension final Browsers browsers = new Browsers();
  private Desk mirela;

  @BeforeEach
  void an_administrator() {
    mirela = browsers.of("mirela");
  }

  private Locator region(String name) {
    return mirela.page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator button(Locator in, String name) {
    return in.getByRole(
        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator field(Locator in, String label) {
    return in.getByLabel(label, new Locator.GetByLabelOptions().setExact(true));
  }

  @Test
  void
      a_room_gets_a_free_number_and_somebody_who_acts_for_it_and_comes_back_when_it_was_taken_out() {
    mirela.press("=");
    Locator office = region("The office");
    office.getByLabel("Numbers it has been given").fill("0191 498 0100 – 0700");
    button(office, "Keep").click();
    assertThat(office).containsText("are free, the first is 0191 498 0101.");
    Locator people = region("People");
    button(people, "Add somebody").click();
    people.getByLabel("Role").selectOption("room");
    assertThat(field(people, "First password")).hasCount(0);
    assertThat(field(people, "Name to sign in with")).hasCount(0);
    field(people, "Name").fill("Hask Room");
    field(people, "Extension").fill("269");
    field(people, "Team").fill("Meeting rooms");
    field(people, "Direct number").fill("0191 498 0701");
    button(people, "Add").click();
    assertThat(people).containsText("is none of the numbers this office has been given");
    field(people, "Direct number").fill("0191 498 0269");
    button(people, "Add").click();
    people.getByLabel("Find in the register").fill("hask");
    button(people, "Change Hask Room").click();
    people
        .getByLabel("Add somebody who may")
        .selectOption(new SelectOption().setLabel("Rufus Adeyemi 202"));
    assertThat(button(people, "Take Rufus Adeyemi out")).isVisible();

    button(people, "Leaves the office").click();
    button(people, "Hask Room leaves now").click();
    assertThat(people).containsText("Nobody fits.");
    mirela.press("Control+z");
    button(people, "Change Hask Room").click();
    assertThat(button(people, "Take Rufus Adeyemi out")).isVisible();
    assertThat(field(people, "Direct number")).hasValue("0191 498 0269");
    button(people, "Leaves the office").click();
    button(people, "Hask Room leaves now").click();
    assertThat(people).containsText("Nobody fits.");
    office.getByLabel("Numbers it has been given").fill("");
    button(office, "Keep").click();
    assertThat(office).not().containsText("are free");
  }

  @Test
  void the_office_says_how_long_passwords_are_and_sign_ins_last() {
    AccessPolicy policy = TestServer.get().bean(AccessPolicy.class);
    AccessPolicy.Access before = policy.now();
    try {
      mirela.press("=");
      Locator access = region("Signing in");
      field(access, "A new password has at least (characters)").fill("30");
      field(access, "A sign-in nobody uses ends after (hours)").fill("720");
      field(access, "Any sign-in ends after (days)").fill("365");
      assertThat(access).containsText("is signed out within a minute");
      button(access, "Keep").first().click();
      assertThat(mirela.page.getByText("Passwords and sign-ins is changed.")).isVisible();
      mirela.openMenu("Mirela Stanton 203");
      mirela.button("Change password").click();
      Locator dialog = mirela.page.getByRole(AriaRole.DIALOG);
      field(dialog, "Present password").fill("harbour-light");
      field(dialog, "New password").fill("the second lamp on the quay");
      field(dialog, "New password again").fill("the second lamp on the quay");
      button(dialog, "Change password").click();
      assertThat(dialog).containsText("The new password needs at least 30 characters.");
    } finally {
      policy.set(before);
    }
  }

  @Test
  void stock_phrases_of_the_office_stand_behind_ones_own() {
    mirela.openMenu("Mirela Stanton 203");
    mirela.button("Stock phrases of the office").click();
    mirela.page.getByLabel("Phrase 1").fill("The boat leaves at seven.");
    mirela.button("Keep them so").click();
    assertThat(mirela.page.getByRole(AriaRole.DIALOG)).hasCount(0);
    Desk una = browsers.of("una");
    Desk tomasz = browsers.of("tomasz");
    tomasz.dial("222");
    una.button("Answer").click();
    una.sees("Tomasz Brill", "talking");
    assertThat(una.page.getByText("The boat leaves at seven.")).isVisible();
    una.press(".");
    assertThat(una.page.getByLabel("Note about this call")).isFocused();
    una.press("Alt+Shift+Digit1");
    assertThat(una.page.getByLabel("Note about this call")).hasValue("The boat leaves at seven.");
    una.button("End").click();
    mirela.openMenu("Mirela Stanton 203");
    mirela.button("Stock phrases of the office").click();
    mirela.page.getByLabel("Phrase 1").fill("");
    mirela.button("Keep them so").click();
    assertThat(mirela.page.getByRole(AriaRole.DIALOG)).hasCount(0);
  }

  @Test
  void before_recordings_are_kept_shorter_it_is_said_how_many_go() {
    mirela.openMenu("Mirela Stanton 203");
    mirela.button("Recording in this office").click();
    Locator days = mirela.page.getByLabel("Days a recording is kept");
    String before = days.inputValue();
    days.fill("7");
    assertThat(mirela.page.getByText(OLDER)).isVisible();
    mirela.press("Tab");
    mirela.press("Enter");
    assertThat(mirela.page.getByText(OLDER)).hasCount(0);
    mirela.page.reload();
    mirela.openMenu("Mirela Stanton 203");
    mirela.button("Recording in this office").click();
    assertThat(days).hasValue("7");
    days.fill(before);
    mirela.press("Tab");
    mirela.press("Escape");
  }
}
