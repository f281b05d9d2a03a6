package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The one field that finds and dials everything. */
class DialFieldTest {
  @RegisterExtension final Browsers browsers = new Browsers();

  @Test
  void finds_people_in_every_way_they_are_typed() {
    Desk ines = browsers.of("ines");
    Map<String, String> ways =
        Map.of(
            "212", "Adaeze Moor",
            "25", "Priya Venn",
            "adaeze", "Adaeze Moor",
            "oyel", "Beatriz Oyelaran-Whitcombe",
            "bern", "Kirsi Laine-Abernethy",
            "pv", "Petra Vance",
            "zoe", "Zoë Ibbotson",
            "una red", "Una Redfern",
            "redf", "Una Redfern");
    ways.forEach(
        (typed, name) -> {
          ines.dialField().fill(typed);
          assertThat(ines.results().first()).containsText(name);
        });
  }

  @Test
  void a_colleagues_mobile_is_a_number_of_theirs_and_says_who_calls() {
    String mobile = "Mobile of Ines Calloway";
    Desk lotte = browsers.of("lotte");
    Desk tomasz = browsers.of("tomasz");
    lotte.play(mobile);
    tomasz.dialField().fill("ines c");
    assertThat(tomasz.results().first()).containsText("Front desk");
    tomasz.dialField().press("ArrowRight");
    assertThat(tomasz.results().first()).containsText("07700 900120");
    tomasz.dialField().press("Enter");
    tomasz.sees("Ines Calloway", "ringing");
    lotte.phoneButton(mobile, "Answer").click();
    browsers.pass(Duration.ofSeconds(1));
    tomasz.sees("Ines Calloway", "talking");
    assertThat(tomasz.call("Ines Calloway")).containsText("Front desk · Mobile 07700 900120");
    tomasz.button("Transfer").click();
    Locator toVoicemail =
        tomasz.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("To voicemail"));
    tomasz.targetField().fill("ines");
    assertThat(toVoicemail).isVisible();
    tomasz.targetField().press("ArrowRight");
    assertThat(toVoicemail).hasCount(0);
    tomasz.press("Escape");
    tomasz.button("End").click();

