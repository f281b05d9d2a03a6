package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import oficina.server.Client;
import oficina.server.ServerProcess;
import oficina.server.TestServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** An office is set up by screen, from nothing; and its registers are changed where they stand. */
class OfficeTest {
  private static final Pattern GIVEN = Pattern.compile("Sign in as admin with the password (\\S+)");
  private static final String OWN = "the harbour wall at noon";
  private static final String FIRST = "given-on-monday";
  private static final String DOV = "0151 496 0177";

  @RegisterExtension final Browsers browsers = new Browsers();

  private static Locator region(Desk desk, String name) {
    return desk.page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static void fill(Locator in, Map<String, String> fields) {
    fields.forEach(
        (label, text) ->
            in.getByLabel(label, new Locator.GetByLabelOptions().setExact(true)).fill(text));
  }

  private static Locator button(Locator in, String name) {
    return in.getByRole(
        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  @Test
  void from_an_empty_database_to_a_call_in_a_call_out_and_a_transfer() {
    try (ServerProcess server = new ServerProcess("--oficina.demo=false")) {
      server.start();
      browsers.use(server.address());
      Desk admin = choosesPassword(server);
      admin.page.getByText("Set up the office").click();
      Locator missing =
          admin.page.getByRole(
              AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Still missing"));
      assertThat(missing).containsText("A line that several answer.");

      Locator office = region(admin, "The office");
      fill(office, Map.of("Name", "Skerry Pilots", "Main number", "498"));
      button(office, "Keep").click();
      assertThat(office).containsText("“498” is no whole public number.");
      fill(
          office, Map.of("Main number", "0191 498 0500", "Extension to listen to messages", "190"));
      button(office, "Keep").click();
      assertThat(office).containsText("Kept.");
      assertThat(missing).not().containsText("main number.");

      wrennaJoins(admin);
      othersComeFromAFile(admin);
      frontDesk(admin);
      region(admin, "The office").getByLabel("Calls nobody took go to").selectOption("Pilots");
      button(region(admin, "The office"), "Keep").click();
      fill(region(admin, "Park slots"), Map.of("Extension", "61", "Label", "Quay"));
      button(region(admin, "Park slots"), "Add a slot").click();
      assertThat(missing).containsText("Nothing. The office can be called.");
      Locator log = region(admin, "Log");
      log.getByLabel("Find in the log").fill("nell");
      assertThat(log).containsText("Nell Otway added");
      assertThat(log).not().containsText("Odo Lind");
      button(log, "Only what admin did").first().click();
      button(log, "By admin alone. Show everybody").click();
      assertThat(log).containsText("Nell Otway added");

      Locator system = region(admin, "State of the system");
      assertThat(system).containsText("There is no backup of this office yet.");
      assertThat(system).containsText("Databaseanswers");
      assertThat(
              admin
                  .page
                  .getByRole(AriaRole.STATUS)
                  .getByText("There is no backup of this office yet."))
          .isVisible();

      calls(admin, server);
    }
  }

  private Desk choosesPassword(ServerProcess server) {
    Matcher said = GIVEN.matcher(server.log());
    said.find();
    Page page = browsers.stranger();
    Desk admin = new Desk(page);
    admin.signIn("admin", said.group(1));
    page.getByLabel("Present password").fill(said.group(1));
    page.getByLabel("New password", new Page.GetByLabelOptions().setExact(true)).fill(OWN);
    page.getByLabel("New password again").fill(OWN);
    admin.button("Change password").click();
    assertThat(admin.dialField()).isVisible();
    return admin;
  }

  private static void wrennaJoins(Desk admin) {
    Locator people = region(admin, "People");
    button(people, "Add somebody").click();
    fill(
        people,
        Map.of(
            "Name", "Wrenna Vance",
            "Name to sign in with", "wrenna",
            "Extension", "190",
            "Team", "Pilots"));
    people.getByLabel("First password").fill(FIRST);
    button(people, "Add").click();
    assertThat(people).containsText("At 190 people listen to their messages.");
    fill(people, Map.of("Extension", "102"));
    button(people, "Add").click();
    assertThat(button(people, "Change Wrenna Vance")).isVisible();
  }

  private static void othersComeFromAFile(Desk admin) {
    button(region(admin, "People"), "From a file").click();
    Locator dialog = admin.page.getByRole(AriaRole.DIALOG);
    Locator file = dialog.getByLabel("Choose a file");
    String lines = "name,extension,team\nNell Otway,102,Pilots\nOdo Lind,104,Pilots\n";
    file.setInputFiles(new FilePayload("people.csv", "text/csv", lines.getBytes()));
    assertThat(dialog).containsText("102 is the extension of Wrenna Vance.");
    lines = lines.replace("102", "103");
    file.setInputFiles(new FilePayload("people.csv", "text/csv", lines.getBytes()));
    assertThat(button(dialog, "Take 2 over")).isVisible(); // the second file was looked at
    dialog.getByLabel("First password of all who are new").fill(FIRST);
    button(dialog, "Take 2 over").click();
    assertThat(dialog).containsText("2 taken over.");
    admin.press("Escape");
    assertThat(button(region(admin, "People"), "Change Nell Otway")).isVisible();
  }

  private static void frontDesk(Desk admin) {
    Locator lines = region(admin, "Lines");
    button(lines, "Add a line").click();
    fill(lines, Map.of("Name", "Pilots", "Extension", "110", "Number outside", "0191 498 0500"));
    lines.getByLabel("Add somebody who answers").selectOption("Administrator 100");
    button(lines, "Add").click();
    assertThat(button(lines, "Change Pilots")).isVisible();
  }

  private void calls(Desk admin, ServerProcess server) {
    Desk wrenna = signsIn(server);
    admin.play("Dov Hartigan");
    admin.callFrom("Dov Hartigan", "0191 498 0500");
    admin.button("Answer").click();
    admin.open("Desk");
    admin.sees(DOV, "talking");
    admin.press("t");
    admin.targetField().fill("wren");
    admin.targetField().press("Enter");
    wrenna.sees(DOV, "ringing");
    wrenna.press("a");
    wrenna.sees(DOV, "talking");
    admin.dial("0131 496 0110");
    admin.sees("0131 496 0110", "talking");
    admin.press("e");
  }

  /** She has chosen her own password before. */
  private Desk signsIn(ServerProcess server) {
    try (Client wrenna = new Client(server.address())) {
      wrenna.signIn("wrenna", FIRST);
      wrenna.put("/api/session/password", Map.of("present", FIRST, "next", OWN));
    }
    Page page = browsers.stranger();
    Desk desk = new Desk(page);
    desk.signIn("wrenna", OWN);
    assertThat(desk.dialField()).isVisible();
    return desk;
  }

  @Test
  void what_is_known_of_a_number_is_erased_and_what_is_kept_is_tried_beforehand() {
    Desk mirela = browsers.of("mirela");
    mirela.dial("07700 900977");
    mirela.button("End").click();
    mirela.hasNoCalls();
    mirela.press("=");
    Locator keeping = region(mirela, "How long things are kept");
    keeping.getByLabel("Voicemail").fill("3650");
    assertThat(keeping).containsText("0 would go tonight");

    Locator known = region(mirela, "What is known of somebody");
    known.getByLabel("Number outside, or name of a contact").fill("07700 900977");
    button(known, "Look").click();
    assertThat(known).containsText("Entries in histories1");
    button(known, "Erase all of it").click();
    button(known, "Erase for good: it cannot be brought back").click();
    assertThat(known).containsText("Erased of 07700 900977");
    assertThat(known).containsText("Save the protocol");
    mirela.open("History");
    assertThat(mirela.page.getByText("07700 900977")).hasCount(0);
  }

  @Test
  void what_another_administrator_changes_meanwhile_is_seen_and_what_was_typed_stays() {
    Desk mirela = browsers.of("mirela");
    mirela.press("=");
    Locator people = region(mirela, "People");
    people.getByLabel("Find in the register").fill("yusuf");
    button(people, "Change Yusuf Penhallow").click();
    Locator form =
        people.getByRole(AriaRole.FORM, new Locator.GetByRoleOptions().setName("Yusuf Penhallow"));
    fill(form, Map.of("Mail", "y.penhallow@fennick-isles.example"));
    movesToTheSlipway();

    button(form, "Keep").click();
    assertThat(form).containsText("Somebody else has changed it meanwhile.");
    assertThat(form.getByLabel("Site")).hasValue("Slipway");
    assertThat(form.getByLabel("Mail")).hasValue("y.penhallow@fennick-isles.example");
    button(form, "Keep").click();
    assertThat(button(people, "Change Yusuf Penhallow")).isVisible();
    assertThat(people).containsText("Slipway");
  }

  /** Done by another administrator, in the same moment. */
  private static void movesToTheSlipway() {
    try (Client other = Client.signedIn("mirela")) {
      JsonNode row = other.get("/api/office/people?text=yusuf").done().at("/people/0");
      ObjectNode person = ((ObjectNode) row.get("person")).put("site", "Slipway");
      other.put("/api/office/people/" + row.get("id").asLong(), person).done();
    }
  }

  @Test
  void a_line_is_taken_away_and_another_takes_its_place() {
    Desk mirela = browsers.of("mirela");
    mirela.press("=");
    Locator lines = region(mirela, "Lines");
    button(lines, "Add a line").click();
    fill(lines, Map.of("Name", "Night boats", "Extension", "388"));
    for (String each : List.of("Una Redfern 222", "Samir Quayle 223")) {
      lines.getByLabel("Add somebody who answers").selectOption(each);
    }
    Locator members = lines.getByRole(AriaRole.GROUP).getByRole(AriaRole.LISTITEM);
    members.nth(1).dragTo(members.nth(0));
    assertThat(members.nth(0)).containsText("Samir Quayle");
    button(lines, "Una Redfern earlier").click();
    assertThat(members.nth(0)).containsText("Una Redfern");
    button(lines, "Add").click();
    Desk una = browsers.of("una");
    Desk bram = browsers.of("bram");
    bram.dial("388");
    una.sees("Bram Oakes", "ringing");
    bram.button("End").click();
    una.hasNoCalls();

    button(lines, "Change Night boats").click();
    button(lines, "Take the line away").click();
    assertThat(lines).containsText("A caller has not been called back.");
    button(lines, "Take Night boats away now").click();
    assertThat(lines).containsText("Choose the line that takes its place.");
    lines.getByLabel("What takes its place").selectOption("Freight 220");
    button(lines, "Take Night boats away now").click();
    assertThat(button(lines, "Change Night boats")).hasCount(0);
    assertThat(una.page.getByText("Bram Oakes").first()).isVisible();
    bram.dial("220");
    una.button("Answer").click();
    una.sees("Bram Oakes", "talking");
  }

  @Test
  void numbers_are_barred_and_whoever_types_one_reads_so() {
    Desk mirela = browsers.of("mirela");
    mirela.press("=");
    Locator handling = region(mirela, "How calls are handled");
    handling.getByLabel("Numbers that may not be called").fill("0909");
    button(handling, "Keep").click();
    assertThat(handling.getByRole(AriaRole.STATUS)).hasText("Kept.");
    Desk bram = browsers.of("bram");
    bram.dialField().fill("0909 879 0123");
    assertThat(bram.page.getByText("The office does not want that number called.")).isVisible();
    bram.press("Enter");
    bram.hasNoCalls();
    handling.getByLabel("Numbers that may not be called").fill("");
    handling.getByLabel("On hold, reminded after").fill("5");
    button(handling, "Keep").click();
    assertThat(handling.getByRole(AriaRole.STATUS)).not().hasText("Kept.");
    handling.getByLabel("On hold, reminded after").fill("120");
    button(handling, "Keep").click();
    assertThat(handling.getByRole(AriaRole.STATUS)).hasText("Kept.");
  }

  @Test
  void what_was_changed_last_is_taken_back_by_a_key_unless_somebody_else_was_there() {
    Desk mirela = browsers.of("mirela");
    mirela.press("=");
    Locator slots = region(mirela, "Park slots");
    button(slots, "Remove slot 61").click();
    mirela.isTold("61 is gone.");
    mirela.press("Control+z");
    assertThat(slots.getByRole(AriaRole.LISTITEM).first()).containsText("61Landing stage");

    Locator people = region(mirela, "People");
    people.getByLabel("Find in the register").fill("petra");
    String site = moves(people, "Pilot house");
    mirela.isTold("Petra Vance is changed.");
    mirela.press("Control+z");
    assertThat(people).containsText("225");
    button(people, "Change Petra Vance").click();
    assertThat(people.getByLabel("Site")).hasValue(site);
    button(people, "Cancel").click();

    moves(people, "Pilot house");
    mirela.isTold("Petra Vance is changed.");
    Client another = Client.withoutPage(TestServer.get().address(), "mirela");
    JsonNode row = another.get("/api/office/people?text=petra").body().get("people").get(0);
    String path = "/api/office/people/" + row.get("id").asLong();
    ((ObjectNode) row.get("person")).put("site", "Slipway");
    another.put(path + "?version=" + row.get("version").asInt(), row.get("person")).done();
    mirela.press("Control+z");
    mirela.isTold("Somebody else has changed it meanwhile.");
    ((ObjectNode) row.get("person")).put("site", site);
    int now = another.get(path).body().get("version").asInt();
    another.put(path + "?version=" + now, row.get("person")).done();
  }

  @Test
  void a_team_gets_another_name_and_back() {
    Desk mirela = browsers.of("mirela");
    mirela.press("=");
    Locator places = region(mirela, "Teams and sites");
    button(places, "Rename Workshop").click();
    places.getByLabel("New name of Workshop").fill("harbour");
    assertThat(places).containsText("Workshop and Harbour become one. That cannot be taken back.");
    places.getByLabel("New name of Workshop").fill("Slip and workshop");
    mirela.press("Enter");
    assertThat(button(places, "Rename Slip and workshop")).isVisible();
    mirela.isTold("Slip and workshop is changed.");
    mirela.press("Control+z");
    assertThat(button(places, "Rename Workshop")).isVisible();
  }

  /** Petra Vance works somewhere else from now on; returns where she did. */
  private static String moves(Locator people, String to) {
    button(people, "Change Petra Vance").click();
    String before = people.getByLabel("Site").inputValue();
    people.getByLabel("Site").fill(to);
    button(people, "Keep").click();
    return before;
  }

  @Test
  void whoever_counts_on_somebody_is_named_before_they_leave() {
    Desk mirela = browsers.of("mirela");
    mirela.press("=");
    Locator people = region(mirela, "People");
    people.getByLabel("Find in the register").fill("adaeze");
    button(people, "Change Adaeze Moor").click();
    button(people, "Leaves the office").click();
    assertThat(people).containsText("They lead the queue Fares and times.");
    assertThat(people).containsText("They answer the Bookings line.");
    button(people, "Cancel").click();
    assertThat(button(people, "Change Adaeze Moor")).isVisible();
  }
}
