package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Desk phones that speak, are unplugged, opened twice and lent. */
class PhoneTest {
  private static final int INES = 3_600;
  private static final int TOMASZ = 4_300;
  private static final List<Integer> ALL = List.of(INES, TOMASZ);

  @RegisterExtension final Browsers browsers = Browsers.withSound();

  private static Desk heardAt(DeskPhone phone) {
    return new Desk(phone.page);
  }

  private static Locator device(Desk desk) {
    return desk.page.getByRole(AriaRole.BANNER).locator("button").first();
  }

  @Test
  void a_call_moves_between_computer_and_desk_phone_and_the_other_hears_no_gap() {
    Desk ines = browsers.speaking("ines", INES);
    Desk tomasz = browsers.speaking("tomasz", TOMASZ);
    DeskPhone phone = DeskPhone.of(ines);
    tomasz.dial("201");
    phone.shows("Tomasz Brill calls").press("Lift the handset");
    Ear.hears(heardAt(phone), ALL, TOMASZ);
    Ear.hears(tomasz, ALL, INES);
    Ear.hears(ines, ALL);
    ines.sees("Tomasz Brill", "on the desk phone");
    ines.press("x");
    phone.shows("Goes on at another device.");
    Ear.hears(ines, ALL, TOMASZ);
    Ear.hears(heardAt(phone), ALL);
    Ear.hears(tomasz, ALL, INES);
    ines.inStrip("Tomasz Brill", "To the desk phone").click();
    Ear.hears(heardAt(phone), ALL, TOMASZ);
    phone.press("Mute");
    Ear.hears(tomasz, ALL);
    phone.press("Mute").press("Put it down");
    tomasz.hasNoCalls();
    ines.open("History");
    assertThat(
            ines.entries().filter(new Locator.FilterOptions().setHasText("Tomasz Brill")).first())
        .isVisible();
  }

  @Test
  void an_unplugged_phone_leaves_music_and_time_to_go_on_at_the_computer() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.speaking("tomasz", TOMASZ);
    DeskPhone phone = DeskPhone.of(ines);
    tomasz.dial("201");
    phone.shows("Tomasz Brill calls").press("Speaker").shows("Tomasz Brill");
    tomasz.sees("Ines Calloway", "talking");
    phone.page.close();
    tomasz.sees("Ines Calloway", "their line is gone; you hear music");
    Ear.hearsMusic(tomasz, ALL);
    browsers.pass(Duration.ofSeconds(20));
    ines.sees("Tomasz Brill", "Take it here");
    ines.press("x");
    tomasz.sees("Ines Calloway", "talking");
    Ear.hears(ines, ALL, TOMASZ);
    browsers.pass(Duration.ofSeconds(60));
    ines.sees("Tomasz Brill", "talking");
  }

  @Test
  void of_two_with_one_identity_the_newer_asks_and_the_older_is_told() {
    Desk ines = browsers.of("ines");
    DeskPhone older = DeskPhone.of(ines);
    older.page.reload();
    older.isPlugged(); // the same one again
    Page second =
        ines.page
            .context()
            .waitForPage(
                () ->
                    ines.page.evaluate(
                        """
                        async () => {
                          const token = document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1];
                          const answer = await fetch('/api/devices/phone', {
                            method: 'POST', headers: { 'X-XSRF-TOKEN': token },
                          });
                          window.open('/phone#' + (await answer.json()).secret, 'another');
                        }
                        """));
    assertThat(second.getByText("plugged in at another place")).isVisible();
    second
        .getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Use this telephone instead"))
        .click();
    new DeskPhone(second).shows("Ines Calloway 201");
    assertThat(older.page.getByText("has taken over")).isVisible();
  }

  @Test
  void the_phone_of_an_absent_colleague_is_used_and_given_back() {
    Desk joss = browsers.of("joss");
    Desk tomasz = browsers.of("tomasz");
    DeskPhone nells = phoneOf("Nell Garrow", joss);
    nells.shows("Nell Garrow 235");
    device(joss).click();
    Locator sheet = joss.page.getByRole(AriaRole.DIALOG);
    whose(sheet).selectOption(new SelectOption().setLabel("Nell Garrow 235"));
    joss.button("Use it").click();
    nells.shows("Joss Ardley 234").shows("Lent to you");
    assertThat(sheet).containsText("You use the desk phone of Nell Garrow until you leave.");
    joss.press("Escape");
    tomasz.dial("234");
    nells.shows("Tomasz Brill calls").press("Speaker");
    tomasz.sees("Joss Ardley", "talking");
    nells.press("End").shows("Joss Ardley 234");
    device(joss).click();
    sheet.getByText("Give it back").click();
    nells.shows("Nell Garrow 235");
    joss.press("Escape");
    nells.page.close();
  }

  /** Opens somebody's desk phone, as whoever drives the stand-ins may. */
  private static DeskPhone phoneOf(String name, Desk by) {
    by.open("Outside");
    return new DeskPhone(
        by.page.waitForPopup(() -> by.button("Open the desk phone of " + name).click()));
  }

  private static Locator whose(Locator sheet) {
    return sheet.getByRole(
        AriaRole.COMBOBOX, new Locator.GetByRoleOptions().setName("Whose").setExact(true));
  }

  @Test
  void the_phone_of_a_meeting_room_is_used_by_those_who_may_and_given_back() {
    Desk kirsi = browsers.of("kirsi");
    Desk joss = browsers.of("joss");
    Desk tomasz = browsers.of("tomasz");
    DeskPhone room = phoneOf("Skerry Room", kirsi);
    room.shows("Skerry Room 260");
    device(kirsi).click();
    Locator sheet = kirsi.page.getByRole(AriaRole.DIALOG);
    assertThat(whose(sheet)).containsText("Skerry Room 260");
    device(joss).click();
    assertThat(joss.button("Open my desk phone")).isVisible();
    assertThat(joss.page.getByText("Skerry Room 260")).hasCount(0);
    whose(sheet).selectOption(new SelectOption().setLabel("Skerry Room 260"));
    kirsi.button("Use it").click();
    room.shows("Kirsi Laine-Abernethy 216");
    kirsi.press("Escape");
    room.type("221").press("Call");
    tomasz.sees("Kirsi Laine-Abernethy", "ringing");
    room.press("End");
    device(kirsi).click();
    sheet.getByText("Give it back").click();
    room.shows("Skerry Room 260");
    kirsi.press("Escape");
    room.page.close();
  }
}
