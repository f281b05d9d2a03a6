package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.time.Duration;
import java.util.List;
import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;
import oficina.core.sound.Pcm;
import oficina.core.sound.Wav;
import oficina.server.TestServer;
import oficina.server.office.OfficeData;
import oficina.server.sound.EndId;
import oficina.server.sound.SoundEnd;
import oficina.server.sound.SoundEngine;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * People at browsers really hear whom they should, and nobody else: each is a tone of their own.
 */
class VoiceTest {
  /** Above what music and tones are made of. */
  private static final int INES = 3_600;

  private static final int TOMASZ = 4_300;
  private static final int ADAEZE = 5_100;
  private static final int PETRA = 5_900;
  private static final List<Integer> ALL = List.of(INES, TOMASZ, ADAEZE, PETRA);

  @RegisterExtension final Browsers browsers = Browsers.withSound();

  private static Locator device(Desk desk) {
    return desk.page
        .getByRole(AriaRole.BANNER)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("This computer"));
  }

  @Test
  void three_hear_each_other_and_a_fourth_hears_nobody() {
    Desk ines = browsers.speaking("ines", INES);
    Desk tomasz = browsers.speaking("tomasz", TOMASZ);
    Desk adaeze = browsers.speaking("adaeze", ADAEZE);
    Desk petra = browsers.speaking("petra", PETRA);
    tomasz.dial("201");
    ines.button("Answer").click();
    Ear.hears(ines, ALL, TOMASZ);
    Ear.hears(tomasz, ALL, INES);
    ines.page.getByLabel("Volume").fill("50");
    Object volume =
        ines.page.evaluate("() => document.querySelector('audio[data-softphone]').volume");
    assertEquals(0.5, ((Number) volume).doubleValue());
    ines.button("Hold").click();
    Ear.hearsMusic(tomasz, ALL);
    Ear.hears(ines, ALL);
    ines.button("Resume").click();
    ines.button("Mute").click();
    Ear.hears(tomasz, ALL);
    assertThat(ines.page.getByText("You are muted: nobody hears you.")).isVisible();
    ines.button("Unmute").click();
    Ear.hears(tomasz, ALL, INES);

    ines.button("Transfer").click();
    ines.targetField().fill("adaeze");
    assertThat(ines.results().first()).containsText("Adaeze");
    ines.button("Announce first").click();
    adaeze.button("Answer").click();
    Ear.hears(adaeze, ALL, INES);
    Ear.hearsMusic(tomasz, ALL);
    ines.button("All three talk").click();
    Ear.hears(ines, ALL, TOMASZ, ADAEZE);
    Ear.hears(tomasz, ALL, INES, ADAEZE);
    Ear.hears(adaeze, ALL, INES, TOMASZ);
    assertThat(ines.call("Conference").getByText("speaks")).hasCount(2);
    ines.button("Mute Adaeze Moor").click();
    Ear.hears(tomasz, ALL, INES);
    assertThat(ines.call("Conference").getByText("speaks")).hasCount(1);
    ines.button("Speak with Adaeze Moor aside").click();
    Ear.hears(adaeze, ALL, INES);
    Ear.hears(petra, ALL);
  }

  @Test
  void a_parked_caller_is_taken_and_the_call_moved_to_another_window() {
    Desk ines = browsers.speaking("ines", INES);
    Desk tomasz = browsers.speaking("tomasz", TOMASZ);
    Desk adaeze = browsers.speaking("adaeze", ADAEZE);
    tomasz.dial("201");
    ines.button("Answer").click();
    Ear.hears(tomasz, ALL, INES);
    ines.button("Park").click();
    ines.press("Enter");
    Ear.hearsMusic(tomasz, ALL);
    adaeze.take("61");
    Ear.hears(tomasz, ALL, ADAEZE);
    Ear.hears(adaeze, ALL, TOMASZ);
    Ear.hears(ines, ALL);
    Desk second = browsers.secondWindow("adaeze");
    second.button("Take it here").click();
    Ear.hears(second, ALL, TOMASZ);
    Ear.hears(tomasz, ALL, ADAEZE);
    Ear.hears(adaeze, ALL);
    tomasz.page.reload();
    Ear.hears(tomasz, ALL, ADAEZE);
    Ear.hears(second, ALL, TOMASZ);
  }

  @Test
  void without_a_microphone_the_call_goes_on_and_says_what_to_do() {
    Desk tomasz = browsers.speaking("tomasz", TOMASZ);
    Desk ines =
        browsers.at("ines", new Browser.NewContextOptions(), Ear.failing("NotAllowedError"));
    ines.dial("221");
    tomasz.button("Answer").click();
    Ear.hears(ines, ALL, TOMASZ);
    ines.sees("Tomasz Brill", "The browser keeps the microphone from this page. Allow it");
    assertThat(device(ines)).containsText("the browser blocks the microphone");
    device(ines).click();
    assertThat(ines.page.getByRole(AriaRole.DIALOG)).containsText("Allow it beside the address");
    ines.page.evaluate(Ear.microphone(INES)); // now it is allowed
    ines.button("Try again").click();
    Ear.hears(tomasz, ALL, INES);
    ines.press("Escape");
    assertThat(device(ines)).not().containsText("the browser blocks the microphone");
    ines.page.evaluate("window.microphone.getTracks()[0].dispatchEvent(new Event('ended'))");
    Ear.hears(tomasz, ALL, INES); // it is opened anew
  }

  @Test
  void sound_that_stops_coming_is_connected_anew() {
    Desk ines = browsers.speaking("ines", INES);
    Desk tomasz = browsers.speaking("tomasz", TOMASZ);
    tomasz.dial("201");
    ines.button("Answer").click();
    Ear.hears(ines, ALL, TOMASZ);
    Object device =
        ines.page.evaluate("async () => (await (await fetch('/api/desk')).json()).calls[0].device");
    TestServer server = TestServer.get();
    PersonId person = server.bean(OfficeData.class).directory().personAt("201").orElseThrow().id();
    server
        .bean(SoundEngine.class)
        .attach(new EndId.Device(person, new DeviceId(device.toString())), new Nowhere());
    Ear.hears(tomasz, ALL);
    Ear.hears(tomasz, ALL, INES);
    Ear.hears(ines, ALL, TOMASZ);
  }

  /** Where sound goes when the network has lost it. */
  private static final class Nowhere implements SoundEnd {
    @Override
    public boolean speak(short[] frame) {
      return false;
    }

    @Override
    public void hear(short[] frame) {
      // It gets nowhere.
    }
  }

  @Test
  void a_browser_without_opus_speaks_and_hears_by_g711() {
    int low = 2_200;
    int high = 3_000;
    String withoutOpus =
        """
        const add = RTCPeerConnection.prototype.addTransceiver;
        RTCPeerConnection.prototype.addTransceiver = function (...how) {
          const made = add.apply(this, how);
          const { codecs } = RTCRtpReceiver.getCapabilities('audio');
          made.setCodecPreferences(codecs.filter((each) => each.mimeType === 'audio/PCMA'));
          return made;
        };
        """;
    Desk ines =
        browsers.at("ines", new Browser.NewContextOptions(), Ear.microphone(low) + withoutOpus);
    Desk tomasz = browsers.speaking("tomasz", high);
    tomasz.dial("201");
    ines.button("Answer").click();
    Ear.hears(ines, List.of(low, high), high);
    Ear.hears(tomasz, List.of(low, high), low);
  }

  @Test
  void whoever_plays_a_subscriber_speaks_and_hears_there() {
    Desk tomasz = browsers.speaking("tomasz", TOMASZ);
    Desk ines = browsers.speaking("ines", INES);
    tomasz.play("Dov Hartigan");
    ines.dial("0151 496 0177");
    ines.sees("0151 496 0177", "Liverpool");
    browsers.pass(Duration.ofSeconds(1));
    tomasz.phoneButton("Dov Hartigan", "Answer").click();
    assertThat(tomasz.phoneOf("Dov Hartigan")).containsText("You are heard, and you hear them.");
    Ear.hears(ines, ALL, TOMASZ);
    Ear.hears(tomasz, ALL, INES);
    ines.button("End").click();
  }

  @Test
  void devices_and_ring_tones_are_chosen_tried_and_remembered() {
    Desk ines = browsers.at("ines", new Browser.NewContextOptions(), /* script= */ "");
    device(ines).click();
    Locator sheet = ines.page.getByRole(AriaRole.DIALOG);
    Locator meter = sheet.getByLabel("How loud you are");
    assertThat(meter).not().hasAttribute("aria-valuenow", "0");
    sheet.getByLabel("Microphone").selectOption("Fake Audio Input 2");
    ines.button("Say something").click();
    assertThat(sheet.getByText("Speak now")).isVisible();
    assertThat(sheet.getByText("This is you")).isVisible();
    assertThat(sheet.getByText("Say something")).isVisible();
    sheet.getByLabel("Calls from outside").selectOption("Lantern");
    sheet.getByLabel("Number or extension").fill("no digits");
    ines.button("Add").click();
    assertThat(sheet.getByText("no digits", new Locator.GetByTextOptions().setExact(true)))
        .hasCount(0);
    sheet.getByLabel("Number or extension").fill("0151 496 0177");
    sheet.getByLabel("Their tone").selectOption("Knock");
    ines.button("Add").click();
    assertThat(sheet).containsText("0151 496 0177");
    ines.page.reload();
    device(ines).click();
    assertThat(sheet.getByLabel("Calls from outside")).hasValue("lantern");
    ines.button("Remove 0151 496 0177").click();
    assertThat(sheet.getByText("0151 496 0177")).hasCount(0);
  }

  @Test
  void an_administrator_replaces_the_music_and_takes_it_back() {
    Desk mirela = browsers.of("mirela");
    device(mirela).click();
    Locator sheet = mirela.page.getByRole(AriaRole.DIALOG);
    assertThat(sheet).containsText("The piece that comes with Oficina");
    Locator file = sheet.getByLabel("Upload a WAV file");
    file.setInputFiles(new FilePayload("song.wav", "audio/wav", "no sound".getBytes()));
    assertThat(sheet.getByRole(AriaRole.ALERT).getByText("That is no WAV file.")).isVisible();
    byte[] silence = Wav.write(new short[Pcm.RATE]);
    file.setInputFiles(new FilePayload("song.wav", "audio/wav", silence));
    assertThat(sheet).containsText("Your own: song.wav");
    mirela.button("Use the one that comes with it").click();
    assertThat(sheet).containsText("The piece that comes with Oficina");
  }
}
