package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import oficina.core.sound.Pcm;
import oficina.core.sound.Wav;
import oficina.core.tones.Goertzel;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Calls are recorded, found again, listened to, handed on and deleted. Each voice is a tone. */
class RecordingTest {
  private static final int INES = 3_600;
  private static final int TOMASZ = 4_300;
  private static final int ADAEZE = 5_100;
  private static final List<Integer> ALL = List.of(INES, TOMASZ, ADAEZE);

  @RegisterExtension final Browsers browsers = Browsers.withSound();

  private static Locator recording(Desk desk) {
    return desk.page.getByRole(
        AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Recording of the call with"));
  }

  private static Locator rows(Desk desk) {
    return desk.page
        .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Recordings, latest first"))
        .getByRole(AriaRole.ROW);
  }

  private static Locator handedOn(Desk desk) {
    return rows(desk).filter(new Locator.FilterOptions().setHasText("from Ines Calloway"));
  }

  private static void opensRecordings(Desk desk) {
    desk.open("History");
    desk.page
        .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("All recordings"))
        .click();
  }

  private static void hasRecorded(Desk desk, String name, int seconds) {
    assertThat(desk.call(name))
        .containsText(Pattern.compile("Recorded 0:(0[" + seconds + "-9]|[1-5])"));
  }

