package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.regex.Pattern;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Person;
import oficina.core.sound.Pcm;
import oficina.server.TestServer;
import oficina.server.followup.PromisedBefore;
import oficina.server.mailboxes.LeftBefore;
import oficina.server.office.OfficeData;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** An incoming call is noticed: desktop notification, ring tone, title of the page. */
class AlertsTest {
  @RegisterExtension final Browsers browsers = new Browsers();

  /** Watching from inside the page needs what its content security policy rightly forbids. */
  private Desk watched(String name) {
    Desk desk =
        browsers.at(
            name, new Browser.NewContextOptions().setViewportSize(1280, 800).setBypassCSP(true));
    desk.page.context().grantPermissions(List.of("notifications"));
    desk.page.addInitScript(
        """
        window.shown = [];
        window.playing = new Set();
        window.played = [];
        window.Notification = class {
          static permission = 'granted';
          constructor(title, options) { this.text = title + ' / ' + options.body; shown.push(this.text); }
          close() { shown.splice(shown.indexOf(this.text), 1); }
        };
        const play = HTMLMediaElement.prototype.play;
        HTMLMediaElement.prototype.play = function () { playing.add(this.src); played.push(this.src); return play.call(this); };
        const pause = HTMLMediaElement.prototype.pause;
        HTMLMediaElement.prototype.pause = function () { playing.delete(this.src); pause.call(this); };
        """);
    desk.page.reload();
    desk.isLive();
    return desk;
  }

  @Test
  void it_rings_until_silenced_and_shows_a_desktop_notification_until_answered() {
    Desk ines = browsers.of("ines");
    Desk tomasz = watched("tomasz");
    ines.dial("221");
    tomasz.sees("Ines Calloway", "ringing");
    assertThat(tomasz.page).hasTitle("Ringing: Ines Calloway");
    tomasz.page.waitForFunction("shown[0] === 'Ringing: Ines Calloway / Front desk · 201'");
    tomasz.page.waitForFunction("[...playing].some(src => src.endsWith('ring.wav'))");
    tomasz.button("Silence").click();
    tomasz.page.waitForFunction("playing.size === 0");
    tomasz.button("Answer").click();
    tomasz.page.waitForFunction("shown.length === 0");
    assertThat(tomasz.page).hasTitle("Desk – Oficina");
  }

  private static void rings(Desk desk, String when) {
    desk.page.getByRole(AriaRole.BANNER).locator("button").first().click();
    desk.page
        .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("This computer rings"))
        .selectOption(new SelectOption().setLabel(when));
    desk.press("Escape");
  }

  @Test
  void the_computer_rings_after_the_desk_phone_when_so_chosen() {
    Desk ines = browsers.of("ines");
    Desk tomasz = watched("tomasz");
    DeskPhone phone = DeskPhone.of(tomasz);
    rings(tomasz, "after 10 s");
    ines.dial("221");
    phone.shows("Ines Calloway calls");
    tomasz.sees("Ines Calloway", "ringing");
    tomasz.page.waitForFunction("shown[0]?.startsWith('Ringing: Ines Calloway')");
    assertEquals(0, tomasz.page.evaluate("playing.size"), "shown, and not heard yet");
    browsers.pass(Duration.ofSeconds(10));
    tomasz.page.waitForFunction("[...playing].some(src => src.endsWith('ring.wav'))");
    phone.press("Speaker");
    tomasz.page.waitForFunction("shown.length === 0 && playing.size === 0");
    phone.press("End").page.close();
    rings(tomasz, "at once");
  }

  @Test
  void what_has_become_due_is_told_by_a_desktop_notification() {
    Desk tomasz = watched("tomasz");
    TestServer server = TestServer.get();
    Person owner = server.bean(OfficeData.class).directory().personAt("221").orElseThrow();
    Instant now = server.clock().instant();
    server
        .bean(PromisedBefore.class)
        .followUp(
            new CallId("none"), owner.id(), "+441514960177", "Send the tide tables", now, now);
    server.clock().advance(Duration.ofSeconds(1));
    tomasz.page.waitForFunction(
        "shown[0]?.startsWith('Due now / Due now: Send the tide tables (')");
    tomasz.open("History");
    tomasz.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Follow-ups")).click();
    tomasz.button("Done: Send the tide tables").click();
  }

  @Test
  void a_new_message_is_told_by_a_desktop_notification() {
    Desk tomasz = watched("tomasz");
    assertThat(tomasz.page).hasTitle("Desk – Oficina");
    TestServer server = TestServer.get();
    Person owner = server.bean(OfficeData.class).directory().personAt("221").orElseThrow();
    Party caller = new Party.Outside(new PhoneNumber("+441514960177"));
    short[] sound = new short[2 * Pcm.RATE];
    server
        .bean(LeftBefore.class)
        .file(new Party.Employee(owner.id()), caller, server.clock().instant(), sound, null);
    tomasz.page.waitForFunction("shown[0]?.startsWith('Message from 0151 496 0177')");
    assertThat(tomasz.page).hasTitle(Pattern.compile("^\\([0-9]+\\) Desk"));
    tomasz.open("Voicemail");
    tomasz
        .page
        .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Messages"))
        .getByRole(AriaRole.BUTTON)
        .first()
        .click();
    tomasz.button("Delete").click();
    tomasz.isTold("Deleted: 1.");
  }
}
