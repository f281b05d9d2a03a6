package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Pattern;

/** What a person does and sees at a desk phone. */
final class DeskPhone {
  private static final long PATIENCE_NANOS = 10_000_000_000L;

  final Page page;
  private Desk screen;
  private String idle;

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

  /**
   * From now on the screen beside it has to show the same calls after each step.
   *
   * @param holder what the display says while there are none
   */
  DeskPhone beside(Desk desk, String holder) {
    screen = desk;
    idle = holder;
    return this;
  }

  private DeskPhone agreeing() {
    long until = System.nanoTime() + PATIENCE_NANOS;
    while (screen != null && !showsCalls().equals(screen.showsCalls()) && !asksForSomething()) {
      if (System.nanoTime() > until) {
        throw new AssertionError(
            "the phone shows " + display().allInnerTexts() + ", the screen " + screen.showsCalls());
      }
      LockSupport.parkNanos(20_000_000);
    }
    return this;
  }

  /** Whether the display is taken by a list or by what is typed. */
  private boolean asksForSomething() {
    return key("Back").count() > 0;
  }

  /** Whom the calls are with that the display shows, and which of them are on hold. */
  private List<String> showsCalls() {
    String shown = String.join("\n", display().allInnerTexts());
    List<String> calls = new ArrayList<>();
    for (String call : screen.showsCalls()) {
      String name = call.replace(Desk.HELD, "");
      boolean held = shown.contains(name + " on hold");
      if (shown.contains(name)) {
        calls.add(held ? name + Desk.HELD : name);
      }
    }
    return calls.isEmpty() && !shown.contains(idle) ? List.of("neither calls nor none") : calls;
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
    return agreeing();
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
    return agreeing();
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
    return agreeing();
  }

  /** Waits until the lamp of a key burns like this. */
  DeskPhone lamp(String label, String state) {
    assertThat(line(label).getByRole(AriaRole.IMG)).hasAttribute("aria-label", state);
    return this;
  }
}
