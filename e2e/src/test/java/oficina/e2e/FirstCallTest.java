package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import java.time.Duration;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Two employees in two browsers call each other. */
class FirstCallTest {
  @RegisterExtension final Browsers browsers = new Browsers();

  @Test
  void they_talk_and_the_caller_hangs_up() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    ines.dial("221");
    ines.sees("Tomasz Brill", "ringing");
    tomasz.sees("Ines Calloway", "Front desk · 201");
    assertThat(tomasz.page).hasTitle("Ringing: Ines Calloway");
    tomasz.button("Answer").click();
    ines.sees("Tomasz Brill", "talking");
    tomasz.sees("Ines Calloway", "talking");
    assertThat(tomasz.page).hasTitle("Desk – Oficina");

    browsers.pass(Duration.ofSeconds(150));
    ines.sees("Tomasz Brill", "2:3");
    ines.button("Hold").click();
    tomasz.sees("Ines Calloway", "they put you on hold");
    browsers.pass(Duration.ofSeconds(60)); // which is not talked
    ines.button("Resume").click();
    tomasz.sees("Ines Calloway", "talking");
    ines.button("End").click();
    ines.hasNoCalls();
    tomasz.hasNoCalls();

    ines.open("History");
    assertThat(ines.entries().first()).containsText("Tomasz Brill");
    assertThat(ines.entries().first()).containsText("talked 2:3");
    tomasz.open("History");
    tomasz.entries().first().getByText("Ines Calloway").click();
    assertThat(tomasz.entries().first()).containsText("Received");
    assertThat(tomasz.entries().first()).containsText("Ines Calloway hung up");
  }

  @Test
  void the_called_one_hangs_up() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    tomasz.person("Ines Calloway").click();
    ines.button("Answer").click();
    tomasz.sees("Ines Calloway", "talking");
    ines.button("End").click();
    tomasz.hasNoCalls();
  }

  @Test
  void the_called_one_declines() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    ines.dial("221");
    tomasz.button("Decline").click();
    tomasz.hasNoCalls();
    ines.sees("Tomasz Brill", "Tomasz Brill declined");
    browsers.pass(Duration.ofSeconds(20));
    ines.hasNoCalls();
  }

  @Test
  void nobody_answers() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    ines.dial("221");
    tomasz.button("Silence").click();
    tomasz.sees("Ines Calloway", "silenced");
    browsers.pass(Duration.ofSeconds(20));
    ines.sees("Tomasz Brill", "Nobody answered");
    tomasz.hasNoCalls();
    assertThat(tomasz.page.getByText("You missed a call from Ines Calloway.")).isVisible();
    tomasz.open("History");
    tomasz.button("Missed").click();
    assertThat(tomasz.entries().first()).containsText("Ines Calloway");
  }

  @Test
  void the_called_one_is_busy() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    Desk bram = browsers.of("bram"); // has call waiting switched off
    tomasz.dial("213");
    bram.button("Answer").click();
    ines.seesState("Bram Oakes", "On a call");
    ines.dial("213");
    ines.sees("Bram Oakes", "Bram Oakes is busy");
    assertThat(bram.calls()).hasCount(1);
    ines.button("Close").click();
    ines.hasNoCalls();
  }

  @Test
  void somebody_not_signed_in_cannot_be_reached() {
    Desk ines = browsers.of("ines");
    ines.dial("224");
    ines.sees("Ottoline Grange", "Ottoline Grange is not signed in");
  }

  @Test
  void a_colleague_nobody_is_signed_in_as_answers_after_a_few_seconds() {
    Desk ines = browsers.of("ines");
    ines.dial("una");
    ines.sees("Una Redfern", "ringing");
    browsers.pass(Duration.ofSeconds(6));
    ines.sees("Una Redfern", "talking");
    ines.seesState("Una Redfern", "On a call");
    browsers.pass(Duration.ofMinutes(4));
    ines.hasNoCalls();
    ines.seesState("Una Redfern", "Free");
  }

  @Test
  void lamps_follow_a_call_and_tell_nothing_of_it() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    Desk adaeze = browsers.of("adaeze");
    ines.dial("221");
    adaeze.seesState("Tomasz Brill", "Ringing");
    tomasz.button("Answer").click();
    adaeze.seesState("Tomasz Brill", "On a call");
    adaeze.seesState("Ines Calloway", "On a call");
    adaeze.hasNoCalls();
    tomasz.button("End").click();
    adaeze.seesState("Tomasz Brill", "Free");
  }

  @Test
  void the_history_finds_a_call_by_name_and_calls_back() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    tomasz.dial("201");
    ines.button("Decline").click();
    tomasz.button("Close").click();
    ines.open("History");
    ines.page.getByLabel("Name, number or line").fill("nobody at all");
    assertThat(ines.page.getByText("No calls like that.")).isVisible();
    ines.page.getByLabel("Name, number or line").fill("brill");
    assertThat(ines.entries().first()).containsText("you declined");
    ines.button("Placed").click();
    assertThat(ines.page.getByText("you declined")).hasCount(0);
    ines.page.reload();
    assertThat(ines.button("Placed")).hasAttribute("aria-pressed", "true");
    assertThat(ines.page.getByLabel("Name, number or line")).hasValue("brill");
    ines.button("All").click();
    ines.button("Call Tomasz Brill").click();
    tomasz.button("Answer").click();
    ines.open("Desk");
    ines.sees("Tomasz Brill", "talking");
    assertThat(ines.call("Tomasz Brill").getByText(Pattern.compile("You called"))).isVisible();
  }
}
