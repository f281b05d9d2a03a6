package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import org.junit.jupiter.api.Test;

/** Tomasz has called Ines; she sends him on to Adaeze. */
class TransferTest extends TomaszTalksToInes {
  private static final String PAIR = "You are announcing Tomasz Brill";

  private void choose(String target, String way) {
    ines.button("Transfer").click();
    ines.targetField().fill(target);
    assertThat(ines.results().first()).isVisible();
    ines.button(way).click();
  }

  private void announced() {
    choose("adaeze", "Announce first");
    adaeze.sees("Ines Calloway", "announces Tomasz Brill");
    adaeze.button("Answer").click();
    ines.sees(PAIR, "talking");
    tomasz.sees("Ines Calloway", "they put you on hold");
  }

  private Locator pair() {
    return ines.call(PAIR);
  }

  @Test
  void arrows_choose_among_those_who_are_shown() {
    ines.press("t");
    ines.targetField().fill("2");
    assertThat(ines.results()).hasCount(6);
    assertThat(ines.results().getByText("Ines Calloway")).hasCount(0); // nobody is sent to oneself
    for (int i = 0; i < 6; i++) {
      ines.press("ArrowDown");
      assertThat(ines.results().nth((i + 1) % 6)).isInViewport();
    }
    assertThat(ines.results().first()).hasAttribute("aria-selected", "true");
  }

  @Test
  void whoever_is_clicked_while_one_chooses_is_the_target_and_nobody_is_called() {
    ines.button("Transfer").click();
    ines.person("Adaeze Moor").click();
    assertThat(ines.targetField()).hasValue("212");
    assertThat(ines.targetField()).isFocused();
    ines.sees("Tomasz Brill", "talking");
    ines.button("Send the call to slot 62").click();
    assertThat(ines.targetField()).hasValue("62");
    ines.open("History");
    ines.open("Desk"); // still choosing
    ines.person("Adaeze Moor").click();
    assertThat(ines.results().first()).containsText("Adaeze Moor");
    ines.press("Enter");
    adaeze.sees("Tomasz Brill", "sent to you by Ines Calloway");
    adaeze.button("Answer").click();
    tomasz.sees("Adaeze Moor", "talking");
    adaeze.person("Una Redfern").click();
    adaeze.sees("Una Redfern", "ringing");
  }

  @Test
  void put_through_and_answered() {
    choose("adaeze", "Put through");
    ines.sees("Tomasz Brill", "Sent to Adaeze Moor");
    tomasz.sees("Adaeze Moor", "sent on by Ines Calloway");
    adaeze.sees("Tomasz Brill", "sent to you by Ines Calloway");
    adaeze.button("Answer").click();
    tomasz.sees("Adaeze Moor", "talking");
    ines.hasNoCalls();
    assertThat(ines.page.getByText("Tomasz Brill, now with Adaeze Moor")).isVisible();
  }

  @Test
  void put_through_to_nobody_comes_back_then_rings_the_front_desk() {
    choose("212", "Put through");
    adaeze.sees("Tomasz Brill", "ringing");
    browsers.pass(Duration.ofSeconds(20));
    ines.sees("Tomasz Brill", "Nobody answered at Adaeze Moor. Tomasz Brill is back with you.");
    adaeze.hasNoCalls();
    ines.button("Answer").click();
    tomasz.sees("Ines Calloway", "talking");
  }

  @Test
  void a_caller_nobody_takes_back_rings_at_the_front_desk_and_leaves_a_message_in_the_end() {
    Desk rufus = browsers.of("rufus");
    choose("212", "Put through");
    adaeze.sees("Tomasz Brill", "ringing");
    browsers.pass(Duration.ofSeconds(20));
    ines.button("Decline").click();
    rufus.sees("Tomasz Brill", "Adaeze Moor declined. Tomasz Brill needs somebody.");
    browsers.pass(Duration.ofSeconds(30));
    tomasz.sees("Adaeze Moor", "leaving a message");
    ines.isTold("Nobody took Tomasz Brill. Voicemail of Adaeze Moor takes a message.");
    rufus.hasNoCalls();
  }

  @Test
  void put_through_and_declined_comes_back_at_once() {
    choose("212", "Put through");
    adaeze.button("Decline").click();
    ines.sees("Tomasz Brill", "Adaeze Moor declined.");
  }

  @Test
  void put_through_and_pulled_back() {
    choose("212", "Put through");
    adaeze.sees("Tomasz Brill", "ringing");
    ines.button("Pull back").click();
    tomasz.sees("Ines Calloway", "talking");
    adaeze.hasNoCalls();
  }

  @Test
  void a_target_that_cannot_be_reached_is_refused_and_the_caller_stays() {
    ines.button("Transfer").click();
    ines.targetField().fill("nell");
    assertThat(ines.results().first()).containsText("Not signed in");
    ines.button("Put through").click();
    assertThat(ines.call("Tomasz Brill").getByRole(AriaRole.ALERT))
        .containsText("Nobody can be reached there now. The caller is still with you.");
    ines.targetField().press("Escape");
    ines.sees("Tomasz Brill", "talking");
  }

  @Test
  void from_another_view_one_goes_back_to_the_caller_one_announces() {
    announced();
    ines.open("History");
    ines.sees("Adaeze Moor", "talking");
    ines.button("Back to Tomasz Brill").click();
    tomasz.sees("Ines Calloway", "talking");
    adaeze.hasNoCalls();
    ines.sees("Tomasz Brill", "talking");
  }

