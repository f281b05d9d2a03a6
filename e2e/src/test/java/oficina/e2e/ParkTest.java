package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Tomasz talks to Ines, who does not know where the colleague is that he wants. */
class ParkTest extends TomaszTalksToInes {

  private void park() {
    ines.press("p");
    assertThat(ines.page.getByLabel("Slot", exactly())).isFocused();
    ines.press("Enter");
    assertThat(adaeze.slot("61")).containsText("Tomasz Brill");
  }

  private static Page.GetByLabelOptions exactly() {
    return new Page.GetByLabelOptions().setExact(true);
  }

  @Test
  void by_key_into_the_next_free_slot_and_taken_by_a_click() {
    park();
    ines.hasNoCalls();
    tomasz.sees("Ines Calloway", "parked you in 61");
    assertThat(ines.page.getByText("Tomasz Brill, parked in 61")).isVisible();
    adaeze.take("61");
    tomasz.sees("Adaeze Moor", "talking");
    assertThat(ines.page.getByText("Tomasz Brill, now with Adaeze Moor")).isVisible();
    ines.isTold("Tomasz Brill is with Adaeze Moor now, taken from 61.");
    assertThat(ines.slot("61")).not().containsText("Tomasz Brill");
  }

  @Test
  void for_a_person_with_a_note_who_is_told_at_once_and_when_they_return() {
    ines.button("Park").click();
    ines.page.getByLabel("Slot", exactly()).selectOption("64");
    ines.page.getByLabel("For", exactly()).fill("nobody at all");
    ines.page.getByLabel("For", exactly()).press("Enter");
    assertThat(ines.alert().getByText("Nobody here is called “nobody at all”.")).isVisible();
    ines.page.getByLabel("For", exactly()).fill("adae");
    assertThat(ines.results().first()).containsText("Adaeze Moor");
    ines.page.getByLabel("Note", exactly()).fill("wants the June rates");
    ines.page.getByLabel("Note", exactly()).press("Enter");
    adaeze.isTold("Tomasz Brill waits for you in 64, parked by Ines Calloway.");
    assertThat(adaeze.page.getByText("wants the June rates")).isVisible();
    adaeze.page.reload();
    assertThat(adaeze.page.getByText("wants the June rates")).isVisible();
    adaeze.button("Take from 64").click();
    tomasz.sees("Adaeze Moor", "talking");
  }

  @Test
  void taken_by_dialling_the_slot() {
    park();
    adaeze.dialField().fill("61");
    assertThat(adaeze.results().first()).containsText("Tomasz Brill waits");
    adaeze.press("Enter");
    tomasz.sees("Adaeze Moor", "talking");
    adaeze.dial("62");
    assertThat(adaeze.alert().getByText("No call waits in 62.")).isVisible();
  }

  @Test
  void too_long_and_it_comes_back_and_is_answered() {
    park();
    browsers.pass(Duration.ofMinutes(3));
    ines.sees("Tomasz Brill", "Nobody took Tomasz Brill from 61. Back with you.");
    assertThat(adaeze.slot("61")).containsText("ringing back");
    ines.button("Answer").click();
    tomasz.sees("Ines Calloway", "talking");
    assertThat(adaeze.slot("61")).not().containsText("Tomasz Brill");
  }

  @Test
  void too_long_and_nobody_takes_it_back_so_the_front_desk_is_rung() {
    Desk rufus = browsers.of("rufus");
    park();
    browsers.pass(Duration.ofMinutes(3));
    ines.sees("Tomasz Brill", "Back with you.");
    ines.button("Decline").click();
    rufus.sees("Tomasz Brill", "Nobody took Tomasz Brill from 61. They need somebody.");
    rufus.button("Answer").click();
    tomasz.sees("Rufus Adeyemi", "talking");
  }

  @Test
  void a_parked_caller_gives_up_and_the_parker_is_told() {
    park();
    browsers.pass(Duration.ofSeconds(30));
    tomasz.button("End").click();
    ines.isTold("Tomasz Brill hung up after waiting 0:3");
    assertThat(adaeze.slot("61")).not().containsText("Tomasz Brill");
  }

  @Test
  void two_take_it_at_the_same_instant_and_one_gets_it() {
    Desk bram = browsers.of("bram");
    park();
    assertThat(bram.slot("61")).containsText("Tomasz Brill");
    String click = "document.querySelector('[aria-label^=\"Take Tomasz\"]').click()";
    // Not waiting in between: the second window has not heard of the first one's click.
    adaeze.page.evaluate(click);
    bram.page.evaluate("document.querySelector('[aria-label^=\"Take Tomasz\"]')?.click()");
    Locator taker =
        tomasz.page.getByRole(
            AriaRole.ARTICLE,
            new Page.GetByRoleOptions().setName(Pattern.compile("Adaeze Moor|Bram Oakes")));
    assertThat(taker).containsText("talking");
    boolean adaezes = taker.getAttribute("aria-label").equals("Adaeze Moor");
    assertThat((adaezes ? adaeze : bram).calls()).hasCount(1);
    (adaezes ? bram : adaeze).hasNoCalls();
  }

  @Test
  void each_chooses_which_slots_they_see_but_never_overlooks_a_caller() {
    ines.openMenu("Ines Calloway 201");
    ines.button("Call settings").click();
    Locator shown =
        ines.page.getByRole(
            AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("62").setExact(true));
    shown.click();
    assertThat(shown).not().isChecked();
    ines.press("Escape");
    assertThat(ines.slot("62")).hasCount(0);
    assertThat(adaeze.slot("62")).isVisible();
    ines.dial("62"); // nobody waits there, but it is a slot all the same
    assertThat(ines.alert().getByText("No call waits in 62.")).isVisible();
    ines.press("Escape");
    ines.button("Transfer").click();
    ines.targetField().fill("62");
    ines.button("Put through").click();
    assertThat(ines.slot("62")).containsText("Tomasz Brill");
    ines.openMenu("Ines Calloway 201");
    ines.button("Call settings").click();
    shown.click();
    assertThat(shown).isChecked();
  }

  @Test
  void an_administrator_gives_a_slot_a_label_that_everybody_sees() {
    Desk mirela = browsers.of("mirela");
    mirela.openMenu("Mirela Stanton");
    mirela.button("Labels of park slots").click();
    mirela.page.getByLabel("Label of slot 63").fill("Night boat");
    mirela.button("Keep the labels").click();
    assertThat(tomasz.slot("63")).containsText("Night boat");
  }
}
