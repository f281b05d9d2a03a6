package oficina.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Person;
import oficina.core.sound.Pcm;
import oficina.server.TestServer;
import oficina.server.mailboxes.LeftBefore;
import oficina.server.office.OfficeData;
import oficina.server.recordings.RecordedBefore;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** No screen has a serious fault that axe-core finds, by day, by night and on a phone. */
class AccessibilityTest {
  @RegisterExtension final Browsers browsers = new Browsers();

  /** Screens that have everything that can differ by night or at phone width. */
  private static final Set<String> TELLING =
      Set.of(
          "ringing",
          "conference",
          "parked, and what waits",
          "results",
          "history",
          "office",
          "queues",
          "queues of the office");

  @Test
  void every_screen_can_be_used_by_everybody() {
    Page stranger = browsers.stranger();
    new Desk(stranger).button("Sign in").waitFor();
    check(stranger, "sign-in");

    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    check(ines.page, "empty desk");
    leaveMessage();
    tomasz.dial("201");
    ines.sees("Tomasz Brill", "ringing");
    check(ines.page, "ringing");
    ines.button("Answer").click();
    tomasz.sees("Ines Calloway", "talking");
    ines.button("Park").click();
    check(ines.page, "where to park");
    ines.button("Cancel").click();
    Desk adaeze = browsers.of("adaeze");
    adaeze.dial("201");
    ines.inStrip("Adaeze Moor", "Answer").click();
    ines.button("Join").click();
    ines.sees("Conference", "3 of at most 16");
    check(ines.page, "conference");
    ines.button("Drop Adaeze Moor").click();
    ines.button("Park").click();
    ines.press("Enter");
    ines.slot("61").getByText("Tomasz Brill").waitFor();
    check(ines.page, "parked, and what waits");
    ines.take("61");
    ines.button("Hold").click();
    ines.dial("0114 496 0155");
    ines.sees("0114 496 0155", "Sheffield");
    browsers.pass(Duration.ofSeconds(4));
    ines.button("Keys").click();
    check(ines.page, "two calls and a keypad");
    ines.dialField().fill("22");
    ines.results().first().waitFor();
    check(ines.page, "results");
    ines.dialField().fill("");
    ines.dial("299");
    ines.alert().getByText("Nobody has extension 299.").waitFor();
    check(ines.page, "a problem");
    ines.press("Escape");
    ines.open("Outside");
    ines.button("Play Dov Hartigan").click();
    ines.phoneOf("Dov Hartigan").waitFor();
    check(ines.page, "outside");
    ines.button("Leave Dov Hartigan").click();
    ines.press("e");
    ines.open("History");
    ines.entries().first().waitFor();
    ines.entries().first().getByRole(AriaRole.BUTTON).first().click();
    check(ines.page, "history");
    ines.open("Voicemail");
    ines.page.getByText("Choose a message to hear or read it.").waitFor();
    ines.page
        .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Messages"))
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("0151 496 0177"))
        .first()
        .click();
    ines.button("Pass on").click();
    check(ines.page, "voicemail");
    ines.button("Greetings").click();
    ines.button("Set it").waitFor();
    check(ines.page, "greetings");
    ines.press("Escape");
    ines.button("Delete").click();
    ines.press("?");
    ines.page.getByRole(AriaRole.DIALOG).waitFor();
    check(ines.page, "keys");
    ines.press("Escape");
    ines.openMenu("This computer");
    ines.page.getByText("Callers with a tone of their own").waitFor();
    check(ines.page, "sound");
    ines.press("Escape");
    DeskPhone phone = DeskPhone.of(ines);
    phone.type("2323").shows("Adaeze Moor");
    check(phone.page, "desk phone");
    phone.page.close();
    recordings(ines);
    callRules(ines);
    for (String sheet : List.of("Call settings", "Change password", "Where I am signed in")) {
      ines.openMenu("Ines Calloway");
      ines.button(sheet).click();
      ines.page.getByRole(AriaRole.DIALOG).waitFor();
      check(ines.page, sheet);
      ines.press("Escape");
    }
    ines.openMenu("Ines Calloway");
    check(ines.page, "menu");
    ines.page.getByLabel("Appearance").selectOption("Night");
    assertThat(ines.page.locator("html").getAttribute("data-theme")).isEqualTo("oficina-night");
    ines.page.getByLabel("Appearance").selectOption("As the system");
  }

  @Test
  void the_registers_of_the_office_and_its_queues() {
    Desk mirela = browsers.of("mirela");
    mirela.press("=");
    mirela.button("Change Adaeze Moor").click();
    mirela.button("Leaves the office").click();
    mirela.page.getByText("They lead the queue Fares and times.").waitFor();
    mirela.button("Change Fares and times").click();
    check(mirela.page, "office");
    mirela.open("Queues");
    mirela.page.getByLabel("The whole office").check();
    mirela.page.getByText("The same in figures").or(mirela.page.getByText("Nobody came")).waitFor();
    mirela.page.getByText("What was decided here").click();
    check(mirela.page, "queues");
    mirela.openMenu("Mirela Stanton");
    mirela.button("Queues of this office").click();
    mirela
        .page
        .getByLabel("Line", new Page.GetByLabelOptions().setExact(true))
        .selectOption("Fares and times");
    mirela.page.getByLabel("Kept for at most, seconds").waitFor();
    check(mirela.page, "queues of the office");
  }

  /** Something to be seen in the tray of Ines. */
  private static void leaveMessage() {
    TestServer server = TestServer.get();
    Person ines = server.bean(OfficeData.class).directory().personAt("201").orElseThrow();
    Party caller = new Party.Outside(new PhoneNumber("+441514960177"));
    Instant now = server.clock().instant();
    server
        .bean(LeftBefore.class)
        .file(new Party.Employee(ines.id()), caller, now, new short[4 * Pcm.RATE], null);
  }

  private void recordings(Desk ines) {
    TestServer server = TestServer.get();
    Person person = server.bean(OfficeData.class).directory().personAt("201").orElseThrow();
    Party caller = new Party.Outside(new PhoneNumber("+441514960177"));
    short[] sound = new short[4 * Pcm.RATE];
    server
        .bean(RecordedBefore.class)
        .file(person.id(), caller, server.clock().instant(), sound, sound);
    ines.open("History");
    ines.page
        .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("All recordings"))
        .click();
    ines.page
        .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Recordings, latest first"))
        .getByRole(AriaRole.BUTTON)
        .first()
        .click();
    ines.button("Hand to a colleague").click();
    ines.button("Hand it on").waitFor();
    check(ines.page, "recordings");
    ines.button("Delete").click();
  }

  private static void check(Page page, String screen) {
    hasNothingSerious(analysing(page), screen);
    if (TELLING.contains(screen)) { // each in every way would take minutes and find the same
      page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
      // Nothing else depends on the colours.
      hasNothingSerious(analysing(page).withRules(List.of("color-contrast")), screen + " by night");
      page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
      page.setViewportSize(390, 800);
      hasNothingSerious(analysing(page), screen + " on a phone");
      assertThat((Boolean) page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
          .as("nothing sticks out sideways: " + screen)
          .isTrue();
      page.setViewportSize(1280, 800);
    }
  }

  /**
   * In the page itself: none of ours has frames, and a page of its own costs more than all rules.
   */
  private static AxeBuilder analysing(Page page) {
    return new AxeBuilder(page).setLegacyMode(true);
  }

  private static void hasNothingSerious(AxeBuilder axe, String screen) {
    List<Rule> serious =
        axe.analyze().getViolations().stream()
            .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
            .toList();
    assertThat(
            serious.stream()
                .map(r -> r.getId() + ": " + r.getNodes().stream().map(n -> n.getHtml()).toList()))
        .as(screen)
        .isEmpty();
  }

  private void callRules(Desk ines) {
    ines.open("Call rules");
    ines.button("Add a rule for: Nobody answers").click();
    ines.button("Set hours").click();
    ines.button("Add a step").click();
    ines.page.getByLabel("Who calls").fill("0151 496 0177");
    ines.page
        .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Try it"))
        .getByRole(AriaRole.BUTTON)
        .click();
    ines.page
        .getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("The way it would go"))
        .waitFor();
    check(ines.page, "call rules");
    ines.button("0 blocked").click();
    ines.page.getByText("Nobody is blocked.").waitFor();
    check(ines.page, "blocked callers");
    ines.press("Escape");
    ines.press("Escape");
    ines.page.locator("body").click();
    ines.press(",");
    ines.page.getByRole(AriaRole.DIALOG).waitFor();
    check(ines.page, "status");
    ines.press("Escape");
    ines.open("Contacts");
    ines.button("New card").click();
    check(ines.page, "contacts");
    ines.button("Read a file in").click();
    ines.page.getByRole(AriaRole.DIALOG).waitFor();
    check(ines.page, "reading contacts in");
    ines.press("Escape");
    ines.open("Desk");
  }
}
