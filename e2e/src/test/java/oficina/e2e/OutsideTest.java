package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Calls to and from the simulated outside network. */
class OutsideTest {
  @RegisterExtension final Browsers browsers = Browsers.withSound();

  @Test
  void a_subscriber_answers_and_talks_for_a_while() {
    Desk ines = browsers.of("ines");
    ines.dial("0151 496 0177");
    ines.sees("0151 496 0177", "they see 0191 498 0");
    browsers.pass(Duration.ofSeconds(1));
    ines.sees("0151 496 0177", "ringing");
    browsers.pass(Duration.ofSeconds(5));
    ines.sees("0151 496 0177", "talking");
    browsers.pass(Duration.ofSeconds(100));
    ines.hasNoCalls();
  }

  @Test
  void a_subscriber_is_busy_another_does_not_answer_a_third_number_is_not_in_use() {
    Desk ines = browsers.of("ines");
    ines.dial("0121 496 0104");
    ines.sees("0121 496 0104", "Birmingham");
    browsers.pass(Duration.ofSeconds(1));
    ines.sees("0121 496 0104", "is busy");
    ines.button("Close").click();
    ines.dial("0121 496 0103");
    ines.sees("0121 496 0103", "You called");
    browsers.pass(Duration.ofSeconds(30));
    ines.sees("0121 496 0103", "ringing");
    browsers.pass(Duration.ofSeconds(100));
    ines.sees("0121 496 0103", "Nobody answered");
    ines.button("Close").click();
    ines.dial("0151 496 0199");
    ines.sees("0151 496 0199", "Liverpool");
    browsers.pass(Duration.ofSeconds(1));
    ines.sees("0151 496 0199", "This number is not in use");
  }

  @Test
  void a_machine_takes_keys_also_those_typed_behind_the_number() {
    Desk ines = browsers.of("ines");
    ines.dialField().fill("0114 496 0155,,12");
    assertThat(ines.results().first()).containsText("then sends 12");
    ines.dialField().press("Enter");
    ines.sees("0114 496 0155", "Sheffield");
    browsers.pass(Duration.ofSeconds(4));
    ines.button("Keys").click();
    assertThat(ines.page.getByRole(AriaRole.STATUS).getByText("12")).isVisible();
    ines.press("7");
    ines.button("8 TUV").click();
    assertThat(ines.call("0114 496 0155")).containsText("1278");
    ines.press("0");
    assertThat(ines.call("0114 496 0155")).containsText("12780");
    browsers.pass(Duration.ofSeconds(4));
    ines.hasNoCalls();
  }

  @Test
  void an_emergency_number_goes_out() {
    Desk ines = browsers.of("ines");
    ines.dialField().fill("999");
    assertThat(ines.results().first()).containsText("Emergency");
    ines.dialField().press("Enter");
    ines.sees("999", "You called");
    browsers.pass(Duration.ofSeconds(4));
    ines.sees("999", "talking");
  }

  @Test
  void somebody_calls_in_and_is_answered() {
    Desk tomasz = browsers.of("tomasz");
    Desk ines = browsers.of("ines");
    tomasz.play("Marisol Quenby");
    tomasz.callFrom("Marisol Quenby", "0191 498 0201");
    ines.sees("0113 496 0148", "On your own number");
    ines.button("Answer").click();
    assertThat(tomasz.phoneOf("Marisol Quenby")).containsText("talking");
    tomasz.phoneButton("Marisol Quenby", "Hang up").click();
    ines.hasNoCalls();
    ines.open("History");
    assertThat(ines.entries().first()).containsText("0113 496 0148");
  }

  @Test
  void somebody_calls_the_main_number_gives_up_and_is_missed() {
    Desk tomasz = browsers.of("tomasz");
    Desk ines = browsers.of("ines");
    browsers.of("rufus"); // at the front desk too, and nobody answers for him
    tomasz.play("Gus Farrow");
    tomasz.callFrom("Gus Farrow", "0191 498 0100");
    ines.sees("0131 496 0162", "On the Front desk line");
    ines.open("History");
    ines.sees("0131 496 0162", "Edinburgh");
    tomasz.phoneButton("Gus Farrow", "Hang up").click();
    ines.hasNoCalls();
    assertThat(ines.page.getByText("You missed a call from 0131 496 0162.")).isVisible();
    assertThat(ines.entries().first()).containsText("missed");
  }

  @Test
  void a_withheld_number_is_shown_as_such() {
    Desk tomasz = browsers.of("tomasz");
    Desk ines = browsers.of("ines");
    tomasz.play("Oran Beck");
    tomasz.phoneOf("Oran Beck").getByLabel("Withhold my number").check();
    tomasz.callFrom("Oran Beck", "201");
    ines.sees("Number withheld", "ringing");
  }

