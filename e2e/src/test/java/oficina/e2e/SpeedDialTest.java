package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import oficina.server.Images;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Keys for whom one calls often, contacts from files, colleagues pointed at, calls to return. */
class SpeedDialTest {
  @RegisterExtension final Browsers browsers = new Browsers();

  private static Locator keys(Desk desk) {
    return desk.page
        .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Speed dials"))
        .getByRole(AriaRole.LISTITEM);
  }

  private static Locator field(Desk desk, String label) {
    return desk.page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
  }

  private static void takeAllOff(Desk desk) {
    desk.button("Arrange").click();
    assertThat(desk.button("Keep them so")).isVisible();
    Locator off = desk.page.getByText("Take off");
    while (off.count() > 0) {
      off.first().click();
    }
    keepThem(desk);
    assertThat(keys(desk)).hasCount(0);
  }

  /** Until the sheet is gone: before, keys of the desk mean nothing. */
  private static void keepThem(Desk desk) {
    desk.button("Keep them so").click();
    assertThat(desk.page.getByRole(AriaRole.DIALOG)).hasCount(0);
  }

  @Test
  void keys_are_made_from_a_colleague_ordered_called_by_digit_and_calls_dropped_on_them() {
    Desk lotte = browsers.of("lotte");
    Desk joss = browsers.of("joss");
    Desk tomasz = browsers.of("tomasz");
    lotte.person("Una Redfern").hover();
    lotte.button("Add Una Redfern to my speed dials").click();
    // By keyboard: the focus points too, and the arrow leads to what can be done.
    lotte.person("Joss Ardley").focus();
    assertThat(lotte.button("Add Joss Ardley to my speed dials")).isVisible();
    lotte.press("ArrowRight");
    lotte.press("Tab");
    lotte.press("Enter");
    assertThat(keys(lotte)).hasCount(2);
    lotte.button("Arrange").click();
    lotte.button("Move Joss Ardley up").click();
    field(lotte, "My word for Joss Ardley").fill("Slipway");
    lotte
        .page
        .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("A key for a park slot"))
        .selectOption("67");
    keepThem(lotte);
    assertThat(keys(lotte).first()).containsText("Slipway");
    assertThat(keys(lotte).last()).containsText("67");
    lotte.press("Alt+1");
    joss.sees("Lotte Penrose", "ringing");
    lotte.button("End").click();
    joss.hasNoCalls();

