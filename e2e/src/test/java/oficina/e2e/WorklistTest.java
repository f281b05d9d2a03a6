package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Missed calls wait on the desk until somebody has spoken with that number. */
class WorklistTest {
  @RegisterExtension final Browsers browsers = new Browsers();

  private static Locator waiting(Desk desk, String number) {
    return desk.page
        .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Waits for you"))
        .getByRole(AriaRole.LISTITEM)
        .filter(new Locator.FilterOptions().setHasText(number));
  }

  @Test
  void a_missed_call_of_the_group_leaves_every_list_when_one_has_returned_it() {
    Desk ines = browsers.of("ines");
    Desk rufus = browsers.of("rufus");
    Desk tomasz = browsers.of("tomasz");
    tomasz.play("Elspeth Nairn");
    for (int times = 0; times < 2; times++) {
      tomasz.callFrom("Elspeth Nairn", "0191 498 0100");
      ines.sees("0121 496 0101", "ringing");
      tomasz.phoneButton("Elspeth Nairn", "Hang up").click();
      ines.hasNoCalls();
      browsers.pass(java.time.Duration.ofMinutes(5));
    }
    assertThat(waiting(ines, "0121 496 0101"))
        .containsText(Pattern.compile("2 times since (.*\\d:\\d\\d), last (?!\\1).*\\d:\\d\\d"));
    assertThat(waiting(rufus, "0121 496 0101")).containsText("Front desk line");
    assertThat(waiting(tomasz, "0121 496 0101")).hasCount(0);

    waiting(rufus, "0121 496 0101")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Call 0121 496 0101"))
        .click();
    browsers.pass(java.time.Duration.ofSeconds(1));
    tomasz.phoneButton("Elspeth Nairn", "Answer").click();
    rufus.sees("0121 496 0101", "talking");
    rufus.button("End").click();
    assertThat(waiting(rufus, "0121 496 0101")).hasCount(0);
    assertThat(waiting(ines, "0121 496 0101")).hasCount(0);
  }

  @Test
  void a_colleague_leaves_it_when_one_has_spoken_with_them_oneself() {
    Desk una = browsers.of("una");
    Desk tomasz = browsers.of("tomasz");
    tomasz.dial("222");
    una.sees("Tomasz Brill", "ringing");
    tomasz.button("End").click();
    assertThat(waiting(una, "Tomasz Brill")).isVisible();
    una.person("Tomasz Brill").click();
    tomasz.button("Answer").click();
    una.sees("Tomasz Brill", "talking");
    tomasz.button("End").click();
    assertThat(waiting(una, "Tomasz Brill")).hasCount(0);
  }
}