  /** How strong a tone is in one channel of a file, over half a second from there. */
  private static double strength(byte[] wav, int channel, double second, int hertz) {
    int from = Wav.HEADER + 4 * (int) (second * Pcm.RATE);
    ByteBuffer in = ByteBuffer.wrap(wav).order(ByteOrder.LITTLE_ENDIAN);
    short[] samples = new short[Pcm.RATE / 2];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = in.getShort(from + 4 * i + 2 * channel);
    }
    return Goertzel.amplitude(samples, 0, samples.length, hertz);
  }

  private static byte[] saved(Desk desk) throws IOException {
    Download download =
        desk.page.waitForDownload(() -> recording(desk).getByText("Save as WAV").click());
    return Files.readAllBytes(download.path());
  }

  @Test
  void a_call_is_recorded_by_a_key_found_played_noted_saved_handed_on_and_deleted()
      throws IOException {
    Desk ines = browsers.speaking("ines", INES);
    Desk tomasz = browsers.speaking("tomasz", TOMASZ);
    ines.dial("221");
    tomasz.button("Answer").click();
    Ear.hears(ines, ALL, TOMASZ);
    Ear.hears(tomasz, ALL, INES);
    ines.press("o");
    assertThat(tomasz.call("Ines Calloway")).containsText("Recorded for Ines Calloway");
    hasRecorded(ines, "Tomasz Brill", 3);
    ines.button("Hold").click();
    assertThat(ines.call("Tomasz Brill")).containsText("Recording waits");
    ines.button("Resume").click();
    Ear.hears(tomasz, ALL, INES);
    ines.press("o");
    assertThat(ines.call("Tomasz Brill")).containsText("Recording stopped");
    ines.button("Record").click();
    hasRecorded(ines, "Tomasz Brill", 1);
    ines.button("End").click();

    ines.open("History");
    ines.button("Recorded").click();
    assertThat(ines.entries().first()).containsText("recorded");
    ines.entries().first().getByRole(AriaRole.BUTTON).first().click();
    assertThat(recording(ines)).containsText("Recorded for Ines Calloway");
    opensRecordings(ines);
    assertThat(rows(ines)).hasCount(2);
    ines.press("ArrowDown");
    assertThat(recording(ines).getByText("on hold")).isVisible();
    byte[] wav = saved(ines);
    Assertions.assertThat(strength(wav, 0, 1.5, INES)).isGreaterThan(0.02);
    Assertions.assertThat(strength(wav, 1, 1.5, TOMASZ)).isGreaterThan(0.02);
    Assertions.assertThat(strength(wav, 0, 1.5, TOMASZ)).isLessThan(0.01);

    ines.press("Space");
    assertThat(ines.button("Pause")).isVisible();
    ines.press("Space");
    ines.page.getByLabel("Note at").fill("the price");
    ines.press("Enter");
    Locator remark =
        recording(ines)
            .getByRole(AriaRole.REGION, new Locator.GetByRoleOptions().setName("Notes at a moment"))
            .getByRole(AriaRole.LISTITEM);
    assertThat(remark).containsText("the price");
    remark.getByRole(AriaRole.BUTTON).first().click();
    ines.page.getByLabel("Note", new Page.GetByLabelOptions().setExact(true)).fill("Freight");
    ines.page.keyboard().press("Tab");
    assertThat(rows(ines).nth(1)).containsText("Freight");
    ines.button("Have it written down").click();
    assertThat(recording(ines)).containsText(Pattern.compile("There are no words|Written down"));

    ines.button("Hand to a colleague").click();
    ines.page.getByLabel("To whom").selectOption("Tomasz Brill");
    ines.button("Hand it on").click();
    opensRecordings(tomasz);
    assertThat(handedOn(tomasz)).containsText("until");
    tomasz.press("ArrowDown");
    assertThat(recording(tomasz)).containsText("Recorded for Ines Calloway");
    assertThat(recording(tomasz).getByText("Save as WAV")).hasCount(0);
    tomasz.press("Space");
    assertThat(tomasz.button("Pause")).isVisible();
    ines.page.reload();
    ines.page.getByText("Who did what with it").click();
    assertThat(recording(ines)).containsText("Tomasz Brill listened");
    assertThat(recording(ines)).containsText("Ines Calloway saved it as WAV");
    ines.button("Take back from Tomasz Brill").click();
    assertThat(handedOn(tomasz)).hasCount(0);
    ines.button("Delete").click();
    ines.button("Undo").click();
    assertThat(rows(ines)).hasCount(2);
    rows(ines).nth(1).click();
    ines.button("Delete").click();
    assertThat(ines.page.getByText("Nothing is recorded.")).isVisible();
  }

  @Test
  void the_office_says_what_is_recorded_and_a_caller_from_outside_refuses() {
    Desk mirela = browsers.of("mirela");
    Desk ines = browsers.speaking("ines", INES);
    Desk adaeze = browsers.speaking("adaeze", ADAEZE);
    officeRecords(mirela, "Every call of everybody");
    adaeze.play("Dov Hartigan");
    adaeze.callFrom("Dov Hartigan", "0191 498 0201");
    ines.button("Answer").click();
    ines.sees("0151 496 0177", "Recorded");
    assertThat(adaeze.phoneOf("Dov Hartigan")).containsText("You are heard, and you hear them.");
    adaeze.phoneButton("Dov Hartigan", "*").click();
    assertThat(ines.call("0151 496 0177")).not().containsText("Recorded");
    assertThat(ines.inStrip("0151 496 0177", "Record")).hasCount(0);
    ines.button("End").click();
    ines.open("History");
    assertThat(ines.entries().first()).not().containsText("recorded");
    officeRecords(mirela, "None");
    ines.openMenu("Ines Calloway 201");
    ines.button("Call settings").click();
    assertThat(ines.page.getByText("This office records no calls.")).isVisible();
    ines.press("Escape");
    officeRecords(mirela, "As each person chooses");
  }

  private static void officeRecords(Desk mirela, String which) {
    mirela.openMenu("Mirela Stanton 203");
    mirela.button("Recording in this office").click();
    mirela.page.getByLabel("Which calls are recorded").selectOption(which);
    assertThat(mirela.page.getByLabel("Which calls are recorded").locator("option:checked"))
        .hasText(which);
    mirela.press("Escape");
  }

  @Test
  void a_conference_is_recorded_for_one_and_all_know_it() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    Desk bram = browsers.of("bram");
    ines.dial("221");
    tomasz.button("Answer").click();
    ines.sees("Tomasz Brill", "talking");
    tomasz.sees("Ines Calloway", "talking");
    tomasz.press("o");
    ines.sees("Tomasz Brill", "Recorded for Tomasz Brill");
    ines.press("c");
    ines.page.keyboard().type("213");
    assertThat(ines.results().first()).containsText("Bram Oakes");
    ines.press("Enter");
    bram.button("Answer").click();
    bram.sees("Ines Calloway", "talking");
    ines.button("All three talk").click();
    bram.sees("Conference", "Recorded for Tomasz Brill");
    assertThat(bram.inStrip("Conference", "Record")).hasCount(0);
    ines.button("End for all").click();
  }
}
