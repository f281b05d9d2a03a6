package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The job by the keys of the desk phone alone, with the screen beside it, which shows the same. */
class PhoneMorningTest {
  @RegisterExtension final Browsers browsers = Browsers.withSound();
  private Desk ines;
  private Desk tomasz;
  private Desk adaeze;
  private DeskPhone phone;

  @BeforeEach
  void a_phone_on_the_desk_of_ines() {
    ines = browsers.of("ines");
    tomasz = browsers.of("tomasz");
    adaeze = browsers.of("adaeze");
    phone = DeskPhone.of(ines).beside(ines, "Ines Calloway 201");
  }

  @Test
  void answered_held_swapped_muted_and_ended() {
    tomasz.dial("201");
    phone.shows("Tomasz Brill calls").lamp("My line", "rings");
    phone.press("Lift the handset").shows("Tomasz Brill").lamp("My line", "in use");
    ines.sees("Tomasz Brill", "on the desk phone");
    tomasz.sees("Ines Calloway", "talking");
    phone.press("Mute");
    ines.sees("Tomasz Brill", "Unmute");
    phone.press("Mute").press("Hold").shows("Tomasz Brill on hold");
    ines.sees("Tomasz Brill", "on hold");
    adaeze.dial("201");
    phone.shows("Adaeze Moor calls").press("Answer");
    ines.sees("Adaeze Moor", "talking");
    phone.press("Down").press("Resume").shows("Adaeze Moor on hold");
    ines.sees("Tomasz Brill", "talking");
    phone.press("Put it down").shows("Adaeze Moor on hold");
    tomasz.hasNoCalls();
    phone.pressLine("My line");
    adaeze.sees("Ines Calloway", "talking");
    phone.press("End");
    ines.hasNoCalls();
    phone.shows("Ines Calloway 201");
  }

  @Test
  void dialled_by_number_by_name_and_again() {
    phone.press("Lift the handset").shows("Number or name").type("221#");
    tomasz.sees("Ines Calloway", "own number");
    ines.sees("Tomasz Brill", "ringing");
    phone.press("Put it down");
    tomasz.hasNoCalls();
    phone.shows("Ines Calloway 201");
    phone.page.keyboard().type("221"); // by the keys of the computer
    phone.page.keyboard().press("Enter");
    tomasz.sees("Ines Calloway", "ringing");
    phone.press("End");
    tomasz.hasNoCalls();
    phone.press("Directory").type("23239").shows("Adaeze Moor 212").press("Call");
    adaeze.button("Answer").click();
    phone.shows("Adaeze Moor").press("End");
    adaeze.hasNoCalls();
    phone.press("Redial");
    adaeze.button("Answer").click();
    ines.sees("Adaeze Moor", "talking");
    phone.press("End");
    phone.press("History").shows("to Adaeze Moor").press("Back").shows("Ines Calloway 201");
  }

  @Test
  void put_through_announced_and_three_together() {
    tomasz.dial("201");
    phone.shows("Tomasz Brill calls").press("Lift the handset").press("Transfer").type("212");
    phone.press("Announce").shows("Ringing at Adaeze Moor").shows("Tomasz Brill on hold");
    assertThat(ines.calls().first()).containsText("Adaeze Moor");
    adaeze.button("Answer").click();
    phone.press("Back to caller").showsNo("Adaeze Moor");
    tomasz.sees("Ines Calloway", "talking");
    phone.press("Add").type("212").press("Ring them");
    adaeze.button("Answer").click();
    phone.press("Join all").shows("Conference of 3");
    assertThat(ines.calls().first()).containsText("Adaeze Moor");
    adaeze.button("Leave").click();
    phone.shows("Tomasz Brill").press("Transfer").type("212").press("Announce");
    adaeze.button("Answer").click();
    phone.shows("Adaeze Moor").press("Put it down").shows("Ines Calloway 201");
    tomasz.sees("Adaeze Moor", "talking");
    ines.hasNoCalls();
  }

