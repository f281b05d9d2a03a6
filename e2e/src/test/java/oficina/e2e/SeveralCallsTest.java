package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Tomasz talks to Ines; then others want her too. */
class SeveralCallsTest extends TomaszTalksToInes {

  @Test
  void a_second_call_answered_holds_the_first_and_ten_swaps_mix_up_nobody() {
    adaeze.dial("201");
    ines.inStrip("Adaeze Moor", "Answer").click();
    tomasz.sees("Ines Calloway", "they put you on hold");
    for (int i = 0; i < 5; i++) {
      ines.sees("Tomasz Brill", "on hold");
      ines.press("r");
      tomasz.sees("Ines Calloway", "talking");
      adaeze.sees("Ines Calloway", "they put you on hold");
      ines.sees("Adaeze Moor", "on hold");
      ines.press("r");
      adaeze.sees("Ines Calloway", "talking");
      tomasz.sees("Ines Calloway", "they put you on hold");
    }
    ines.inStrip("Adaeze Moor", "End").click();
    adaeze.hasNoCalls();
    ines.sees("Tomasz Brill", "on hold");
  }

  @Test
  void in_every_view_the_call_is_at_hand() {
    adaeze.dial("201");
    ines.inStrip("Adaeze Moor", "Answer").click();
    ines.sees("Adaeze Moor", "talking");
    for (String view : List.of("History", "Voicemail", "Contacts", "Call rules")) {
      ines.open(view);
      ines.sees("Adaeze Moor", "talking");
      assertThat(ines.call("Adaeze Moor").getByText("To the desk, 1 more call")).isVisible();
    }
    ines.inStrip("Adaeze Moor", "Mute").click();
    ines.sees("Adaeze Moor", "You are muted");
    ines.inStrip("Adaeze Moor", "Unmute").click();
    ines.press("h");
    adaeze.sees("Ines Calloway", "they put you on hold");
    ines.sees("Adaeze Moor", "on hold");
    ines.page.setViewportSize(390, 800);
    assertTrue((Boolean) ines.page.evaluate("document.documentElement.scrollWidth <= innerWidth"));
    ines.inStrip("Adaeze Moor", "Resume").click();
    adaeze.sees("Ines Calloway", "talking");
    ines.inStrip("Adaeze Moor", "End").click();
    adaeze.hasNoCalls();
    ines.sees("Tomasz Brill", "on hold");
    ines.press("b");
    ines.inStrip("Tomasz Brill", "Resume").click();
    tomasz.sees("Ines Calloway", "talking");
  }

  @Test
  void a_second_call_declined_or_ignored_leaves_the_first_untouched() {
    adaeze.dial("201");
    ines.inStrip("Adaeze Moor", "Decline").click();
    adaeze.sees("Ines Calloway", "Ines Calloway declined");
    tomasz.sees("Ines Calloway", "talking");
    adaeze.button("Close").click();
    adaeze.dial("201");
    ines.sees("Adaeze Moor", "ringing");
    browsers.pass(Duration.ofSeconds(20));
    adaeze.sees("Ines Calloway", "Nobody answered");
    tomasz.sees("Ines Calloway", "talking");
    ines.isTold("You missed a call from Adaeze Moor.");
  }

  @Test
  void a_held_caller_who_gives_up_is_shown_with_how_long_they_waited() {
    ines.button("Hold").click();
    tomasz.sees("Ines Calloway", "they put you on hold");
    browsers.pass(Duration.ofSeconds(75));
    tomasz.button("End").click();
    ines.isTold("Tomasz Brill hung up after waiting 1:1");
  }

  @Test
  void the_arrows_choose_which_of_three_calls_the_keys_mean() {
    Desk una = browsers.of("una");
    for (Desk caller : List.of(adaeze, una)) {
      caller.dial("201");
      ines.button("Answer").click();
      caller.sees("Ines Calloway", "talking");
    }
    ines.press("ArrowDown");
    ines.press("ArrowDown");
    ines.press("ArrowDown");
    assertThat(ines.call("Adaeze Moor")).hasAttribute("aria-current", "true");
    ines.press("r");
    adaeze.sees("Ines Calloway", "talking");
    una.sees("Ines Calloway", "they put you on hold");
    ines.sees("Una Redfern", "on hold");
    ines.press("j");
    ines.sees("Conference", "Conference with");
    adaeze.sees("Conference", "talking");
  }

  @Test
  void two_take_the_same_ringing_call_at_once_and_the_other_is_told_who() {
    Desk una = browsers.of("una");
    Desk bram = browsers.of("bram");
    una.dial("213");
    ines.seesState("Bram Oakes", "Ringing");
    adaeze.seesState("Bram Oakes", "Ringing");
    // The second one's request is sent by hand: her page would have taken the button away by then.
    ines.page.evaluate(
        "document.querySelector('[aria-label=\"Take the call ringing at Bram Oakes\"]').click()");
    una.sees("Ines Calloway", "talking");
    adaeze.page.evaluate(
        """
        fetch('/api/session').then(() => fetch('/api/calls/pick-up', {method: 'POST',
          headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN':
            decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1])},
          body: JSON.stringify({person: 5, device: 'late'})}))
          .then(r => r.json()).then(p => document.title = p.code + ' ' + p.about.person)
        """);
    assertThat(adaeze.page).hasTitle("ANSWERED_BY_OTHER Ines Calloway");
    tomasz.sees("Ines Calloway", "they put you on hold");
    bram.hasNoCalls();
  }

  @Test
  void call_waiting_can_be_switched_off() {
    ines.openMenu("Ines Calloway 201");
    ines.button("Call settings").click();
    var waiting = ines.page.getByLabel("Let a second call ring while I am on one");
    waiting.click();
    assertThat(waiting).not().isChecked();
    ines.press("Escape");
    adaeze.dial("201");
    adaeze.sees("Ines Calloway", "Ines Calloway is busy");
    assertThat(ines.calls()).hasCount(1);
    ines.openMenu("Ines Calloway 201");
    ines.button("Call settings").click();
    waiting.click();
    assertThat(waiting).isChecked();
  }
}
