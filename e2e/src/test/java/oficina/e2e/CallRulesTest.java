package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What people decide about their calls on the screen, felt by real calls. */
class CallRulesTest {
  @RegisterExtension final Browsers browsers = new Browsers();

  private static Locator combo(Desk desk, String name) {
    return desk.page.getByRole(
        AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator field(Desk desk, String label) {
    return desk.page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
  }

  private static Locator chip(Desk desk, String name) {
    return desk.page
        .getByRole(AriaRole.BANNER)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name));
  }

  private static void dialogGone(Desk desk) {
    assertThat(desk.page.getByRole(AriaRole.DIALOG)).hasCount(0);
  }

  private static Locator way(Desk desk) {
    return desk.page.getByRole(
        AriaRole.LIST, new Page.GetByRoleOptions().setName("The way it would go"));
  }

  private static void tryIt(Desk desk, String caller) {
    field(desk, "Who calls").fill(caller);
    desk.page
        .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Try it"))
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Try it"))
        .click();
  }

  @Test
  void two_keys_say_do_not_disturb_everybody_sees_it_and_it_ends_by_itself() {
    Desk lotte = browsers.of("lotte");
    Desk joss = browsers.of("joss");
    Desk tomasz = browsers.of("tomasz");
    tomasz.play("Callum Rusk");
    lotte.press(",");
    assertThat(lotte.page.getByRole(AriaRole.DIALOG)).isVisible();
    lotte.press("4");
    dialogGone(lotte);
    assertThat(chip(lotte, "Lotte Penrose")).containsText("Do not disturb");
    joss.seesState("Lotte Penrose", "Do not disturb");
    tomasz.callFrom("Callum Rusk", "0191 498 0233");
    assertThat(tomasz.phoneOf("Callum Rusk")).containsText("talking");
    lotte.hasNoCalls();
    tomasz
        .phoneOf("Callum Rusk")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Hang up"))
        .click();
    assertThat(chip(lotte, "Lotte Penrose")).containsText("1 call kept from you");
    joss.dial("233");
    joss.sees("Lotte Penrose", "does not want to be disturbed");
    joss.button("Close").click();

    lotte.press(",");
    field(lotte, "In my words").fill("Back at three");
    combo(lotte, "Until").selectOption("HOUR1");
    lotte.page.getByRole(AriaRole.DIALOG).getByText("calls go where they go").click();
    dialogGone(lotte);
    assertThat(joss.person("Lotte Penrose")).containsText("Back at three");
    lotte.press(","); // an end that comes to mind afterwards
    combo(lotte, "Until").selectOption("HOUR2");
    lotte.button("Keep it with Away").click();
    dialogGone(lotte);
    browsers.pass(Duration.ofMinutes(61));
    joss.seesState("Lotte Penrose", "Away");
    assertThat(joss.person("Lotte Penrose")).containsText("Back at three");
    lotte.press(",");
    lotte.press("2"); // what one is instead has no such end
    dialogGone(lotte);
    browsers.pass(Duration.ofMinutes(61));
    joss.seesState("Lotte Penrose", "Busy");
    lotte.press(",");
    combo(lotte, "Until").selectOption("HOUR1");
    lotte.press("3");
    dialogGone(lotte);
    browsers.pass(Duration.ofMinutes(60));
    joss.seesState("Lotte Penrose", "Free");
  }

