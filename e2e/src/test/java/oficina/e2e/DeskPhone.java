package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;

/** What a person does and sees at a desk phone. */
final class DeskPhone {
  final Page page;

  DeskPhone(Page page) {
    this.page = page;
    isPlugged();
  }

  /** Opens the desk phone of whoever sits at this desk. */
  static DeskPhone of(Desk desk) {
    desk.page
        .getByRole(AriaRole.BANNER)
        .getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions().setName(Pattern.compile("^(This computer|Desk phone)")))
        .click();
    Page opened = desk.page.waitForPopup(() -> desk.button("Open my desk phone").click());
    DeskPhone phone = new DeskPhone(opened);
    assertThat(desk.page.getByLabel(Pattern.compile("^Desk phone"))).isEnabled();
    desk.press("Escape");
    return phone;
  }

  void isPlugged() {
    assertThat(display()).isVisible();
  }

  Locator display() {
    return page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Display"));
  }

  /** Waits until the display says so. */
  DeskPhone shows(String words) {
    assertThat(display()).containsText(words);
    return this;
  }

  DeskPhone showsNo(String words) {
    assertThat(display()).not().containsText(words);
    return this;
  }

  /** Presses the key with this word. */
  DeskPhone press(String word) {
    key(word).click();
    return this;
  }

  Locator key(String word) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + word + "$")));
  }

  /** Presses keys of the keypad. */
  DeskPhone type(String digits) {
    Locator keypad = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Keypad"));
    for (String digit : digits.split("")) {
      keypad
          .getByRole(
              AriaRole.BUTTON,
              new Locator.GetByRoleOptions().setName(Pattern.compile("^[" + digit + "]( |$)")))
          .click();
    }
    return this;
  }

  /** The key with a lamp for this. */
  Locator line(String label) {
    return page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Keys with a lamp"))
        .getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile(label + "$")))
        .first();
  }

  DeskPhone pressLine(String label) {
    line(label).click();
    return this;
  }

  /** Waits until the lamp of a key burns like this. */
  DeskPhone lamp(String label, String state) {
    assertThat(line(label).getByRole(AriaRole.IMG)).hasAttribute("aria-label", state);
    return this;
  }
}
