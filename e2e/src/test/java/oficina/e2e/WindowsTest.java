package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Several windows, reloads, lost lines, wrong passwords. */
class WindowsTest {
  @RegisterExtension final Browsers browsers = new Browsers();

  @Test
  void a_duplicated_tab_is_a_window_of_its_own_and_a_reload_keeps_its_name() {
    Desk ines = browsers.of("ines");
    String name = "sessionStorage.getItem('oficina-device')";
    Object own = ines.page.evaluate(name);
    Page copy = ines.page.waitForPopup(() -> ines.page.evaluate("void open(location.href)"));
    new Desk(copy).isLive();
    Assertions.assertThat(copy.evaluate(name)).isNotEqualTo(own);
    copy.close();
    ines.page.reload();
    ines.isLive();
    Assertions.assertThat(ines.page.evaluate(name)).isEqualTo(own);
  }

  @Test
  void the_sign_in_page_finds_nothing_wrong_with_nobody_being_signed_in() {
    Page stranger = browsers.stranger();
    List<String> errors = new ArrayList<>();
    stranger.onConsoleMessage(
        message -> {
          if (message.type().equals("error")) {
            errors.add(message.text());
          }
        });
    stranger.reload();
    new Desk(stranger).button("Sign in").waitFor();
    Assertions.assertThat(errors).isEmpty();
  }

  @Test
  void every_window_rings_and_when_one_answers_the_others_say_where() {
    Desk ines = browsers.of("ines");
    Desk second = browsers.secondWindow("ines");
    Desk tomasz = browsers.of("tomasz");
    tomasz.dial("201");
    ines.sees("Tomasz Brill", "ringing");
    second.sees("Tomasz Brill", "ringing");
    second.button("Answer").click();
    ines.sees("Tomasz Brill", "in another window of yours");
    assertThat(second.call("Tomasz Brill")).not().containsText("another window");
    ines.button("End").click();
    second.hasNoCalls();
  }

  @Test
  void a_call_is_moved_to_another_window_without_the_other_noticing() {
    Desk ines = browsers.of("ines");
    Desk second = browsers.secondWindow("ines");
    Desk tomasz = browsers.of("tomasz");
    tomasz.dial("201");
    ines.button("Answer").click();
    tomasz.sees("Ines Calloway", "talking");
    second.sees("Tomasz Brill", "in another window of yours");
    second.button("Take it here").click();
    assertThat(second.button("Take it here")).hasCount(0);
    ines.sees("Tomasz Brill", "in another window of yours");
    tomasz.sees("Ines Calloway", "talking");
    ines.press("x");
    second.sees("Tomasz Brill", "in another window of yours");
    ines.button("End").click();
    ines.open("History");
    assertThat(ines.entries().first()).containsText("Tomasz Brill");
    assertThat(ines.entries().nth(1)).not().containsText("Tomasz Brill talked 0:0");
  }

  @Test
  void a_reload_in_mid_call_loses_nothing() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    ines.dial("221");
    tomasz.button("Answer").click();
    ines.sees("Tomasz Brill", "talking");
    browsers.pass(Duration.ofMinutes(5));
    ines.page.reload();
    ines.sees("Tomasz Brill", "5:0");
    assertThat(ines.call("Tomasz Brill")).not().containsText("another window");
    tomasz.sees("Ines Calloway", "talking");
    ines.button("End").click();
    tomasz.hasNoCalls();
  }

  @Test
  void a_reload_while_it_rings_still_lets_one_answer() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    ines.dial("221");
    tomasz.sees("Ines Calloway", "ringing");
    tomasz.page.reload();
    tomasz.button("Answer").click();
    ines.sees("Tomasz Brill", "talking");
  }

  @Test
  void a_lost_connection_is_told_and_healed() {
    Desk ines = browsers.of("ines");
    Desk tomasz = browsers.of("tomasz");
    ines.dial("221");
    tomasz.button("Answer").click();
    ines.sees("Tomasz Brill", "talking");
    ines.page.context().setOffline(true);
    assertThat(ines.page.getByText("The connection to the server is lost.")).isVisible();
    assertThat(ines.page.getByText("calls do not reach you")).isVisible();
    ines.button("Hold").click();
    assertThat(ines.page.getByText("The server cannot be reached.").first()).isVisible();
    tomasz.button("End").click();
    ines.page.context().setOffline(false);
    ines.hasNoCalls();
    assertThat(ines.page.getByText("rings here")).isVisible();
  }

  @Test
  void a_wrong_password_is_told_and_repeated_tries_are_slowed() {
    Page page = browsers.stranger();
    Desk stranger = new Desk(page);
    for (int i = 0; i < 3; i++) {
      stranger.signIn("oskar", "guess-" + i);
      assertThat(stranger.alert()).containsText("Name or password is wrong.");
      assertThat(stranger.button("Sign in")).isEnabled();
    }
    for (int i = 3; i < 7; i++) { // each has the next wait longer, until it is long enough to see
      browsers.pass(Duration.ofSeconds(60));
      stranger.signIn("oskar", "guess-" + i);
      assertThat(stranger.alert()).containsText("Name or password is wrong.");
      assertThat(stranger.button("Sign in")).isEnabled();
    }
    stranger.signIn("oskar", "harbour-light");
    assertThat(stranger.alert()).containsText("Too many wrong tries. Wait");
    browsers.pass(Duration.ofSeconds(60));
    stranger.signIn("oskar", "harbour-light");
    stranger.isLive();
  }

  @Test
  void signing_in_by_extension_changing_the_password_and_signing_out() {
    Page page = browsers.stranger();
    Desk nell = new Desk(page);
    nell.signIn("235", "harbour-light");
    nell.isLive();
    nell.openMenu("Nell Garrow 235");
    nell.button("Change password").click();
    changePassword(nell, "harbour-light", "short");
    assertThat(page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.ALERT))
        .containsText("at least 10 characters");
    changePassword(nell, "harbour-light", "slipway-tide");
    assertThat(page.getByText("Your password is changed.")).isVisible();
    nell.openMenu("Nell Garrow 235");
    nell.button("Sign out").click();
    nell.signIn("nell", "harbour-light");
    assertThat(nell.alert()).containsText("Name or password is wrong.");
    nell.signIn("nell", "slipway-tide");
    nell.isLive();
  }

  private static void changePassword(Desk desk, String present, String next) {
    Page page = desk.page;
    page.getByLabel("Present password").fill(present);
    page.getByLabel("New password", new Page.GetByLabelOptions().setExact(true)).fill(next);
    page.getByLabel("New password again").fill(next);
    page.getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.BUTTON)
        .filter(new com.microsoft.playwright.Locator.FilterOptions().setHasText("Change password"))
        .click();
  }

  @Test
  void an_expired_session_leads_to_the_sign_in_page() {
    Desk ines = browsers.of("ines");
    ines.dialField().focus();
    ines.page.context().clearCookies();
    ines.page.keyboard().type("221"); // it may have noticed by itself before: then nobody is asked
    assertThat(ines.alert()).containsText("You are signed out. Sign in to go on.");
    ines.signIn("ines", "harbour-light");
    ines.isLive();
  }

  @Test
  void the_tips_can_be_put_away_and_shown_again() {
    Page page = browsers.stranger();
    Desk joss = new Desk(page);
    joss.signIn("joss", "harbour-light");
    joss.button("Put away").click();
    page.reload();
    joss.isLive();
    assertThat(page.getByText("The first five minutes")).hasCount(0);
    joss.openMenu("Joss Ardley 234");
    joss.button("Show the tips").click();
    assertThat(page.getByText("The first five minutes")).isVisible();
  }
}