    tomasz.dial("233");
    lotte.button("Answer").click();
    lotte.sees("Tomasz Brill", "talking");
    lotte.drag("Tomasz Brill", keys(lotte).first());
    lotte.dropSeeing("Put Tomasz Brill through to Slipway");
    joss.sees("Tomasz Brill", "ringing");
    joss.button("Answer").click();
    joss.sees("Tomasz Brill", "talking");
    joss.button("End").click();
    takeAllOff(lotte);
  }

  @Test
  void keys_for_groups_are_dragged_to_their_place_and_have_pictures_of_their_own() {
    Desk joss = browsers.of("joss");
    joss.person("Una Redfern").hover();
    joss.button("Add Una Redfern to my speed dials").click();
    assertThat(keys(joss)).hasCount(1);
    joss.button("Arrange").click();
    joss.page
        .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("A key for a group"))
        .selectOption("Bookings");
    Locator rows = joss.page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.LISTITEM);
    assertThat(rows.last()).containsText("Bookings");
    rows.last().dragTo(rows.first());
    assertThat(rows.first()).containsText("Bookings");
    joss.page
        .getByLabel("Choose a picture for Una Redfern")
        .setInputFiles(new FilePayload("una.png", "image/png", Images.png(300, 300)));
    assertThat(joss.button("Remove the picture of Una Redfern")).isVisible();
    keepThem(joss);
    assertThat(keys(joss).first()).containsText("Bookings");
    assertThat(keys(joss).last().getByAltText("Una Redfern")).isVisible();
    joss.press("Alt+1");
    joss.sees("Bookings", "ringing");
    joss.button("End").click();
    takeAllOff(joss);
  }

  @Test
  void a_file_of_contacts_is_looked_at_and_taken_over_and_a_key_follows_a_contact() {
    Desk lotte = browsers.of("lotte");
    lotte.open("Contacts");
    lotte.button("Read a file in").click();
    field(lotte, "Mine alone: nobody else sees or finds them").check();
    String file =
        "name,company,number 1,number 2\n"
            + "Piers Okonjo,Okonjo Catering,0131 496 0112,07700 900312\n"
            + "Broken,,call me,\n";
    lotte
        .page
        .getByLabel("Choose a file")
        .setInputFiles(new FilePayload("c.csv", "text/csv", file.getBytes(StandardCharsets.UTF_8)));
    Locator sheet = lotte.page.getByRole(AriaRole.DIALOG);
    assertThat(sheet).containsText("1 new");
    assertThat(sheet).containsText("Line 3: “call me” is no telephone number.");
    lotte.press("Escape");
    lotte.button("Read a file in").click();
    lotte
        .page
        .getByLabel("Choose a file")
        .setInputFiles(
            new FilePayload(
                "nonsense.vcf",
                "text/vcard",
                "no card\n".repeat(5_000).getBytes(StandardCharsets.UTF_8)));
    assertThat(sheet).containsText("Line 2001: From here on the file was not read");
    lotte.press("Escape");
    lotte.button("Read a file in").click();
    field(lotte, "Mine alone: nobody else sees or finds them").check();
    lotte
        .page
        .getByLabel("Choose a file")
        .setInputFiles(new FilePayload("c.csv", "text/csv", file.getBytes(StandardCharsets.UTF_8)));
    lotte.button("Take 1 card over").click();
    assertThat(sheet).containsText("All 1 are taken over.");
    lotte.press("Escape");
    lotte
        .page
        .getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Cards"))
        .getByText("Piers Okonjo")
        .click();
    lotte.button("Add Piers Okonjo to my speed dials").click();
    lotte.isTold("Piers Okonjo is a speed dial of yours now.");
    Object saved =
        lotte.page.evaluate(
            "fetch('/api/contacts/file?format=VCARD4&own=true').then((file) => file.text())");
    Assertions.assertThat(saved.toString()).contains("FN:Piers Okonjo", "tel:+441314960112");

    lotte.button("Change").click();
    field(lotte, "Name").fill("Piers Okonjo-Bell");
    lotte.button("Keep the card").click();
    lotte.open("Desk");
    assertThat(keys(lotte).first()).containsText("Piers Okonjo-Bell");
    lotte.button("All numbers of Piers Okonjo-Bell").click();
    lotte.page.getByText("07700 900312").last().click();
    lotte.sees("Piers Okonjo-Bell", "07700 900312");
    lotte.button("End").click();
    lotte.open("Contacts");
    lotte
        .page
        .getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Cards"))
        .getByText("Piers Okonjo-Bell")
        .click();
    lotte.button("Delete").click();
    lotte.open("Desk");
    assertThat(keys(lotte).first()).containsText("leads nowhere any more");
    takeAllOff(lotte);
  }

  @Test
  void a_missed_caller_is_handed_to_a_colleague_and_the_history_narrowed_down() {
    Desk tomasz = browsers.of("tomasz");
    Desk lotte = browsers.of("lotte");
    Desk joss = browsers.of("joss");
    tomasz.play("Callum Rusk");
    tomasz.callFrom("Callum Rusk", "0191 498 0233");
    lotte.sees("0121 496 0102", "ringing");
    tomasz.phoneButton("Callum Rusk", "Hang up").click();
    lotte.button("I am on it: 0121 496 0102").click();
    assertThat(lotte.page.getByText("You are on it.")).isVisible();
    lotte.button("Hand 0121 496 0102 on to a colleague").click();
    lotte
        .page
        .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Who calls back"))
        .selectOption("Joss Ardley");
    field(lotte, "A word about it").fill("About the cattle boat");
    lotte.button("Hand on now").click();
    assertThat(lotte.page.getByText("Nothing waits for you.")).isVisible();
    assertThat(joss.page.getByText("About the cattle boat")).isVisible();

    lotte.dial("234");
    joss.button("Decline").click();
    lotte.button("Close").click();
    lotte.open("History");
    lotte.button("More filters").click();
    lotte
        .page
        .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("With a colleague"))
        .selectOption("Joss Ardley");
    assertThat(lotte.page.getByText("0121 496 0102")).hasCount(0);
    assertThat(lotte.entries().first()).containsText("Joss Ardley");
    field(lotte, "From").fill("tomorrow");
    assertThat(lotte.page.getByText("No calls like that.")).isVisible();
    lotte.button("All of it again").click();
    assertThat(lotte.page.getByText("0121 496 0102").first()).isVisible();
  }
}
