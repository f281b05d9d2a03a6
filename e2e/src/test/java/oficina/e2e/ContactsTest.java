package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Person;
import oficina.core.sound.Pcm;
import oficina.server.Images;
import oficina.server.TestServer;
import oficina.server.mailboxes.LeftBefore;
import oficina.server.office.OfficeData;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The card index, and who is who wherever somebody calls. */
class ContactsTest {
  @RegisterExtension final Browsers browsers = Browsers.withSound();

  private static Locator field(Desk desk, String label) {
    return desk.page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
  }

  private static Locator card(Desk desk, String name) {
    return desk.page.getByRole(
        AriaRole.ARTICLE, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static void write(Desk desk, String name, String company, String number) {
    desk.button("New card").click();
    field(desk, "Name").fill(name);
    field(desk, "Company").fill(company);
    field(desk, "Number 1").fill(number);
    desk.button("Keep the card").click();
    assertThat(card(desk, name)).isVisible();
  }

  private static void deleteAll(Desk desk, String... names) {
    desk.page.keyboard().press("Escape");
    desk.open("Contacts");
    for (String name : names) {
      field(desk, "Name, company, number or tag").fill(name);
      desk.page
          .getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Cards"))
          .getByRole(AriaRole.BUTTON)
          .filter(new Locator.FilterOptions().setHasText(name))
          .first()
          .click();
      card(desk, name)
          .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Delete"))
          .click();
      desk.isTold("The card of " + name + " is deleted.");
    }
  }

  @Test
  void whoever_rings_gets_a_card_without_leaving_the_call_and_is_known_from_then_on() {
    Desk tomasz = browsers.of("tomasz");
    Desk lotte = browsers.of("lotte");
    tomasz.play("Isla Corrigan");
    tomasz.callFrom("Isla Corrigan", "0191 498 0233");
    lotte.sees("0121 496 0105", "On your own number");
    lotte.button("Answer").click();
    lotte.sees("0121 496 0105", "talking");
    lotte.inStrip("0121 496 0105", "Write a card").click();
    field(lotte, "Name").fill("Isla Corrigan");
    field(lotte, "Number 1").fill("12");
    lotte.button("Keep the card").click();
    assertThat(lotte.alert().getByText("is no telephone number")).isVisible();
    assertThat(field(lotte, "Name")).hasValue("Isla Corrigan");
    field(lotte, "Number 1").fill("0121 496 0105");
    lotte.button("Keep the card").click();
    assertThat(card(lotte, "Isla Corrigan").last()).isVisible();
    lotte.page.keyboard().press("Escape");
    lotte.sees("Isla Corrigan", "Work 0121 496 0105");
    lotte.sees("Isla Corrigan", "talking");
    lotte.button("End").click();
    lotte.open("History");
    assertThat(lotte.entries().first()).containsText("Isla Corrigan");
    lotte.open("Desk");
    lotte.dialField().fill("corri");
    assertThat(lotte.results().first()).containsText("Isla Corrigan");
    lotte.dialField().fill("");
    deleteAll(lotte, "Isla Corrigan");
  }

  @Test
  void of_two_with_one_number_the_strip_asks_which_and_remembers() {
    Desk tomasz = browsers.of("tomasz");
    Desk lotte = browsers.of("lotte");
    lotte.press("z");
    write(lotte, "Bettina Roe", "Roe Chandlery", "0151 496 0121");
    write(lotte, "Fenella Roe", "Roe Chandlery", "0151 496 0121");
    lotte.press("b");
    tomasz.play("Bettina Roe");
    tomasz.callFrom("Bettina Roe", "0191 498 0233");
    lotte.sees("Roe Chandlery", "Who is it?");
    lotte.button("It is Fenella Roe").click();
    lotte.sees("Fenella Roe", "Roe Chandlery");
    lotte.button("Answer").click();
    lotte.sees("Fenella Roe", "talking");
    lotte.page.reload();
    lotte.sees("Fenella Roe", "talking");
    lotte.button("End").click();
    lotte.open("History");
    assertThat(lotte.entries().first()).containsText("Fenella Roe");
    deleteAll(lotte, "Bettina Roe", "Fenella Roe");
  }

  @Test
  void a_card_being_written_stays_when_the_call_is_answered_and_when_it_ends() {
    Desk tomasz = browsers.of("tomasz");
    Desk lotte = browsers.of("lotte");
    tomasz.play("Isla Corrigan");
    tomasz.callFrom("Isla Corrigan", "0191 498 0233");
    lotte.inStrip("0121 496 0105", "Write a card").click();
    field(lotte, "Name").fill("Isla C");
    Locator sheet = lotte.page.getByRole(AriaRole.DIALOG);
    sheet
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Answer"))
        .click(); // what rings is above the sheet
    assertThat(tomasz.phoneOf("Isla Corrigan")).containsText("You are heard, and you hear them.");
    assertThat(field(lotte, "Name")).hasValue("Isla C");
    tomasz.phoneButton("Isla Corrigan", "Hang up").click();
    assertThat(lotte.page.getByText("0121 496 0105, call over")).isAttached();
    assertThat(field(lotte, "Name")).hasValue("Isla C");
    field(lotte, "Name").press("Escape");
    lotte.button("Write a card").click(); // from the line of the call that is over
    assertThat(field(lotte, "Number 1")).hasValue("0121 496 0105");
    field(lotte, "Name").press("Escape");
  }

  @Test
  void a_card_of_ones_own_is_found_by_nobody_else_changed_and_brought_back_by_keyboard() {
    Desk lotte = browsers.of("lotte");
    Desk joss = browsers.of("joss");
    lotte.press("z");
    lotte.button("New card").focus();
    lotte.press("Enter");
    field(lotte, "Name").focus();
    lotte.page.keyboard().type("Sister Ana");
    field(lotte, "Number 1").focus();
    lotte.page.keyboard().type("07700 900201");
    field(lotte, "Mine alone: nobody else sees or finds it").press("Space");
    field(lotte, "Name").press("Enter");
    assertThat(card(lotte, "Sister Ana")).containsText("mine alone");
    joss.dialField().fill("sister");
    lotte.open("Desk");
    lotte.dialField().fill("sister");
    assertThat(lotte.results().first()).containsText("Sister Ana");
    assertThat(joss.results()).hasCount(0);

    lotte.dialField().fill("");
    lotte.open("Contacts");
    field(lotte, "Name, company, number or tag").fill("ana");
    assertThat(lotte.page.getByText("Sister Ana")).isVisible();
    lotte.page.keyboard().press("Tab");
    lotte.press("ArrowDown");
    assertThat(card(lotte, "Sister Ana")).isVisible();
    lotte.button("Favourite").press("Enter");
    assertThat(lotte.button("Favourite")).hasAttribute("aria-pressed", "true");
    field(lotte, "My groups, with commas between").fill("Choir");
    lotte.button("Keep the groups").press("Enter");
    assertThat(lotte.button("Keep the groups")).isHidden();
    assertThat(lotte.button("Favourite")).hasAttribute("aria-pressed", "true");
    lotte.button("Favourites").press("Enter");
    lotte.button("Change").press("Enter");
    field(lotte, "Company").fill("Convent of Hask");
    field(lotte, "Tags, with commas between").fill("family, choir");
    lotte.button("Keep the card").press("Enter");
    assertThat(card(lotte, "Sister Ana")).containsText("choir");
    lotte.button("Who changed it").press("Enter");
    assertThat(card(lotte, "Sister Ana")).containsText("Lotte Penrose changed it");
    lotte.button("Delete").press("Enter");
    lotte.isTold("The card of Sister Ana is deleted.");
    lotte.press("Control+z");
    assertThat(lotte.page.getByText("Convent of Hask").first()).isVisible();
    field(lotte, "Name, company, number or tag").fill("");
    lotte.button("All").click();
    deleteAll(lotte, "Sister Ana");
  }

  @Test
  void of_somebody_with_several_numbers_one_is_chosen() {
    Desk lotte = browsers.of("lotte");
    lotte.open("Contacts");
    lotte.button("New card").click();
    field(lotte, "Name").fill("Callum Rusk");
    field(lotte, "Number 1").fill("0121 496 0199");
    lotte.button("One more number").click();
    field(lotte, "What number 2 is for").selectOption("MOBILE");
    field(lotte, "Number 2").fill("0121 496 0102");
    lotte.button("Keep the card").click();
    assertThat(card(lotte, "Callum Rusk")).isVisible();
    lotte.open("Desk");
    lotte.dialField().fill("rusk");
    assertThat(lotte.results())
        .hasText(new String[] {"Callum Rusk Work0121 496 0199+1 →Call Enter"});
    lotte.dialField().press("ArrowRight");
    assertThat(lotte.results())
        .hasText(new String[] {"Callum Rusk Mobile0121 496 0102+1 →Call Enter"});
    lotte.dialField().press("Enter");
    lotte.sees("Callum Rusk", "Mobile 0121 496 0102");
    lotte.button("End").click();
    deleteAll(lotte, "Callum Rusk");
  }

  /** Also in the choice of whom to send a call to, and with a picture. */
  @Test
  void a_contact_is_a_target_and_has_a_picture() {
    Desk tomasz = browsers.of("tomasz");
    Desk lotte = browsers.of("lotte");
    lotte.open("Contacts");
    write(lotte, "Sefton Amblin", "Amblin Bakery", "0121 496 0103");
    lotte
        .page
        .getByLabel("Choose a picture for Sefton Amblin")
        .setInputFiles(
            new com.microsoft.playwright.options.FilePayload(
                "face.png", "image/png", Images.png(400, 300)));
    assertThat(
            lotte.page.getByRole(
                AriaRole.IMG, new Page.GetByRoleOptions().setName("Picture of Sefton Amblin")))
        .isVisible();
    lotte.open("Desk");
    tomasz.dial("233");
    lotte.button("Answer").click();
    lotte.sees("Tomasz Brill", "talking");
    lotte.press("t");
    lotte.targetField().fill("bakery");
    assertThat(lotte.results().first()).containsText("Sefton Amblin");
    lotte.targetField().press("Shift+Enter");
    lotte.sees("You are announcing Tomasz Brill", "Sefton Amblin");
    lotte.press("Escape");
    lotte.sees("Tomasz Brill", "talking");
    lotte.button("End").click();
    deleteAll(lotte, "Sefton Amblin");
  }

  @Test
  void whoever_left_a_message_gets_a_card_and_a_number_is_added_to_a_card_there_is() {
    Desk joss = browsers.of("joss");
    Person me = TestServer.get().bean(OfficeData.class).directory().personAt("234").orElseThrow();
    for (String number : List.of("+441214960155", "+441214960156")) {
      TestServer.get()
          .bean(LeftBefore.class)
          .file(
              new Party.Employee(me.id()),
              new Party.Outside(new PhoneNumber(number)),
              TestServer.get().clock().instant(),
              new short[2 * Pcm.RATE],
              null);
    }
    joss.open("Voicemail");
    joss.page.getByText("0121 496 0155").first().click();
    joss.button("Write a card").click();
    field(joss, "Name").fill("Odile Marran");
    joss.button("Keep the card").click();
    assertThat(joss.page.getByText("Odile Marran").first()).isVisible();
    joss.press("Escape");
    joss.page.getByText("0121 496 0156").first().click();
    joss.button("Write a card").click();
    joss.page.getByPlaceholder("Name or company on the card").fill("odile");
    joss.button("Add it here").click();
    joss.press("Escape");
    assertThat(
            joss.page.getByRole(
                AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Message from Odile Marran")))
        .containsText("0121 496 0156");
    joss.press("u");
    deleteAll(joss, "Odile Marran");
  }
}
