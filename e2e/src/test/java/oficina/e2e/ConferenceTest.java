package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Tomasz and Adaeze have called Ines, who brings them together. */
class ConferenceTest extends TomaszTalksToInes {

  @BeforeEach
  void three_talk() {
    adaeze.dial("201");
    ines.button("Answer").click();
    ines.button("Join").click();
    ines.sees("Conference", "3 of at most 16 · you started it");
  }

  @Test
  void members_are_muted_and_dropped_by_whoever_started_it_and_by_nobody_else() {
    assertThat(tomasz.call("Conference")).containsText("Adaeze Moor");
    assertThat(tomasz.button("Mute Adaeze Moor")).hasCount(0);
    ines.button("Mute Adaeze Moor").click();
    adaeze.sees("Conference", "You are muted");
    assertThat(tomasz.call("Conference")).containsText("muted");
    ines.button("Unmute Adaeze Moor").click();
    assertThat(adaeze.call("Conference")).not().containsText("You are muted");
    ines.button("Drop Adaeze Moor").click();
    adaeze.hasNoCalls();
    adaeze.isTold("Ines Calloway has taken you out of the conference.");
    ines.sees("Tomasz Brill", "talking");
  }

  @Test
  void somebody_is_rung_privately_and_then_let_in() {
    Desk una = browsers.of("una");
    ines.press("c");
    ines.page.keyboard().type("una");
    assertThat(ines.results().first()).containsText("Una Redfern");
    ines.press("Enter");
    una.sees("Ines Calloway", "ringing");
    una.button("Answer").click();
    ines.sees("Not heard in the conference yet", "talking");
    tomasz.sees("Conference", "Ines Calloway on another call");
    ines.button("Let Una Redfern in").click();
    una.sees("Conference", "4 of at most 16");
    ines.sees("Conference", "Una Redfern");
  }

  @Test
  void one_is_taken_aside_and_brought_back() {
    ines.button("Speak with Adaeze Moor aside").click();
    adaeze.sees("Ines Calloway", "talking");
    ines.sees("A word aside. Tomasz Brill waits and hears music.", "Adaeze Moor");
    tomasz.sees("Ines Calloway", "they speak with somebody aside");
    ines.page.reload();
    ines.button("Bring Adaeze Moor back").click();
    tomasz.sees("Conference", "Adaeze Moor");
    adaeze.sees("Conference", "Tomasz Brill");
  }

  @Test
  void its_starter_leaves_the_rest_talking() {
    ines.button("Leave").click();
    tomasz.sees("Adaeze Moor", "talking");
    ines.hasNoCalls();
    assertThat(ines.page.getByText("Tomasz Brill, now with Adaeze Moor")).isVisible();
    ines.button("1 more").click();
    assertThat(ines.page.getByText("Adaeze Moor, now with Tomasz Brill")).isVisible();
  }

  @Test
  void its_starter_ends_it_for_all() {
    ines.button("End for all").click();
    tomasz.hasNoCalls();
    adaeze.hasNoCalls();
    // Of each of them it can be said what came of it.
    assertThat(ines.page.getByText("Tomasz Brill, call over")).isVisible();
    ines.button("1 more").click();
    assertThat(ines.page.getByText("Adaeze Moor, call over")).isVisible();
    ines.open("History");
    assertThat(ines.entries().getByText("with Adaeze Moor").first()).isVisible();
    ines.entries()
        .filter(new Locator.FilterOptions().setHasText("Tomasz Brill"))
        .first()
        .getByRole(AriaRole.BUTTON)
        .first()
        .click();
    assertThat(ines.page.getByText("you hung up")).isVisible();
  }

  @Test
  void holding_it_plays_music_to_nobody() {
    ines.button("Hold").click();
    ines.sees("Conference", "on hold");
    assertThat(ines.call("Conference")).not().containsText("hears music");
    tomasz.sees("Conference", "talking");
    ines.button("Resume").click();
    ines.sees("Conference", "talking");
  }
}
