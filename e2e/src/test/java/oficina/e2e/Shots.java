package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Makes the pictures of the documentation from the demo office: {@code ./oficina shots}. */
@EnabledIfSystemProperty(named = "oficina.shots", matches = ".+")
class Shots {
  @RegisterExtension final Browsers browsers = new Browsers();

  @Test
  void the_main_views() {
    Page stranger = browsers.stranger();
    new Desk(stranger).button("Sign in").waitFor();
    take(stranger, "sign-in");

    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    Desk adaeze = browsers.of("adaeze");
    ines.button("Put away").click();
    keysFor(ines, "Tomasz Brill", "Adaeze Moor", "Hamish Tolland");
    take(ines.page, "desk-idle");
    ines.open("Contacts");
    ines.page
        .getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Cards"))
        .getByRole(AriaRole.BUTTON)
        .first()
        .waitFor();
    ines.page.getByLabel("Open at D").click();
    ines.page.getByText("Dov Hartigan").click();
    ines.page.getByText("My calls with them").waitFor();
    ines.button("Add Dov Hartigan to my speed dials").click();
    ines.button("Put away").click();
    take(ines.page, "contacts");
    ines.openMenu("This computer");
    ines.page.getByText("Callers with a tone of their own").waitFor();
    take(ines.page, "sound");
    ines.press("Escape");
    ines.play("Dov Hartigan");
    ines.play("Marisol Quenby");
    take(ines.page, "outside");
    ines.callFrom("Marisol Quenby", "0191 498 0201");
    ines.button("Answer").click();
    assertThat(ines.phoneOf("Marisol Quenby")).containsText("talking");
    browsers.pass(Duration.ofSeconds(95));
    ines.open("Desk");
    ines.button("It is Marisol Quenby").click();
    ines.sees("Marisol Quenby", "talking");
    ines.page
        .getByLabel("Note about this call")
        .fill("Thirty children on Friday, two more teachers.");
    take(ines.page, "desk-known");
    ines.button("Hold").click();
    ines.sees("Marisol Quenby", "on hold");
    browsers.pass(Duration.ofSeconds(40));
    ines.dial("221");
    tomasz.button("Answer").click();
    ines.sees("Tomasz Brill", "talking");
    browsers.pass(Duration.ofSeconds(72));
    adaeze.dial("200");
    ines.sees("Adaeze Moor", "ringing");
    browsers.pass(Duration.ofSeconds(1));
    take(ines.page, "desk");

    ines.page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
    take(ines.page, "desk-night");
    ines.page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
    ines.page.setViewportSize(390, 844);
    take(ines.page, "desk-phone-width");
    ines.page.setViewportSize(1280, 800);
    ines.button("Decline").click();
    ines.dialField().fill("bri");
    ines.results().first().waitFor();
    take(ines.page, "finding");
    ines.dialField().fill("");
    ines.dialField().press("Escape");
    ines.button("Transfer").click();
    ines.targetField().fill("pri");
    ines.results().first().waitFor();
    ines.button("Announce first").click();
    browsers.pass(Duration.ofSeconds(6));
    ines.sees("You are announcing Tomasz Brill", "talking");
    browsers.pass(Duration.ofSeconds(22));
    take(ines.page, "desk-announce");
    ines.inStrip("Marisol Quenby", "Park").click();
    ines.page.getByLabel("For", new Page.GetByLabelOptions().setExact(true)).fill("adaeze");
    ines.page
        .getByLabel("Note", new Page.GetByLabelOptions().setExact(true))
        .fill("the 12 June sailing");
    ines.page.getByLabel("Note", new Page.GetByLabelOptions().setExact(true)).press("Enter");
    ines.slot("61").getByText("Hask Primary School").waitFor();
    browsers.pass(Duration.ofSeconds(48));
    ines.button("All three talk").click();
    ines.sees("Conference", "3 of at most 16");
    browsers.pass(Duration.ofSeconds(65));
    ines.button("Put away").click();
    take(ines.page, "desk-conference");
    ines.button("Drop Priya Venn").click();
    ines.sees("Tomasz Brill", "talking");
    ines.button("End").click();
    ines.open("History");
    ines.entries().getByText("Tomasz Brill").first().click();
    take(ines.page, "history");
    ines.open("History");
    ines.page
        .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("All recordings"))
        .click();
    ines.page
        .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Recordings, latest first"))
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Wilhelmina Frost"))
        .click();
    ines.button("Have it written down").click();
    writtenDown(ines);
    take(ines.page, "recordings");
    callRules(ines);
    queue(ines, adaeze);
    ines.open("Voicemail");
    Locator tray =
        ines.page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Messages"));
    tray.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Dov Hartigan")).click();
    writtenDown(ines);
    take(ines.page, "voicemail");
    deskPhone(tomasz, adaeze, ines);
    office();
  }

  /** The registers, one of them open. */
  private void office() {
    Desk mirela = browsers.of("mirela");
    mirela.press("=");
    mirela.button("Change Adaeze Moor").click();
    mirela.button("Leaves the office").click();
    mirela.page.getByText("They lead the queue Fares and times.").waitFor();
    mirela
        .page
        .getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("People").setExact(true))
        .scrollIntoViewIfNeeded();
    take(mirela.page, "office");
  }

  private void deskPhone(Desk owner, Desk first, Desk second) {
    DeskPhone phone = DeskPhone.of(owner);
    phone.page.setViewportSize(760, 560);
    first.dial("221");
    phone.shows("Adaeze Moor calls").press("Speaker").shows("Adaeze Moor");
    first.sees("Tomasz Brill", "talking");
    browsers.pass(Duration.ofSeconds(48));
    second.open("Desk");
    second.dial("221");
    phone.shows("Ines Calloway calls");
    take(phone.page, "desk-phone");
    phone.press("Decline").showsNo("Ines Calloway").press("Transfer").type("83").press("Down");
    // Beside the booklet, of which alone it is a part.
    take(phone.page, "../desk-phone-transfer");
  }

  /** The machine writes down one after the other, and slowly, where it has other things to do. */
  private static void writtenDown(Desk desk) {
    desk.page
        .getByText("Written down by this machine")
        .waitFor(new Locator.WaitForOptions().setTimeout(240_000));
  }

  private static void keysFor(Desk desk, String... colleagues) {
    for (String name : colleagues) {
      desk.person(name).focus();
      desk.button("Add " + name + " to my speed dials").click();
      desk.isTold(name + " is a speed dial of yours now.");
      desk.button("Put away").click();
    }
  }

  private static void take(Page page, String name) {
    // The mouse elsewhere, so that no control looks pointed at.
    page.mouse().move(2, 400);
    page.screenshot(
        new Page.ScreenshotOptions()
            .setPath(Path.of(System.getProperty("oficina.shots"), name + ".png")));
  }

  /** Some who wait, and one whom Kirsi has taken, who alone takes part. */
  private void queue(Desk player, Desk lead) {
    List<String> callers = List.of("Elspeth Nairn", "Odile Marchmont", "Gwen Pryce");
    player.open("Outside");
    for (String caller : callers) {
      player.button("Play " + caller).click();
      player.phoneOf(caller).waitFor();
    }
    lead.open("Queues");
    for (String member : List.of("Adaeze Moor", "Bram Oakes", "Celia Thorne", "Yusuf Penhallow")) {
      lead.button("Have " + member + " rest").click();
    }
    for (String caller : callers) {
      player.callFrom(caller, "270");
      browsers.pass(Duration.ofSeconds(12));
    }
    lead.page.getByText("How many are needed").waitFor();
    lead.page.getByText("% in time").first().waitFor();
    take(lead.page, "queues");
    lead.open("Desk");
  }

  /** Some rules that somebody at a front desk would have, and a call that is tried. */
  private static void callRules(Desk desk) {
    desk.open("Call rules");
    rule(desk, "Do not disturb", "Harbour Control, Mirela Stanton", "RING", "");
    rule(desk, "I am on a call", "", "LINE", "Front desk");
    rule(desk, "Nobody answers", "", "PERSON", "Rufus Adeyemi");
    desk.page.getByLabel("Who calls").fill("0151 496 0177");
    desk.page.getByLabel("And if").selectOption("ON_A_CALL");
    desk.page
        .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Try it"))
        .getByRole(AriaRole.BUTTON)
        .click();
    desk.page
        .getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("The way it would go"))
        .waitFor();
    take(desk.page, "call-rules");
  }

  private static void rule(Desk desk, String when, String callers, String to, String whom) {
    desk.button("Add a rule for: " + when).click();
    if (!callers.isEmpty()) {
      choose(desk, "Whose calls", "CHOSEN");
      desk.page
          .getByLabel("Names, extensions, numbers or companies, with commas between")
          .fill(callers);
    }
    choose(desk, "Where they go", to);
    if (!whom.isEmpty()) {
      choose(desk, to.equals("LINE") ? "Line" : "Colleague", whom);
    }
    desk.button("Keep the rule").click();
    desk.button("Add a rule for: " + when).waitFor();
  }

  private static void choose(Desk desk, String label, String option) {
    desk.page
        .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(label).setExact(true))
        .selectOption(option);
  }
}
