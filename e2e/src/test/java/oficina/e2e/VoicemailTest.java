package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.file.Files;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import oficina.core.sound.Pcm;
import oficina.server.TestServer;
import oficina.server.speech.Speaker;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Messages are left by voice, read, heard, and dealt with. */
class VoicemailTest {
  private static final int INES = 3_600;
  private static final int RUFUS = 4_300;
  private static final List<Integer> ALL = List.of(INES, RUFUS);

  /** How much sound a browser finds in a file. */
  private static final String DECODED =
      """
      async (file) => {
        const bytes = await (await fetch(file)).arrayBuffer();
        return (await new OfflineAudioContext(1, 1, 16000).decodeAudioData(bytes)).duration;
      }
      """;

  @RegisterExtension final Browsers browsers = Browsers.withSound();

  private static short[] speech(String text) {
    short[] words = TestServer.get().bean(Speaker.class).say(Speaker.Voice.ALDER, text).join();
    return Arrays.copyOf(words, words.length + Pcm.RATE / 2);
  }

  private static Locator tray(Desk desk) {
    return desk.page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Messages"));
  }

  private static Locator message(Desk desk, String from) {
    return tray(desk)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(from))
        .first();
  }

  private static Locator letter(Desk desk) {
    return desk.page.getByRole(
        AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Message from"));
  }

  private static Locator counted(Desk desk) {
    return desk.page.getByRole(
        AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Voicemail")));
  }

  /** All of this person's messages go, so that the next test begins with none. */
  private static void empties(Desk desk) {
    desk.open("Voicemail");
    assertThat(tray(desk).getByRole(AriaRole.CHECKBOX).first()).isVisible();
    for (Locator box : tray(desk).getByRole(AriaRole.CHECKBOX).all()) {
      box.check();
    }
    tray(desk).getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Delete")).click();
    assertThat(tray(desk)).containsText("Nobody has left a message.");
  }

  /** Whoever is at a mailbox cuts its greeting short. */
  private static void skipsTheGreeting(Desk desk) {
    desk.press("k");
    desk.press("#");
    desk.press("k");
  }

  @Test
  void a_message_is_left_read_heard_passed_on_and_returned() throws IOException {
    Desk ines =
        browsers.at(
            "ines",
            new Browser.NewContextOptions(),
            Ear.saying(speech("please send three lorries tomorrow morning")));
    Desk tomasz = browsers.of("tomasz");
    ines.dial("221");
    tomasz.button("Decline").click();
    ines.sees("Tomasz Brill", "declined");
    ines.press("v");
    ines.sees("Tomasz Brill", "leaving a message");
    skipsTheGreeting(ines);
    assertThat(tomasz.page.getByText("is leaving a message")).isVisible();
    assertThat(ines.call("Tomasz Brill"))
        .containsText(Pattern.compile("leaving a message 0:(0[89]|[1-5])"));
    ines.button("End").click();
    assertThat(counted(tomasz)).containsText("1");
    Locator row =
        tomasz
            .page
            .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Waits for you"))
            .getByRole(AriaRole.LISTITEM)
            .filter(new Locator.FilterOptions().setHasText("left a message"));
    assertThat(row).containsText("Ines Calloway");
    row.getByRole(AriaRole.LINK).click();
    assertThat(letter(tomasz)).containsText("tomorrow");
    assertThat(letter(tomasz)).containsText("Written down by this machine");

    tomasz.press("Space");
    assertThat(tomasz.button("Pause")).isVisible();
    assertThat(letter(tomasz)).containsText("You heard it at");
    assertThat(counted(tomasz)).not().containsText("1");
    tomasz.press("Space");
    letter(tomasz)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("tomorrow"))
        .last() // the first may be the very beginning
        .click();
    assertThat(letter(tomasz).getByLabel("Place in the sound")).not().hasValue("0");
    letter(tomasz)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("1.5"))
        .click();
    tomasz.press("u");
    assertThat(counted(tomasz)).containsText("1");

    tomasz.button("Correct it").click();
    tomasz.page.getByLabel("What was said").fill("Please send thirteen barges");
    tomasz.button("Keep").click();
    assertThat(message(tomasz, "Ines Calloway")).containsText("thirteen barges");
    tomasz.page.getByRole(AriaRole.SEARCHBOX).fill("barge");
    assertThat(message(tomasz, "Ines Calloway")).isVisible();
    tomasz.page.getByRole(AriaRole.SEARCHBOX).fill("submarine");
    assertThat(tray(tomasz)).containsText("No such message.");
    tomasz.page.getByRole(AriaRole.SEARCHBOX).fill("");
    message(tomasz, "Ines Calloway").click();
    Download saved =
        tomasz.page.waitForDownload(() -> letter(tomasz).getByText("Save as WAV").click());
    assertTrue(Files.size(saved.path()) > Pcm.RATE);
    String small = letter(tomasz).getByText("Save as Opus").getAttribute("href");
    Object seconds = tomasz.page.evaluate(DECODED, small);
    assertTrue(
        ((Number) seconds).doubleValue() > 3, "another program reads " + seconds + " s of it");

    tomasz.page.getByLabel("Note").fill("Una knows more");
    tomasz.button("Pass on").click();
    tomasz.button("Pass on now").click();
    assertThat(tomasz.page.getByText("Choose to whom.")).isVisible();
    tomasz.page.getByLabel("To whom").selectOption("Una Redfern");
    tomasz.page.getByLabel("A word about it").fill("yours");
    tomasz.press("Enter");
    tomasz.isTold("Passed on to Una Redfern.");
    Desk una = browsers.of("una");
    una.open("Voicemail");
    message(una, "Ines Calloway").click();
    assertThat(letter(una)).containsText("Passed on by Tomasz Brill");
    assertThat(letter(una)).containsText("yours");

    tomasz.button("Delete").click();
    assertThat(tray(tomasz)).containsText("Nobody has left a message.");
    tomasz.button("Undo").click();
    message(tomasz, "Ines Calloway").click();
    tomasz.button("Call back").click();
    ines.sees("Tomasz Brill", "ringing");
    ines.button("Decline").click();
    tomasz.open("Desk");
    tomasz.button("Close").click();
    empties(una);
    empties(tomasz);
  }

  @Test
  void a_caller_from_outside_leaves_one_for_the_group_which_shares_it() {
    Desk adaeze = browsers.speaking("adaeze", RUFUS);
    Desk ines = browsers.of("ines");
    Desk rufus = browsers.of("rufus");
    adaeze.play("Dov Hartigan");
    adaeze.callFrom("Dov Hartigan", "0191 498 0100");
    ines.sees("0151 496 0177", "ringing");
    browsers.pass(Duration.ofSeconds(30));
    assertThat(adaeze.phoneOf("Dov Hartigan")).containsText("You are heard, and you hear them.");
    adaeze.phoneButton("Dov Hartigan", "#").click();
    assertThat(ines.page.getByText("is leaving a message")).isVisible();
    assertThat(rufus.page.getByText("is leaving a message")).isVisible();
    adaeze.phoneButton("Dov Hartigan", "Hang up").click();
    ines.open("Voicemail");
    rufus.open("Voicemail");
    assertThat(message(ines, "0151 496 0177")).containsText("Front desk");
    message(rufus, "0151 496 0177").click();
    assertThat(letter(rufus)).isVisible();
    rufus.press("d");
    assertThat(message(ines, "0151 496 0177")).containsText("dealt with by Rufus Adeyemi");
    assertThat(counted(ines)).not().containsText("1");
    ines.open("History");
    assertThat(ines.entries().first()).containsText("with a message");
    empties(rufus);
  }

  @Test
  void its_owner_speaks_with_the_caller_in_the_middle_of_the_message() {
    Desk ines = browsers.speaking("ines", INES);
    Desk rufus = browsers.speaking("rufus", RUFUS);
    ines.dial("202");
    rufus.sees("Ines Calloway", "ringing");
    rufus.press("v"); // straight to voicemail
    ines.sees("Rufus Adeyemi", "leaving a message");
    skipsTheGreeting(ines);
    assertThat(rufus.page.getByText("is leaving a message")).isVisible();
    rufus.button("Speak with them").click();
    Ear.hears(rufus, ALL, INES);
    Ear.hears(ines, ALL, RUFUS);
    ines.button("End").click();
    empties(rufus);
  }

  @Test
  void greetings_are_typed_uploaded_and_spoken_and_callers_hear_them() {
    Desk ines = browsers.speaking("ines", INES);
    Desk rufus = browsers.speaking("rufus", RUFUS);
    ines.open("Voicemail");
    ines.button("Greetings").click();
    Locator sheet = ines.page.getByRole(AriaRole.DIALOG);
    assertThat(sheet).containsText("This is the mailbox of Ines Calloway");
    sheet.getByLabel("Or type what this machine is to say").fill("Ines is at the harbour.");
    ines.button("Hear it").click();
    ines.page.waitForFunction(
        "() => document.querySelector('audio[aria-label=\"The new greeting\"]')?.duration > 1");
    ines.button("Use it from now on").click();
    assertThat(ines.button("Use it from now on")).hasCount(0);
    assertThat(sheet.getByText("Ines is at the harbour.")).isVisible();
    sheet
        .getByLabel("Upload a WAV file")
        .setInputFiles(new FilePayload("g.wav", "audio/wav", "nothing".getBytes()));
    ines.button("Use it from now on").click();
    assertThat(sheet.getByText("That is no WAV file.")).isVisible();
    ines.button("Speak it").click();
    assertThat(sheet).containsText(Pattern.compile("0:(0[2-9]|[1-5])"));
    ines.button("That is all").click();
    ines.button("Use it from now on").click();
    assertThat(sheet).containsText("What you have spoken or uploaded.");
    assertThat(ines.button("Use it from now on")).hasCount(0);
    ines.button("Not there").click();
    sheet.getByLabel("Or type what this machine is to say").fill("Ines is on the island.");
    sheet.getByLabel("Only until").fill("2040-05-01T09:00");
    ines.button("Hear it").click();
    ines.button("Use it from now on").click();
    assertThat(sheet).containsText("Until Tue 1 May 2040");
    ines.button("Back to the usual sentence").click();
    ines.press("Escape");

    rufus.dial("201");
    ines.button("Decline").click();
    rufus.button("Leave a message").click();
    Ear.hears(rufus, ALL, INES);
    rufus.button("End").click();
    ines.button("Greetings").click();
    ines.button("Back to the usual sentence").click();
    assertThat(sheet).containsText("This is the mailbox of Ines Calloway");
  }

  @Test
  void messages_are_listened_to_from_an_outside_telephone_by_keys() {
    Desk ines = browsers.speaking("ines", INES);
    Desk tomasz = browsers.of("tomasz");
    ines.dial("221");
    tomasz.sees("Ines Calloway", "ringing");
    tomasz.button("To voicemail").click();
    ines.sees("Tomasz Brill", "leaving a message");
    skipsTheGreeting(ines);
    assertThat(tomasz.page.getByText("is leaving a message")).isVisible();
    ines.button("End").click();
    tomasz.open("Voicemail");
    assertThat(message(tomasz, "Ines Calloway")).isVisible();
    tomasz.button("Greetings").click();
    tomasz.page.getByLabel("New secret number").fill("4711");
    tomasz.button("Set it").click();
    assertThat(tomasz.page.getByText("Your secret number is set.")).isVisible();
    tomasz.press("Escape");

    Desk adaeze = browsers.of("adaeze");
    adaeze.play("Dov Hartigan");
    adaeze.callFrom("Dov Hartigan", "0191 498 0290");
    press(adaeze, "221#0000#"); // a wrong one
    press(adaeze, "221#4711#");
    assertThat(counted(tomasz)).not().containsText("1");
    press(adaeze, "3");
    assertThat(tray(tomasz)).containsText("Nobody has left a message.");
    press(adaeze, "0");
    assertThat(adaeze.phoneOf("Dov Hartigan").getByLabel("Number to call")).isVisible();
  }

  private static void press(Desk desk, String keys) {
    for (char key : keys.toCharArray()) {
      desk.phoneButton("Dov Hartigan", String.valueOf(key)).click();
    }
  }

  @Test
  void a_caller_is_put_through_to_voicemail_or_goes_there_when_nobody_answers() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    Desk una = browsers.of("una");
    tomasz.dial("201");
    ines.button("Answer").click();
    ines.button("Transfer").click();
    ines.targetField().fill("una");
    assertThat(ines.results().first()).containsText("Una Redfern");
    ines.press("Alt+Enter");
    tomasz.sees("Una Redfern", "leaving a message");
    ines.hasNoCalls();
    assertThat(una.page.getByText("is at your voicemail")).isVisible();
    tomasz.button("End").click();

    tomasz.dial("201");
    ines.button("Answer").click();
    ines.button("Transfer").click();
    ines.targetField().fill("una");
    ines.page.getByLabel("If nobody answers").selectOption("to their voicemail");
    ines.button("Put through").click();
    una.button("Decline").click();
    tomasz.sees("Una Redfern", "leaving a message");
    ines.isTold("Nobody took Tomasz Brill. Voicemail of Una Redfern takes a message.");
    tomasz.button("End").click();
  }
}
