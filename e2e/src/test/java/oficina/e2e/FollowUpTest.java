package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.regex.Pattern;
import oficina.server.ServerProcess;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Notes, outcomes, follow-ups, and what is known of a caller. */
class FollowUpTest {
  @RegisterExtension final Browsers browsers = new Browsers();

  private static Locator field(Desk desk, String label) {
    return desk.page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
  }

  private static Locator whoDoesIt(Desk desk) {
    return desk.page.getByRole(
        AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Who does it"));
  }

  private static Locator section(Desk desk, String name) {
    return desk.page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile(name)));
  }

  private static void calls(Desk tomasz, String who, Desk lotte) {
    tomasz.callFrom(who, "0191 498 0233");
    lotte.button("Answer").click();
    assertThat(tomasz.phoneOf(who)).containsText("talking");
  }

  @Test
  void what_was_written_and_promised_is_there_when_they_call_again() {
    Desk tomasz = browsers.of("tomasz");
    Desk lotte = browsers.of("lotte");
    Desk joss = browsers.of("joss");
    tomasz.play("Elspeth Nairn");
    calls(tomasz, "Elspeth Nairn", lotte);
    assertThat(field(lotte, "Note about this call")).isVisible();
    lotte.press(".");
    assertThat(field(lotte, "Note about this call")).isFocused();
    lotte.page.keyboard().type("Forty sacks of wool on Friday.");
    field(lotte, "Title of the note").fill("Wool");
    lotte.page.reload();
    assertThat(field(lotte, "Title of the note")).hasValue("Wool");
    assertThat(field(lotte, "Note about this call")).hasValue("Forty sacks of wool on Friday.");
    tomasz.phoneButton("Elspeth Nairn", "Hang up").click();

    Locator over = section(lotte, "The call with 0121 496 0101 is over");
    over.getByLabel("Outcome").selectOption("Booking made");
    over.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Follow up")).click();
    assertThat(field(lotte, "What is to be done")).hasValue("Wool");
    field(lotte, "What is to be done").fill("Send her the timetable");
    whoDoesIt(lotte).selectOption("Joss Ardley");
    lotte.button("Keep it").click();
    assertThat(field(lotte, "What is to be done")).hasCount(0);

    lotte.open("History");
    lotte.button("With notes").click();
    assertThat(lotte.entries().first()).containsText("Booking made");
    assertThat(lotte.entries().first()).containsText("with a note");
    lotte.open("Desk");

    tomasz.callFrom("Elspeth Nairn", "0191 498 0234");
    joss.sees("0121 496 0101", "“Wool”");
    joss.sees("0121 496 0101", "1 thing to be done");
    joss.button("Answer").click();
    Locator known = section(joss, "What is known of 0121 496 0101");
    assertThat(known).containsText("Lotte Penrose");
    assertThat(known).containsText("Forty sacks of wool on Friday.");
    assertThat(known).containsText("Send her the timetable");
    tomasz.phoneButton("Elspeth Nairn", "Hang up").click();

    browsers.pass(Duration.ofDays(2));
    joss.isTold("Due now: Send her the timetable (0121 496 0101)");
    Locator waits = section(joss, "Waits for you");
    assertThat(waits).containsText("Send her the timetable");
    joss.button("Move or hand on: Send her the timetable").click();
    whoDoesIt(joss).selectOption("Lotte Penrose");
    joss.button("Keep it").click();
    assertThat(waits).not().containsText("Send her the timetable");
    assertThat(section(lotte, "Waits for you")).containsText("Send her the timetable");
    lotte.button("Done: Send her the timetable").click();
    lotte.isTold("Done: Send her the timetable");
    assertThat(section(lotte, "Waits for you")).not().containsText("Send her the timetable");
    joss.open("History");
    joss.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Follow-ups")).click();
    joss.button("My team's").click();
    assertThat(joss.page.getByText("Nothing is to be done.")).isVisible();
  }

  @Test
  void the_office_says_what_can_come_of_a_call_and_only_administrators_change_it() {
    Desk mirela = browsers.of("mirela");
    Desk lotte = browsers.of("lotte");
    mirela.openMenu("Mirela Stanton");
    mirela.button("Outcomes of calls").click();
    assertThat(field(mirela, "Outcome 1")).hasValue("Question answered");
    field(mirela, "Outcome 7").fill("Lost property");
    mirela.button("Keep them so").click();
    assertThat(mirela.page.getByRole(AriaRole.DIALOG)).hasCount(0);
    lotte.openMenu("Lotte Penrose");
    assertThat(lotte.button("Call settings")).isVisible();
    assertThat(lotte.button("Outcomes of calls")).hasCount(0);
    lotte.press("Escape");
    lotte.dial("01314960110");
    lotte.sees("0131 496 0110", "talking");
    lotte.button("End").click();
    lotte
        .page
        .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Outcome"))
        .first()
        .selectOption("Lost property");
    lotte.open("History");
    assertThat(lotte.entries().first()).containsText("Lost property");
    mirela.openMenu("Mirela Stanton");
    mirela.button("Outcomes of calls").click();
    field(mirela, "Outcome 7").fill("");
    mirela.button("Keep them so").click();
  }

  @Test
  void stock_phrases_are_put_into_a_note_by_key() {
    Desk tomasz = browsers.of("tomasz");
    Desk lotte = browsers.of("lotte");
    tomasz.play("Ravi Delacourt");
    calls(tomasz, "Ravi Delacourt", lotte);
    lotte.button("My stock phrases").click();
    field(lotte, "Phrase 1").fill("Wants to be called back.");
    lotte.button("Keep them so").click();
    assertThat(lotte.page.getByRole(AriaRole.DIALOG)).hasCount(0);
    assertThat(lotte.page.getByText("Wants to be called back.")).isVisible();
    assertThat(field(lotte, "Note about this call")).isVisible();
    lotte.press(".");
    assertThat(field(lotte, "Note about this call")).isFocused();
    lotte.page.keyboard().type("Urgent.");
    lotte.press("Alt+Shift+Digit1");
    assertThat(field(lotte, "Note about this call")).hasValue("Urgent. Wants to be called back.");
    lotte.button("End").click();
  }

  @Test
  void two_windows_write_one_note_and_what_either_wrote_is_kept() {
    Desk tomasz = browsers.of("tomasz");
    Desk lotte = browsers.of("lotte");
    tomasz.dial("233");
    lotte.button("Answer").click();
    lotte.sees("Tomasz Brill", "talking");
    Desk second = browsers.secondWindow("lotte");
    field(lotte, "Note about this call").fill("Two pallets.");
    assertThat(field(second, "Note about this call")).hasValue("Two pallets.");
    lotte.page.context().setOffline(true);
    field(lotte, "Note about this call").fill("Two pallets. By noon.");
    field(second, "Note about this call").fill("Two pallets. Keep them dry.");
    lotte.page.context().setOffline(false);
    Pattern both = Pattern.compile("By noon[^$]*Keep them dry|Keep them dry[^$]*By noon");
    assertThat(field(lotte, "Note about this call")).hasValue(both);
    assertThat(field(second, "Note about this call")).hasValue(both);
    lotte.button("End").click();
  }

  @Test
  void a_note_typed_while_the_server_is_killed_is_kept() {
    try (ServerProcess server = new ServerProcess()) {
      server.start();
      browsers.use(server.address());
      Desk ines = browsers.of("ines");
      ines.dial("01314960110");
      ines.sees("0131 496 0110", "talking");
      server.kill();
      field(ines, "Note about this call").fill("Posters by Tuesday.");
      assertThat(ines.page.getByText("Not kept yet. Trying again.")).isVisible();
      server.start();
      assertThat(ines.page.getByText("Not kept yet. Trying again.")).isHidden();
      assertThat(ines.page.getByText("The connection to the server is lost")).isHidden();
      ines.page.reload();
      ines.sees("0131 496 0110", "talking");
      assertThat(field(ines, "Note about this call")).hasValue("Posters by Tuesday.");
    }
  }
}