  @Test
  void a_rule_by_mouse_is_tried_felt_and_named_in_the_history() {
    Desk lotte = browsers.of("lotte");
    Desk joss = browsers.of("joss");
    Desk tomasz = browsers.of("tomasz");
    lotte.open("Call rules");
    lotte.button("Add a rule for: I decline").click();
    combo(lotte, "Whose calls").selectOption("CHOSEN");
    field(lotte, "Names, extensions, numbers or companies, with commas between")
        .fill("Tomasz Brill, 0121 496 0102");
    combo(lotte, "Where they go").selectOption("PERSON");
    combo(lotte, "Colleague").selectOption("Joss Ardley");
    lotte.button("Keep the rule").click();
    assertThat(lotte.page.getByText("Tomasz Brill, 0121 496 0102 → Joss Ardley")).isVisible();
    combo(lotte, "And if").selectOption("DECLINES");
    tryIt(lotte, "221");
    assertThat(way(lotte)).containsText("I decline: a rule sends it to Joss Ardley.");
    assertThat(way(lotte)).containsText("Rings Joss Ardley for 20 s.");

    tomasz.dial("233");
    lotte.button("Decline").click();
    joss.sees("Tomasz Brill", "For Lotte Penrose, whose rules sent it here");
    joss.button("Answer").click();
    tomasz.sees("Joss Ardley", "talking");
    joss.button("End").click();
    lotte.open("History");
    lotte.entries().first().getByRole(AriaRole.BUTTON).first().click();
    assertThat(lotte.page.getByText("Declined: to Joss Ardley")).isVisible();
    lotte
        .page
        .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Open the rule"))
        .click();
    lotte.button("Take away the rule for I decline: Tomasz Brill, 0121 496 0102").click();
    assertThat(lotte.page.getByText("Tomasz Brill, 0121 496 0102 → Joss Ardley")).isHidden();
  }

  @Test
  void a_rule_by_keyboard_alone_and_one_that_would_go_round_is_refused() {
    Desk lotte = browsers.of("lotte");
    Desk joss = browsers.of("joss");
    lotte.press(";");
    lotte.button("Add a rule for: In any case").focus();
    lotte.press("Enter");
    assertThat(combo(lotte, "Whose calls")).isFocused();
    lotte.press("Tab");
    lotte.page.keyboard().type("a colleague");
    lotte.press("Tab");
    lotte.page.keyboard().type("Joss");
    combo(lotte, "Colleague").press("Enter");
    lotte.button("Keep the rule").press("Enter");
    assertThat(lotte.page.getByText("everybody → Joss Ardley")).isVisible();
    assertThat(lotte.rulesLine()).containsText("everything goes to Joss Ardley");

    joss.open("Call rules");
    joss.button("Add a rule for: I am on a call").click();
    combo(joss, "Where they go").selectOption("PERSON");
    combo(joss, "Colleague").selectOption("Lotte Penrose");
    joss.button("Keep the rule").click();
    assertThat(joss.alert().getByText("round in a circle")).isVisible();
    joss.button("Cancel").click();
    lotte.button("Take away the rule for In any case: everybody").press("Enter");
    assertThat(lotte.rulesLine()).containsText("rings here 20 s, then voicemail");
  }

  @Test
  void everything_goes_elsewhere_for_a_while_and_steps_ring_one_after_the_other() {
    Desk lotte = browsers.of("lotte");
    Desk joss = browsers.of("joss");
    Desk tomasz = browsers.of("tomasz");
    lotte.open("Call rules");
    combo(lotte, "Send everything to").selectOption("LINE");
    combo(lotte, "Line").selectOption("Bookings");
    field(lotte, "Day").fill("2099-12-31");
    lotte.button("Start").click();
    assertThat(lotte.rulesLine()).containsText("everything goes to Bookings");
    tomasz.seesState("Lotte Penrose", "Away");
    assertThat(tomasz.person("Lotte Penrose")).containsText("calls go to Bookings");
    tryIt(lotte, "0151 496 0177");
    assertThat(way(lotte)).containsText("a rule sends it to Bookings");
    lotte.button("Stop").click();
    assertThat(lotte.button("Start")).isVisible();
    tomasz.seesState("Lotte Penrose", "Free");

    lotte.button("Add a step").click();
    field(lotte, "Who is rung, with commas between").fill("my devices, Joss Ardley");
    lotte.button("Keep the step").click();
    assertThat(lotte.page.getByText("my devices, Joss Ardley for 15 s")).isVisible();
    tomasz.dial("233");
    lotte.sees("Tomasz Brill", "ringing");
    joss.hasNoCalls();
    browsers.pass(Duration.ofSeconds(21));
    joss.sees("Tomasz Brill", "Rings for Lotte Penrose");
    joss.button("Answer").click();
    joss.sees("Tomasz Brill", "talking");
    joss.button("End").click();
    lotte.button("Take step 2 away").click();
    lotte.button("Take step 1 away").click();
    assertThat(lotte.page.getByText("my devices for 20 s")).isVisible();
  }