  @Test
  void parked_by_a_key_with_a_lamp_and_taken_by_it() {
    tomasz.dial("201");
    phone.shows("Tomasz Brill calls").press("Speaker").pressLine("61").lamp("61", "somebody waits");
    assertThat(ines.slot("61")).containsText("Tomasz Brill");
    phone.pressLine("61").shows("Tomasz Brill").lamp("61", "free");
    ines.sees("Tomasz Brill", "talking");
    phone.press("Transfer").type("212").press("Put through").showsNo("Tomasz Brill");
    adaeze.sees("Tomasz Brill", "sent to you by Ines Calloway");
  }

  @Test
  void a_colleague_is_picked_up_calls_are_kept_off_and_sent_elsewhere() {
    phone.press("Assign keys").pressLine("not assigned").type("212").press("Assign");
    phone.shows("Assigned.").lamp("Adaeze Moor", "free");
    tomasz.dial("212");
    phone.lamp("Adaeze Moor", "rings").pressLine("Adaeze Moor").shows("Tomasz Brill");
    tomasz.sees("Ines Calloway", "talking");
    phone.press("End").press("No calls").shows("Do not disturb");
    tomasz.seesState("Ines Calloway", "Do not disturb");
    phone.press("Take calls").showsNo("Do not disturb");
    phone.press("Forward").type("212").press("Forward").shows("Calls go to Adaeze Moor");
    assertThat(ines.rulesLine()).containsText("everything goes to Adaeze Moor");
    tomasz.dial("201");
    adaeze.sees("Tomasz Brill", "For Ines Calloway, whose rules sent it here");
    adaeze.inStrip("Tomasz Brill", "Decline").click();
    phone.press("Forward off").showsNo("Calls go to");
  }

  @Test
  void voicemail_is_heard_with_the_pin_and_deleted_by_a_key() {
    Desk petra = browsers.speaking("petra", 5_900);
    petra.dial("201");
    phone.shows("Petra Vance calls").press("To voicemail");
    petra.sees("Ines Calloway", "leaving a message");
    petra.press("k");
    petra.press("#"); // cuts the greeting short
    petra.press("k");
    assertThat(ines.page.getByText("is leaving a message")).isVisible();
    petra.button("End").click();
    phone.shows("New in voicemail: 1");
    ines.open("Voicemail");
    ines.button("Greetings").click();
    ines.page.getByLabel("New secret number").fill("4711");
    ines.button("Set it").click();
    assertThat(ines.page.getByText("Your secret number is set.")).isVisible();
    ines.press("Escape");
    ines.open("Desk");
    phone.press("Voicemail.*").shows("290").type("0000#").type("4711#");
    assertThat(phone.key("Voicemail.*")).containsText("0");
    phone.type("3");
    ines.open("Voicemail");
    assertThat(ines.page.getByText("Nobody has left a message.")).isVisible();
    ines.open("Desk");
    phone.type("0").shows("Ines Calloway 201").showsNo("New in voicemail");
  }

  @Test
  void the_screen_drives_the_phone() {
    ines.button("Use the desk phone for calls").click();
    Locator chip = ines.page.getByRole(AriaRole.BANNER).getByText("Desk phone 201");
    assertThat(chip).isVisible();
    ines.dial("221");
    phone.shows("Ringing at Tomasz Brill");
    assertThat(phone.key("Speaker")).hasAttribute("aria-pressed", "true");
    tomasz.button("Answer").click();
    ines.sees("Tomasz Brill", "talking"); // keys mean what this page has been told
    ines.press("h");
    phone.shows("Tomasz Brill on hold");
    ines.sees("Tomasz Brill", "on hold");
    ines.press("r");
    ines.sees("Tomasz Brill", "talking");
    ines.press("x");
    phone.shows("Goes on at another device.").shows("elsewhere");
    assertThat(phone.key("Speaker")).hasAttribute("aria-pressed", "false");
    ines.sees("Tomasz Brill", "To the desk phone");
    phone.press("Take here");
    assertThat(phone.key("Speaker")).hasAttribute("aria-pressed", "true");
    ines.sees("Tomasz Brill", "on the desk phone");
    ines.press("e");
    phone.shows("Ines Calloway 201");
    tomasz.dial("201");
    phone.shows("Tomasz Brill calls");
    ines.sees("Tomasz Brill", "ringing");
    ines.press("a");
    assertThat(phone.key("Speaker")).hasAttribute("aria-pressed", "true");
    ines.button("Use this computer for calls").click();
    assertThat(chip).isHidden();
  }
}
