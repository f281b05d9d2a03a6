package oficina.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** No screen has a serious fault that axe-core finds, by day, by night and on a phone. */
class AccessibilityTest {
  @RegisterExtension final Browsers browsers = new Browsers();

  @ParameterizedTest
  @CsvSource({"1280, LIGHT", "1280, DARK", "390, LIGHT"})
  void every_screen_can_be_used_by_everybody(int width, ColorScheme scheme) {
    Browser.NewContextOptions options =
        new Browser.NewContextOptions().setViewportSize(width, 800).setColorScheme(scheme);
    Page stranger = browsers.stranger();
    new Desk(stranger).button("Sign in").waitFor();
    check(stranger, "sign-in");

    Desk ines = browsers.at("ines", options);
    Desk tomasz = browsers.of("tomasz");
    check(ines.page, "empty desk");
    tomasz.dial("201");
    ines.sees("Tomasz Brill", "ringing");
    check(ines.page, "ringing");
    ines.button("Answer").click();
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
    ines.press("?");
    check(ines.page, "keys");
    assertThat((Boolean) ines.page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
        .as("nothing sticks out sideways")
        .isTrue();
  }

  private static void check(Page page, String screen) {
    List<Rule> serious =
        new AxeBuilder(page)
            .analyze().getViolations().stream()
                .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                .toList();
    assertThat(
            serious.stream()
                .map(r -> r.getId() + ": " + r.getNodes().stream().map(n -> n.getHtml()).toList()))
        .as(screen)
        .isEmpty();
  }
}
