package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import org.junit.jupiter.api.Test;

/** Tomasz talks to Ines, who sends him on with the mouse, seeing beforehand what will happen. */
class DragTest extends TomaszTalksToInes {

  private Locator onto(String name) {
    return ines.person(name);
  }

  @Test
  void onto_a_person_puts_through_and_can_be_taken_back() {
    ines.drag("Tomasz Brill", onto("Adaeze Moor"));
    ines.dropSeeing("Put Tomasz Brill through to Adaeze Moor");
    adaeze.sees("Tomasz Brill", "sent to you by Ines Calloway");
    ines.button("Pull back").click();
    tomasz.sees("Ines Calloway", "talking");
    adaeze.hasNoCalls();
  }

  @Test
  void with_shift_onto_a_person_announces_first() {
    ines.drag("Tomasz Brill", onto("Adaeze Moor"));
    ines.page.keyboard().down("Shift");
    ines.dropSeeing("Announce Tomasz Brill to Adaeze Moor first");
    ines.page.keyboard().up("Shift");
    ines.sees("You are announcing Tomasz Brill", "ringing");
    tomasz.sees("Ines Calloway", "they put you on hold");
  }

  @Test
  void a_ringing_call_onto_a_person_is_sent_on_unanswered_but_not_into_a_slot() {
    Desk bram = browsers.of("bram");
    adaeze.dial("201");
    ines.sees("Adaeze Moor", "ringing");
    ines.drag("Adaeze Moor", ines.slot("62"));
    ines.dropSeeing("Answer the call before you park it.");
    ines.sees("Adaeze Moor", "ringing");
    ines.drag("Adaeze Moor", onto("Bram Oakes"));
    ines.dropSeeing("Send Adaeze Moor on to Bram Oakes");
    bram.sees("Adaeze Moor", "ringing");
  }

  @Test
  void into_a_slot_parks_and_undo_takes_it_out_again() {
    ines.drag("Tomasz Brill", ines.slot("63"));
    ines.dropSeeing("Park Tomasz Brill in 63");
    assertThat(ines.slot("63")).containsText("Tomasz Brill");
    tomasz.sees("Ines Calloway", "parked you in 63");
    ines.isTold("Tomasz Brill waits in 63.");
    ines.button("Undo").click();
    tomasz.sees("Ines Calloway", "talking");
    assertThat(ines.slot("63")).not().containsText("Tomasz Brill");
  }

  @Test
  void onto_another_call_joins_or_with_shift_connects_the_two() {
    adaeze.dial("201");
    ines.button("Answer").click();
    ines.sees("Tomasz Brill", "on hold");
    ines.drag("Tomasz Brill", ines.call("Adaeze Moor"));
    assertThat(ines.page.getByText("All talk: Tomasz Brill and Adaeze Moor with you")).isVisible();
    ines.page.keyboard().down("Shift");
    ines.dropSeeing("Connect Tomasz Brill with Adaeze Moor, and leave");
    ines.page.keyboard().up("Shift");
    tomasz.sees("Adaeze Moor", "talking");
    ines.hasNoCalls();
    adaeze.button("Hold").click();
    ines.dial("212");
    adaeze.button("Answer").click();
    ines.sees("Adaeze Moor", "talking");
    adaeze.drag("Tomasz Brill", adaeze.call("Ines Calloway"));
    adaeze.dropSeeing("All talk: Tomasz Brill and Ines Calloway with you");
    ines.sees("Conference", "talking");
  }

  @Test
  void a_target_that_refuses_leaves_the_call_where_it_is_and_says_why() {
    ines.drag("Tomasz Brill", onto("Nell Garrow"));
    ines.dropSeeing("Put Tomasz Brill through to Nell Garrow");
    ines.isTold("Nobody can be reached there now. The caller is still with you.");
    tomasz.sees("Ines Calloway", "talking");
  }
}