  @Test
  void a_caller_is_blocked_from_the_call_and_let_through_again() {
    Desk lotte = browsers.of("lotte");
    Desk tomasz = browsers.of("tomasz");
    tomasz.play("Callum Rusk");
    tomasz.callFrom("Callum Rusk", "0191 498 0233");
    lotte.sees("0121 496 0102", "ringing");
    lotte.inStrip("0121 496 0102", "Block 0121 496 0102").click();
    combo(lotte, "What they hear").selectOption("NOT_IN_USE");
    Locator block =
        lotte
            .page
            .getByRole(AriaRole.DIALOG)
            .getByRole(
                AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Block").setExact(true));
    block.click();
    assertThat(lotte.page.getByText("Blocked: 0121 496 0102.")).isVisible();
    block.click(); // nothing is left in the field that could join the next number
    assertThat(lotte.page.getByText("Type a number first.")).isVisible();
    assertThat(lotte.page.getByText("Blocked: 0121 496 0102.")).isHidden();
    lotte.press("Escape");
    lotte.button("Decline").click();
    lotte.hasNoCalls();
    tomasz
        .phoneOf("Callum Rusk")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Hang up"))
        .click();
    tomasz.callFrom("Callum Rusk", "0191 498 0233");
    assertThat(tomasz.phoneOf("Callum Rusk")).containsText("This number is not in use.");
    lotte.hasNoCalls();
    lotte.open("History");
    assertThat(lotte.entries().first()).containsText("blocked");
    lotte.entries().first().getByRole(AriaRole.BUTTON).first().click();
    lotte
        .page
        .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Open the blocked callers"))
        .click();
    assertThat(lotte.page.getByText("tried once")).isVisible();
    lotte.button("Let 0121 496 0102 through again").click();
    assertThat(lotte.page.getByText("Nobody is blocked.")).isVisible();
    lotte.press("Escape");
  }

  @Test
  void one_takes_part_in_a_line_or_not_and_the_office_closes() {
    Desk ines = browsers.of("ines");
    Desk rufus = browsers.of("rufus");
    Desk mirela = browsers.of("mirela");
    Desk tomasz = browsers.of("tomasz");
    ines.open("Call rules");
    field(ines, "I take part in Front desk").click();
    assertThat(field(ines, "I take part in Front desk")).not().isChecked();
    ines.open("Desk");
    tomasz.dial("200");
    rufus.sees("Tomasz Brill", "ringing");
    ines.hasNoCalls();
    tomasz.button("End").click();
    ines.open("Call rules");
    field(ines, "I take part in Front desk").click();
    assertThat(field(ines, "I take part in Front desk")).isChecked();

    mirela.openMenu("Mirela Stanton");
    mirela.button("Opening hours").click();
    String calendar =
        "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART;VALUE=DATE:20991225\r\nSUMMARY:Christmas\r\n"
            + "END:VEVENT\r\nEND:VCALENDAR\r\n";
    mirela
        .page
        .getByLabel("Calendar file")
        .setInputFiles(
            new FilePayload("h.ics", "text/calendar", calendar.getBytes(StandardCharsets.UTF_8)));
    assertThat(mirela.page.getByText("1 days read in.")).isVisible();
    mirela.button("Take Christmas off").click();
    mirela.button("Keep the hours").click();
    dialogGone(mirela);
    mirela.open("Call rules");
    combo(mirela, "Whose rules").selectOption("Front desk");
    mirela.button("Set hours").click();
    combo(mirela, "On holidays").selectOption("ONLY");
    mirela.button("Keep the hours").click();
    assertThat(mirela.page.getByText("only on holidays").last()).isVisible();
    tomasz.dial("200");
    tomasz.sees("Front desk", "closed now");
    tomasz.button("Close").click();
    mirela.button("At any time").click();
    assertThat(mirela.button("Set hours")).isVisible();
  }

  @Test
  void a_line_welcomes_its_callers_who_dial_an_extension_or_wait() {
    Desk mirela = browsers.of("mirela");
    Desk tomasz = browsers.of("tomasz");
    Desk lotte = browsers.of("lotte");
    mirela.open("Call rules");
    combo(mirela, "Whose rules").selectOption("Freight");
    Locator asked =
        mirela.page.getByLabel(Pattern.compile("^Callers from outside are welcomed first"));
    asked.click();
    assertThat(asked).isChecked();
    field(mirela, "Which number").fill("220");
    tryIt(mirela, "0121 496 0102");
    assertThat(way(mirela)).containsText("welcomes the caller, who may dial an extension");
    tomasz.play("Callum Rusk");
    tomasz.callFrom("Callum Rusk", "0191 498 0120");
    assertThat(tomasz.phoneOf("Callum Rusk")).containsText("talking");
    tomasz.phoneButton("Callum Rusk", "9").click();
    assertThat(tomasz.phoneOf("Callum Rusk")).containsText("talking");
    browsers.pass(Duration.ofSeconds(5)); // they are told, and have all the time to dial again
    tomasz.hasNoCalls();
    for (String key : "233".split("")) {
      tomasz.phoneButton("Callum Rusk", key).click();
    }
    lotte.sees("0121 496 0102", "ringing");
    lotte.button("Answer").click();
    lotte.sees("0121 496 0102", "talking");
    lotte.button("End").click();

    Desk una = browsers.of("una");
    Locator lines =
        una.page.getByRole(
            AriaRole.REGION, new Page.GetByRoleOptions().setName("Lines and those you act for"));
    tomasz.callFrom("Callum Rusk", "0191 498 0120");
    tomasz.phoneButton("Callum Rusk", "#").click();
    tomasz.sees("0121 496 0102", "On the Freight line");
    tomasz.button("Answer").click();
    assertThat(lines).containsText("Freight line");
    assertThat(lines).containsText("Tomasz Brill on it");
    tomasz.phoneButton("Callum Rusk", "Hang up").click();
    assertThat(lines).hasCount(0);
    asked.click();
    assertThat(asked).not().isChecked();
  }

  @Test
  void an_outside_number_of_mine_takes_the_call_by_a_key_alone() {
    Desk lotte = browsers.of("lotte");
    Desk tomasz = browsers.of("tomasz");
    tomasz.play("Callum Rusk");
    Desk joss = browsers.of("joss");
    lotte.open("Call rules");
    lotte.button("Add a step").click();
    field(lotte, "Who is rung, with commas between").fill("0121 496 0102");
    lotte.button("Keep the step").click();
    assertThat(lotte.button("Take step 2 away")).isVisible();
    joss.dial("233");
    lotte.sees("Joss Ardley", "ringing");
    browsers.pass(Duration.ofSeconds(21));
    tomasz.phoneButton("Callum Rusk", "Answer").click();
    tomasz.phoneButton("Callum Rusk", "1").click();
    joss.sees("0121 496 0102", "talking");
    joss.button("End").click();
    joss.hasNoCalls();

    joss.dial("233");
    lotte.sees("Joss Ardley", "ringing");
    browsers.pass(Duration.ofSeconds(21));
    tomasz.phoneButton("Callum Rusk", "Answer").click();
    joss.sees("Lotte Penrose", "ringing");
    browsers.pass(Duration.ofSeconds(16));
    joss.sees("Lotte Penrose", "Nobody answered");
    joss.button("Close").click();
    lotte.button("Take step 2 away").click();
    lotte.button("Take step 1 away").click();
    assertThat(lotte.page.getByText("my devices for 20 s")).isVisible();
  }
}
