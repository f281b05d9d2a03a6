package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** Whatever rings is in sight and can be answered, wherever one is and whatever is open. */
class AlwaysInViewTest extends TomaszTalksToInes {

  private void rings() {
    adaeze.dial("201");
    assertThat(ringing()).isInViewport();
    assertThat(answer()).isInViewport();
  }

  private Locator ringing() {
    return ines.call("Adaeze Moor").last();
  }

  private Locator answer() {
    return ines.inStrip("Adaeze Moor", "Answer").last();
  }

  private void givesUp() {
    adaeze.button("End").click();
    assertThat(ines.call("Adaeze Moor")).hasCount(0);
  }

  @Test
  void beside_a_held_call_a_keypad_and_tips_on_the_desk() {
    ines.openMenu("Ines Calloway");
    ines.button("Show the tips").click();
    Locator tips = ines.page.getByText("The first five minutes");
    assertThat(tips).isHidden(); // calls come first
    ines.button("Hold").click();
    ines.dial("0114 496 0155");
    ines.sees("0114 496 0155", "Sheffield");
    browsers.pass(Duration.ofSeconds(4));
    ines.button("Keys").click();
    rings();
    assertThat(ines.call("Tomasz Brill")).isInViewport();
    ines.inStrip("0114 496 0155", "Transfer").click();
    // One panel at a time.
    assertThat(ines.page.getByRole(AriaRole.GROUP, group("Keypad"))).hasCount(0);
    givesUp();
  }

  private static Page.GetByRoleOptions group(String name) {
    return new Page.GetByRoleOptions().setName(name);
  }

  @Test
  void in_every_view_and_above_dialogs_where_its_keys_work() {
    ines.open("History");
    rings();
    givesUp();
    ines.press("?");
    rings();
    assertThat(ines.page.getByRole(AriaRole.DIALOG)).isVisible();
    ines.press("a");
    adaeze.sees("Ines Calloway", "talking");
    ines.press("Escape");
    assertThat(ines.page.getByRole(AriaRole.DIALOG)).hasCount(0);
  }

  @Test
  void the_end_button_stays_in_the_first_row_beside_eight_others_and_the_keys_fit_the_window() {
    ines.button("Hold").click();
    ines.dial("0114 496 0155");
    browsers.pass(Duration.ofSeconds(4));
    ines.sees("0114 496 0155", "talking");
    Desk second = browsers.secondWindow("ines");
    second.sees("0114 496 0155", "in another window of yours");
    Locator buttons =
        second
            .call("0114 496 0155")
            .getByRole(AriaRole.BUTTON)
            // Those stand with who it is, and not in the row of what one does with the call.
            .filter(
                new Locator.FilterOptions().setHasNotText(Pattern.compile("Write a card|Block")));
    assertThat(buttons).hasCount(9);
    Assertions.assertThat(buttons.last().boundingBox().y)
        .isEqualTo(buttons.first().boundingBox().y);
    second.press("?");
    Locator keys = second.page.getByRole(AriaRole.DIALOG).getByText("Show this list");
    assertThat(keys).isInViewport();
    assertThat(second.button("Close")).isInViewport();
  }

  @Test
  void on_a_narrow_screen_however_far_it_has_scrolled() {
    ines.page.setViewportSize(390, 800);
    ines.page.getByText("Zoë Ibbotson").last().scrollIntoViewIfNeeded();
    rings();
    answer().click();
    adaeze.sees("Ines Calloway", "talking");
  }
}
