package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Media;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * What one does with the history: remove with undo, save, print, copy; and links from elsewhere.
 */
class HistoryTest {
  @RegisterExtension final Browsers browsers = new Browsers();

  private static void calls(Desk from, Desk to, String extension) {
    from.dial(extension);
    to.button("Decline").click();
    from.button("Close").click();
  }

  private static Locator chooses(Desk desk, int which) {
    return desk.entries().nth(which).getByRole(AriaRole.CHECKBOX);
  }

  private static Locator button(Desk desk, String name) {
    return desk.page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  @Test
  void entries_are_removed_with_undo_saved_printed_and_their_number_copied() throws IOException {
    Desk bram = browsers.of("bram");
    Desk adaeze = browsers.of("adaeze");
    Desk petra = browsers.of("petra");
    calls(bram, adaeze, "212");
    calls(bram, petra, "225");
    bram.open("History");
    assertThat(bram.entries().first()).containsText("Petra Vance");
    chooses(bram, 0).check();
    chooses(bram, 1).check();
    assertThat(bram.page.getByText("2 chosen")).isVisible();

    Download saved =
        bram.page.waitForDownload(
            () ->
                bram.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Save as CSV"))
                    .last()
                    .click());
    List<String> lines = Files.readAllLines(saved.path());
    Assertions.assertThat(lines).hasSize(3);
    Assertions.assertThat(lines.get(1)).contains("Petra Vance", "225", "REFUSED_BY_OTHER");

    bram.page.evaluate("() => { window.print = () => (window.onPaper = true); }");
    button(bram, "Print").last().click();
    bram.page.waitForFunction("window.onPaper");
    bram.page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
    assertThat(bram.page.getByText("History of Bram Oakes")).isVisible();
    assertThat(bram.page.getByRole(AriaRole.ROW)).hasCount(3); // the first with heads
    assertThat(bram.page.getByRole(AriaRole.COLUMNHEADER)).hasCount(6);
    assertThat(bram.dialField()).hasCount(0);
    assertThat(bram.page.getByRole(AriaRole.BANNER)).isHidden();
    bram.page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.SCREEN));
    bram.page.evaluate("() => window.dispatchEvent(new Event('afterprint'))");

    button(bram, "Remove").click();
    assertThat(bram.entries().filter(new Locator.FilterOptions().setHasText("Petra Vance")))
        .hasCount(0);
    bram.button("Undo").click();
    assertThat(bram.entries().first()).containsText("Petra Vance");
    chooses(bram, 0).check();
    bram.page.context().grantPermissions(List.of("clipboard-read", "clipboard-write"));
    button(bram, "Copy number").click();
    bram.isTold("225 is copied.");
    button(bram, "Remove").click();
    assertThat(bram.entries().first()).containsText("Adaeze Moor");
    petra.open("History");
    assertThat(petra.entries().first()).containsText("Bram Oakes");

    Locator entry = petra.entries().first();
    entry.getByRole(AriaRole.BUTTON).first().click();
    entry.getByLabel("Note about this call").fill("Two pallets, by noon");
    petra.page.evaluate(
        "() => { window.print = () => (window.onPaper = document.querySelector('.printed').textContent); }");
    button(petra, "Print").last().click();
    Assertions.assertThat((String) petra.page.evaluate("() => window.onPaper"))
        .contains("Bram Oakes", "Two pallets, by noon", "Rang")
        .doesNotContain("Copy number");
    petra.page.evaluate("() => window.dispatchEvent(new Event('afterprint'))");
    assertThat(petra.page.locator(".printed")).hasCount(0);
  }

  @Test
  void a_telephone_link_from_elsewhere_fills_the_dial_field_and_calls_nobody() {
    Desk bram = browsers.of("bram");
    String address = bram.page.url().replaceAll("/desk.*", "");
    bram.page.navigate(address + "/desk?dial=tel%3A%2B441514960177");
    assertThat(bram.dialField()).hasValue("tel:+441514960177");
    assertThat(bram.results().first()).containsText("0151 496 0177");
    bram.hasNoCalls();
    Assertions.assertThat(bram.page.url()).doesNotContain("dial=");
  }
}
