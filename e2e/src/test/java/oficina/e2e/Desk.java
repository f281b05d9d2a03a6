package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.regex.Pattern;

/** What a person does and sees in one window, in their own terms. */
final class Desk {
  static final String HELD = ", held";

  final Page page;

  Desk(Page page) {
    this.page = page;
  }

  void signIn(String name, String password) {
    page.getByLabel("Name or extension").fill(name);
    page.getByLabel("Password", new Page.GetByLabelOptions().setExact(true)).fill(password);
    button("Sign in").click();
  }

  /** Waits until the server tells this window what happens. */
  void isLive() {
    assertThat(page.getByText("rings here")).isVisible();
    assertThat(person("Una Redfern").or(person("Tomasz Brill")).first()).isVisible();
  }

  Locator button(String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true))
        .first();
  }

  Locator dialField() {
    return page.getByRole(
        AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Name, extension or number"));
  }

  /** The field in a call's strip that asks whom to send it to. */
  Locator targetField() {
    return page.getByRole(
        AriaRole.COMBOBOX,
        new Page.GetByRoleOptions().setName(Pattern.compile("number to send .* to")));
  }

  Locator results() {
    return page.getByRole(AriaRole.LISTBOX).getByRole(AriaRole.OPTION);
  }

  /** Types into the dial field and presses Enter. */
  void dial(String text) {
    dialField().fill(text);
    dialField().press("Enter");
  }

  /** The strip of the call with this name or number. */
  Locator call(String name) {
    return page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName(name));
  }

  /** A button in the strip of this call. */
  Locator inStrip(String call, String button) {
    return call(call)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(button).setExact(true));
  }

  /** A park slot on the shelf. */
  Locator slot(String number) {
    return page.getByRole(
        AriaRole.LISTITEM, new Page.GetByRoleOptions().setName("Slot " + number).setExact(true));
  }

  /** Takes the call that waits in this slot, by mouse. */
  void take(String slot) {
    slot(slot).getByRole(AriaRole.BUTTON).click();
  }

  /** Waits until this window says so. */
  void isTold(String sentence) {
    assertThat(page.getByRole(AriaRole.LOG).getByText(sentence)).isVisible();
  }

  /** Drags a call there with the mouse and holds it above, so that the preview shows. */
  void drag(String call, Locator target) {
    Locator name = call(call).getByRole(AriaRole.HEADING).first();
    name.hover();
    target.scrollIntoViewIfNeeded();
    page.mouse().down();
    BoundingBox there = target.boundingBox();
    page.mouse()
        .move(
            there.x + there.width / 2,
            there.y + there.height / 2,
            new com.microsoft.playwright.Mouse.MoveOptions().setSteps(8));
  }

  /** Waits for this preview of a drop, and lets go. */
  void dropSeeing(String preview) {
    assertThat(page.getByText(preview, new Page.GetByTextOptions().setExact(true))).isVisible();
    page.mouse().up();
  }

  Locator calls() {
    return page.getByRole(AriaRole.ARTICLE);
  }

  /** Whom calls in hand are with, and which of them are on hold; all as it is at one moment. */
  @SuppressWarnings("unchecked")
  List<String> showsCalls() {
    return (List<String>)
        calls()
            .evaluateAll(
                """
                all => all
                  .filter(call => !call.innerText.includes('Sent to'))
                  .map(call => {
                    const name = call.getAttribute('aria-label');
                    const announced = name.match(/^You are announcing (.*)$/);
                    const held = /(?<!you )on hold/.test(call.innerText);
                    return announced ? announced[1] + ', held' : name + (held ? ', held' : '');
                  })
                """);
  }

  /** Waits until the call with this name reads like this. */
  void sees(String name, String words) {
    assertThat(call(name)).containsText(words);
  }

  void hasNoCalls() {
    assertThat(calls()).hasCount(0);
  }

  Locator person(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Call " + name + ","));
  }

  /** Waits until the people board shows this state of a colleague. */
  void seesState(String name, String state) {
    assertThat(
            page.getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions()
                    .setName(Pattern.compile("Call " + name + ", \\d+, " + state))))
        .isVisible();
  }

  void open(String view) {
    if (view.equals("Outside")) {
      openMenu(page.getByRole(AriaRole.BANNER).getByRole(AriaRole.BUTTON).last());
    }
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^" + view)))
        .click();
    assertThat(
            page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1).setName(view)))
        .isAttached();
  }

  /** The entries of the history, latest first. */
  Locator entries() {
    return page.getByRole(AriaRole.MAIN).getByRole(AriaRole.LISTITEM);
  }

  Locator alert() {
    return page.getByRole(AriaRole.ALERT);
  }

  /** Opens what belongs to the person and not to a call. */
  /** The line in the band that sums the call rules up, and leads to them. */
  Locator rulesLine() {
    return page.getByRole(AriaRole.BANNER)
        .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Call rules"));
  }

  void openMenu(String name) {
    openMenu(
        page.getByRole(AriaRole.BANNER)
            .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name)));
  }

  private static void openMenu(Locator menu) {
    menu.click();
  }

  void press(String key) {
    page.keyboard().press(key);
  }

  /** Plays this subscriber on the page of the outside network. */
  void play(String subscriber) {
    open("Outside");
    button("Play " + subscriber).click();
    assertThat(phoneOf(subscriber)).isVisible();
  }

  Locator phoneOf(String subscriber) {
    return page.getByRole(
        AriaRole.LISTITEM, new Page.GetByRoleOptions().setName("Telephone of " + subscriber));
  }

  /** Has a subscriber who is played here call a number of the office. */
  void callFrom(String subscriber, String to) {
    phoneOf(subscriber).getByLabel("Number to call").fill(to);
    phoneButton(subscriber, "Call").click();
  }

  Locator phoneButton(String subscriber, String name) {
    return phoneOf(subscriber)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }
}