  @Test
  void a_played_subscriber_is_called_sees_by_whom_and_answers() {
    Desk tomasz = browsers.of("tomasz");
    Desk ines = browsers.of("ines");
    tomasz.play("Dov Hartigan");
    ines.dial("01514960177");
    ines.sees("0151 496 0177", "Liverpool");
    browsers.pass(Duration.ofSeconds(1));
    assertThat(tomasz.phoneOf("Dov Hartigan")).containsText("0191 498 0201");
    tomasz.phoneButton("Dov Hartigan", "Answer").click();
    ines.sees("0151 496 0177", "talking");
    ines.button("End").click();
    assertThat(tomasz.phoneButton("Dov Hartigan", "Call")).isVisible();
    tomasz.button("Leave Dov Hartigan").click();
    assertThat(tomasz.phoneOf("Dov Hartigan")).hasCount(0);
  }

  @Test
  void the_called_subscriber_sees_the_number_that_was_chosen_for_the_call() {
    Desk tomasz = browsers.of("tomasz");
    Desk ines = browsers.of("ines");
    tomasz.play("Dov Hartigan");
    ines.dialField().fill("0151 496 0177");
    ines.page.getByLabel("Number they see").selectOption("Office number");
    ines.press("Enter");
    ines.sees("0151 496 0177", "Liverpool");
    browsers.pass(Duration.ofSeconds(1));
    assertThat(tomasz.phoneOf("Dov Hartigan")).containsText("0191 498 0100");
    ines.button("End").click();
    assertThat(tomasz.phoneButton("Dov Hartigan", "Call")).isVisible();
    ines.dialField().fill("0151 496 0177");
    ines.page.getByLabel("Number they see").selectOption("No number");
    ines.press("Enter");
    ines.sees("0151 496 0177", "Liverpool");
    browsers.pass(Duration.ofSeconds(1));
    assertThat(tomasz.phoneOf("Dov Hartigan")).containsText("Number withheld");
    ines.button("End").click();
    assertThat(tomasz.phoneButton("Dov Hartigan", "Call")).isVisible();
    Desk adaeze = browsers.of("adaeze");
    adaeze.dialField().fill("0151 496 0177");
    adaeze.page.getByLabel("Number they see").selectOption("As Bookings");
    adaeze.press("Enter");
    adaeze.sees("0151 496 0177", "Liverpool");
    browsers.pass(Duration.ofSeconds(1));
    assertThat(tomasz.phoneOf("Dov Hartigan")).containsText("0191 498 0110");
  }

  @Test
  void whoever_is_sent_outside_is_shown_as_chosen_in_the_strip() {
    Desk tomasz = browsers.of("tomasz");
    Desk ines = browsers.of("ines");
    Desk adaeze = browsers.of("adaeze");
    tomasz.play("Dov Hartigan");
    adaeze.dial("201");
    ines.button("Answer").click();
    ines.button("Transfer").click();
    ines.targetField().fill("0151 496 0177");
    ines.page.getByLabel("Number they see").selectOption("No number");
    ines.press("Enter");
    ines.sees("Adaeze Moor", "Sent to");
    browsers.pass(Duration.ofSeconds(1));
    assertThat(tomasz.phoneOf("Dov Hartigan")).containsText("Number withheld");
    adaeze.button("End").click();
  }

  @Test
  void a_caller_id_chosen_once_counts_for_all_calls() {
    Desk tomasz = browsers.of("tomasz");
    Desk ines = browsers.of("ines");
    tomasz.play("Dov Hartigan");
    ines.openMenu("Ines Calloway 201");
    ines.button("Call settings").click();
    ines.page.getByLabel("Number that others see").selectOption("Office number");
    assertThat(ines.page.getByLabel("Number that others see").locator("option:checked"))
        .hasText("Office number"); // it is kept
    ines.press("Escape");
    ines.dial("0151 496 0177");
    ines.sees("0151 496 0177", "Liverpool");
    browsers.pass(Duration.ofSeconds(1));
    assertThat(tomasz.phoneOf("Dov Hartigan")).containsText("0191 498 0100");
    ines.button("End").click();
    ines.openMenu("Ines Calloway 201");
    ines.button("Call settings").click();
    ines.page.getByLabel("Number that others see").selectOption("My number");
  }

  @Test
  void subscribers_call_in_by_themselves_when_switched_on() {
    Desk tomasz = browsers.of("tomasz");
    tomasz.open("Outside");
    assertThat(tomasz.page.getByLabel("Subscribers call in by themselves")).isDisabled();
    Desk mirela = browsers.of("mirela");
    mirela.open("Outside");
    Locator callers = mirela.page.getByLabel("Subscribers call in by themselves");
    callers.click(); // not check(): it is the server that says how it stands
    assertThat(callers).isChecked();
    mirela.open("Desk");
    Locator rung =
        mirela
            .page
            .getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions()
                    .setName(Pattern.compile("Call .*, (Ringing|On a call)")))
            .first();
    // In steps: in one the whole call would be over before a page hears of it.
    for (int i = 0; i < 60 && !rung.isVisible(); i++) {
      browsers.pass(Duration.ofSeconds(4));
    }
    assertThat(rung).isVisible();
    mirela.open("Outside");
    callers.click();
    assertThat(callers).not().isChecked();
  }
}