    lotte.callFrom(mobile, "0191 498 0221");
    tomasz.sees("Ines Calloway", "ringing");
    tomasz.button("Decline").click();
  }

  @Test
  void letters_of_the_keypad_spell_names_and_digits_can_be_corrected() {
    Desk ines = browsers.of("ines");
    ines.button("Keypad").click();
    for (String key : new String[] {"5 JKL", "6 MNO", "8 TUV", "8 TUV", "2 ABC"}) {
      ines.button(key).click();
    }
    ines.button("Delete the last digit").click();
    assertThat(ines.dialField()).hasValue("5688");
    assertThat(ines.results().first()).containsText("Lotte Penrose");
  }

  @Test
  void shows_how_a_number_will_be_dialled() {
    Desk ines = browsers.of("ines");
    ines.dialField().fill("9 0044 (0)151-496 0177");
    assertThat(ines.results().first()).containsText("0151 496 0177");
    assertThat(ines.results().first()).containsText("the leading 9 is not needed");
    ines.dialField().fill("Please ring Dov (0151 496 0177) about the pallets");
    assertThat(ines.results().first()).containsText("0151 496 0177 Liverpool");
  }

  @Test
  void a_text_with_several_numbers_offers_each_and_a_colleagues_direct_number_the_colleague() {
    Desk ines = browsers.of("ines");
    ines.dialField().fill("Dov 0151 496 0177 or the yard 0131 496 0162");
    assertThat(ines.results()).hasCount(2);
    assertThat(ines.results().first()).containsText("0151 496 0177 Liverpool");
    assertThat(ines.results().nth(1)).containsText("0131 496 0162 Edinburgh");
    for (String typed : new String[] {"0191 498 0221", "x221", "ext. 221", "extn 221"}) {
      ines.dialField().fill(typed);
      assertThat(ines.results()).hasCount(1);
      assertThat(ines.results().first()).containsText("Tomasz Brill");
    }
    ines.dialField().fill("116 123");
    assertThat(ines.results().first()).containsText("116123");
  }

  @Test
  void says_before_dialling_why_something_cannot_be_called() {
    Desk ines = browsers.of("ines");
    ines.dialField().fill("299");
    assertThat(ines.alert()).containsText("Nobody has extension 299.");
    ines.dialField().fill("0151");
    assertThat(ines.alert()).containsText("0151 is too short for a telephone number.");
    ines.press("Enter"); // what Enter does is what is shown, whoever has such a number
    assertThat(ines.alert()).containsText("0151 is too short for a telephone number.");
    ines.hasNoCalls();
    ines.dial("9999");
    assertThat(ines.alert()).containsText("Enter once more calls 999, the emergency services.");
    ines.hasNoCalls();
    ines.dialField().fill("201");
    assertThat(ines.results().first()).containsText("reads out your messages");
    ines.dial("nobody of that name");
    assertThat(ines.alert()).containsText("There is no telephone number in “nobody of that name”.");
    assertThat(ines.dialField()).hasValue("nobody of that name");
    ines.dial("1".repeat(2_400));
    assertThat(ines.alert()).containsText("is too long for a telephone number.");
    ines.hasNoCalls();
  }

  @Test
  void arrows_choose_and_a_double_click_places_one_call() {
    Desk ines = browsers.of("ines");
    ines.dialField().fill("22");
    assertThat(ines.results().first()).containsText("Tomasz Brill");
    ines.press("ArrowDown");
    ines.press("Enter");
    ines.sees("Una Redfern", "ringing");
    ines.button("End").click();
    ines.hasNoCalls();
    ines.person("Una Redfern").dblclick();
    ines.sees("Una Redfern", "ringing");
    assertThat(ines.calls()).hasCount(1);
  }

  @Test
  void the_board_shows_one_team_or_only_who_is_free() {
    Desk ines = browsers.of("ines");
    ines.page.getByLabel("Whom to show").selectOption("Freight");
    assertThat(ines.person("Ottoline Grange")).isVisible();
    assertThat(ines.person("Priya Venn")).hasCount(0);
    ines.button("Free only").click();
    assertThat(ines.person("Una Redfern")).isVisible();
    assertThat(ines.person("Ottoline Grange")).hasCount(0);
  }

  @Test
  void colleagues_are_put_into_groups_of_ones_own_which_the_board_can_show_alone() {
    Desk ines = browsers.of("ines");
    Locator card =
        ines.page.getByRole(
            AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("About Una Redfern"));
    ines.person("Una Redfern").hover();
    card.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Favourite")).click();
    card.getByLabel("My groups, with commas between").fill("Pier, Harbour");
    ines.button("Keep the groups").click();
    assertThat(ines.button("Keep the groups")).hasCount(0);
    for (String group : new String[] {"Favourites", "Harbour", "Pier"}) {
      ines.page.getByLabel("Whom to show").selectOption(group);
      assertThat(ines.person("Una Redfern")).isVisible();
      assertThat(ines.person("Ottoline Grange")).hasCount(0);
    }
  }

  @Test
  void the_keypad_is_put_away_by_escape() {
    Desk ines = browsers.of("ines");
    ines.press("k");
    assertThat(ines.button("5 JKL")).isVisible();
    ines.press("Escape");
    assertThat(ines.button("5 JKL")).hasCount(0);
  }

  @Test
  void a_whole_call_by_keyboard_alone() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    ines.press("/");
    ines.page.keyboard().type("tom");
    ines.press("Enter");
    tomasz.sees("Ines Calloway", "ringing");
    tomasz.press("q");
    tomasz.sees("Ines Calloway", "silenced");
    tomasz.press("a");
    ines.sees("Tomasz Brill", "talking");
    ines.press("h");
    tomasz.sees("Ines Calloway", "they put you on hold");
    ines.sees("Tomasz Brill", "on hold");
    ines.press("r");
    tomasz.sees("Ines Calloway", "talking");
    tomasz.press("e");
    ines.hasNoCalls();

    ines.press("?");
    assertThat(ines.page.getByRole(AriaRole.DIALOG)).containsText("Answer");
    ines.press("Escape");
    assertThat(ines.page.getByRole(AriaRole.DIALOG)).hasCount(0);
    ines.press("y");
    assertThat(ines.entries().first()).containsText("Tomasz Brill");
    ines.press("b");
    assertThat(ines.dialField()).isVisible();
    ines.page.keyboard().type("212");
    assertThat(ines.dialField()).hasValue("212");
    ines.press("Escape");
    assertThat(ines.dialField()).hasValue("");
    ines.dial("221");
    tomasz.sees("Ines Calloway", "ringing");
    tomasz.dialField().focus();
    tomasz.press("Alt+d");
    ines.sees("Tomasz Brill", "declined");
  }
}
