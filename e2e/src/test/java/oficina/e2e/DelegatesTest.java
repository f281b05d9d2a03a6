package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A day on which Oskar answers and places calls for Priya. */
class DelegatesTest {
  @RegisterExtension final Browsers browsers = new Browsers();

  private static Locator forEachOther(Desk desk) {
    return desk.page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName("Lines and those you act for"));
  }

  private static Locator combo(Desk desk, String name) {
    return desk.page.getByRole(
        AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  @Test
  void a_delegate_answers_hands_back_and_calls_in_the_name_of_another() {
    Desk priya = browsers.of("priya");
    Desk oskar = browsers.of("oskar");
    Desk tomasz = browsers.of("tomasz");
    tomasz.play("Callum Rusk");

    priya.open("Call rules");
    combo(priya, "Colleague to act for me").selectOption("Oskar Lund");
    priya.button("Add").click();
    assertThat(priya.button("Oskar Lund acts for me no longer")).isVisible();
    priya.open("Desk");
    assertThat(forEachOther(oskar)).containsText("You act for Priya Venn");

    // Answered for her by mouse, taken back by a key.
    tomasz.callFrom("Callum Rusk", "0191 498 0251");
    assertThat(priya.calls().first()).containsText("On your own number");
    forEachOther(oskar).getByRole(AriaRole.BUTTON).click();
    oskar.button("Hold").click();
    assertThat(forEachOther(priya)).containsText("Oskar Lund, for you");
    Locator back = forEachOther(priya).getByRole(AriaRole.BUTTON);
    assertThat(back).containsText("Take back");
    priya.press("=");
    assertThat(priya.calls().first()).containsText("talking");
    oskar.hasNoCalls();
    assertThat(forEachOther(oskar)).containsText("talking");

    // What she holds he goes on with, by a key as well.
    priya.press("h");
    assertThat(forEachOther(oskar).getByRole(AriaRole.BUTTON)).containsText("Take over");
    oskar.press("=");
    assertThat(oskar.calls().first()).containsText("Answered for Priya Venn");
    priya.hasNoCalls();
    oskar.press("e");
    oskar.hasNoCalls();

    oskar.press("/");
    oskar.dialField().fill("0113 496 0148");
    combo(oskar, "Number they see").selectOption("As Priya Venn");
    oskar.dialField().press("Enter");
    assertThat(oskar.calls().first()).containsText("in the name of Priya Venn");
    assertThat(forEachOther(priya)).containsText("Oskar Lund, for you");
    oskar.button("End").click();
    priya.open("History");
    assertThat(priya.entries().first()).containsText("Oskar Lund called for you, and gave up");
    oskar.open("History");
    assertThat(oskar.entries().first()).containsText("for Priya Venn");

    priya.open("Call rules");
    priya.button("Oskar Lund acts for me no longer").click();
    oskar.open("Desk");
    assertThat(forEachOther(oskar)).hasCount(0);
  }
}