  @Test
  void announced_and_handed_over() {
    announced();
    assertThat(pair()).containsText("hears music");
    ines.button("Hand over to Adaeze Moor").click();
    tomasz.sees("Adaeze Moor", "talking");
    adaeze.sees("Tomasz Brill", "sent to you by Ines Calloway");
    ines.hasNoCalls();
    adaeze.button("End").click();
    tomasz.hasNoCalls();
    ines.open("History");
    assertThat(
            ines.entries().filter(new Locator.FilterOptions().setHasText("Tomasz Brill")).first())
        .containsText("talked");
  }

  @Test
  void handed_over_while_it_still_rings() {
    choose("adaeze", "Announce first");
    ines.sees(PAIR, "ringing");
    ines.button("Hand over to Adaeze Moor").click();
    ines.sees("Tomasz Brill", "Sent to Adaeze Moor");
    adaeze.button("Answer").click();
    tomasz.sees("Adaeze Moor", "talking");
  }

  @Test
  void swapped_reloaded_and_back_to_the_caller() {
    announced();
    for (int i = 0; i < 5; i++) {
      ines.button("Swap").click();
      tomasz.sees("Ines Calloway", "talking");
      adaeze.sees("Ines Calloway", "they put you on hold");
      ines.button("Back to Adaeze Moor").click();
      adaeze.sees("Ines Calloway", "talking");
    }
    ines.page.reload();
    assertThat(pair()).containsText("hears music");
    ines.button("Back to Tomasz Brill").click();
    tomasz.sees("Ines Calloway", "talking");
    adaeze.hasNoCalls();
  }

  @Test
  void a_reload_at_each_stage_of_an_announced_transfer_loses_nothing() {
    ines.button("Transfer").click();
    ines.page.reload();
    ines.sees("Tomasz Brill", "talking");
    choose("adaeze", "Announce first");
    ines.sees(PAIR, "ringing");
    ines.page.reload();
    ines.sees(PAIR, "ringing");
    adaeze.page.reload();
    adaeze.button("Answer").click();
    ines.sees(PAIR, "talking");
    ines.page.reload();
    tomasz.page.reload();
    tomasz.sees("Ines Calloway", "they put you on hold");
    ines.button("Hand over to Adaeze Moor").click();
    ines.page.reload();
    tomasz.sees("Adaeze Moor", "talking");
    ines.hasNoCalls();
  }

  @Test
  void the_one_who_was_sent_on_hangs_up_and_the_sender_is_told() {
    choose("212", "Put through");
    adaeze.sees("Tomasz Brill", "ringing");
    tomasz.button("End").click();
    assertThat(ines.page.getByText("Tomasz Brill hung up before anybody answered.")).isVisible();
    ines.hasNoCalls();
  }

  @Test
  void all_three_talk_and_the_sender_leaves() {
    announced();
    ines.button("All three talk").click();
    tomasz.sees("Conference", "talking");
    ines.sees("Conference", "Conference with Tomasz Brill, Adaeze Moor");
    ines.button("Leave").click();
    tomasz.sees("Adaeze Moor", "talking");
  }

  @Test
  void the_target_declines_and_one_touch_brings_the_caller_back() {
    choose("adaeze", "Announce first");
    adaeze.button("Decline").click();
    ines.sees(PAIR, "Adaeze Moor declined");
    ines.button("Back to Tomasz Brill").click();
    tomasz.sees("Ines Calloway", "talking");
  }

  @Test
  void the_caller_gives_up_during_the_announcement() {
    announced();
    tomasz.button("End").click();
    ines.sees("Adaeze Moor", "talking");
    assertThat(pair()).hasCount(0);
  }

  @Test
  void a_transfer_by_keyboard_alone() {
    ines.press("t");
    ines.page.keyboard().type("ada");
    ines.press("Shift+Enter");
    adaeze.sees("Ines Calloway", "ringing");
    adaeze.press("a");
    ines.sees(PAIR, "talking");
    ines.press("w");
    tomasz.sees("Ines Calloway", "talking");
    ines.sees(PAIR, "on hold");
    ines.press("r");
    adaeze.sees("Ines Calloway", "talking");
    ines.sees(PAIR, "hears music");
    ines.press("Enter");
    tomasz.sees("Adaeze Moor", "talking");
    tomasz.press("m");
    tomasz.sees("Adaeze Moor", "You are muted");
    tomasz.press("m");
    assertThat(tomasz.call("Adaeze Moor")).not().containsText("You are muted");
  }

  @Test
  void a_second_call_is_deflected_or_taken_by_a_colleague_and_exactly_one_gets_it() {
    Desk bram = browsers.of("bram");
    adaeze.dial("201");
    ines.sees("Adaeze Moor", "ringing");
    ines.call("Adaeze Moor")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Send to…"))
        .click();
    ines.targetField().fill("213");
    assertThat(ines.results().first()).containsText("Bram Oakes");
    ines.button("Send").click();
    adaeze.sees("Bram Oakes", "ringing");
    ines.button("Take the call ringing at Bram Oakes").click();
    adaeze.sees("Ines Calloway", "talking");
    ines.sees("Tomasz Brill", "on hold");
    bram.hasNoCalls();
    assertThat(bram.page.getByText("Ines Calloway answered the call from Adaeze Moor."))
        .isVisible();
  }

  @Test
  void whoever_is_held_too_long_is_shown() {
    ines.button("Hold").click();
    ines.sees("Tomasz Brill", "hears music");
    browsers.pass(Duration.ofMinutes(2));
    ines.sees("Tomasz Brill", "on hold too long");
    ines.button("Resume").click();
    assertThat(ines.call("Tomasz Brill")).not().containsText("on hold too long");
    ines.sees("Tomasz Brill", "held 2:0");
  }
}
