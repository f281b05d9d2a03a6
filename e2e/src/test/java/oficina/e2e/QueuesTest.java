package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import oficina.server.Client;
import oficina.server.TestServer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Adaeze leads the queue for fares and times, and Kirsi is in it too. Ines plays Dov Hartigan and
 * Gwen Pryce outside, who call it.
 */
class QueuesTest {
  private static final String QUEUE = "270";
  private static final String NOBODY_ANSWERS = "0121 496 0103";
  private static final String DOV = "0151 496 0177";
  private static final String GWEN = "029 2018 0031";
  private static final Pattern WRITES = Pattern.compile("Fares and times: 0:\\d\\d to write");

  @RegisterExtension final Browsers browsers = new Browsers();
  private Desk ines;
  private Desk adaeze;

  @BeforeEach
  void subscribers_are_played() {
    ines = browsers.of("ines");
    adaeze = browsers.of("adaeze");
    ines.play("Dov Hartigan");
    ines.button("Play Gwen Pryce").click();
    assertThat(ines.phoneOf("Gwen Pryce")).isVisible();
    nobodyElseTakesPart();
  }

  /** The others of the queue, whose telephones stand there with nobody at them. */
  private static void nobodyElseTakesPart() {
    try (Client lead = Client.withoutPage(TestServer.get().address(), "adaeze")) {
      JsonNode queue = lead.get("/api/queues").body().get("queues").get(0);
      String members = "/api/queues/" + queue.get("line").asLong() + "/members/";
      for (JsonNode each : queue.get("members")) {
        String name = each.get("name").asString();
        boolean plays = name.startsWith("Adaeze") || name.startsWith("Kirsi");
        lead.put(members + each.get("person").asLong(), Map.of("takesPart", plays, "reason", ""));
      }
    }
  }

  /** A queue that still asks would keep the callers of the next test from ringing. */
  @AfterEach
  void nobody_is_asked_any_more() {
    try (Client boss = Client.withoutPage(TestServer.get().address(), "mirela")) {
      for (JsonNode line : boss.get("/api/office/queues").body().get("lines")) {
        if (line.get("name").asString().equals("Fares and times")) {
          ObjectNode settings = (ObjectNode) line.get("keeps");
          settings.put("asks", "").putArray("fields");
          boss.put("/api/office/queues/" + line.get("line").asLong(), settings);
        }
      }
    }
  }

  /** Mirela has the settings of the queue before her. */
  private Desk settingsOpen() {
    Desk mirela = browsers.of("mirela");
    mirela.openMenu("Mirela Stanton");
    mirela.button("Queues of this office").click();
    mirela
        .page
        .getByLabel("Line", new Page.GetByLabelOptions().setExact(true))
        .selectOption("Fares and times");
    return mirela;
  }

  private static Locator mine(Desk desk) {
    return region(desk, "My queues");
  }

  private static Locator region(Desk desk, String name) {
    return desk.page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  @Test
  void a_morning_at_the_queue() {
    Desk kirsi = browsers.of("kirsi");
    kirsi.press("-");
    kirsi.button("Rest: Lunch").click();
    assertThat(kirsi.page.getByRole(AriaRole.BANNER)).containsText("resting, Lunch");

    ines.callFrom("Dov Hartigan", QUEUE);
    adaeze.sees(DOV, "Fares and times line");
    adaeze.press("a");
    adaeze.sees(DOV, "talking");
    ines.callFrom("Gwen Pryce", QUEUE);
    assertThat(mine(adaeze)).containsText("1 waits");
    adaeze.press("h");
    adaeze.sees(DOV, "on hold");
    adaeze.press("r");
    adaeze.sees(DOV, "talking");

    adaeze.press("t");
    adaeze.targetField().fill("216");
    adaeze.targetField().press("Shift+Enter");
    kirsi.button("Answer").click();
    assertThat(adaeze.button("Hand over to Kirsi Laine-Abernethy")).isVisible();
    adaeze.press("Enter");
    kirsi.sees(DOV, "talking");

    assertThat(adaeze.page.getByText(WRITES)).isVisible();
    adaeze.hasNoCalls();
    adaeze.button("Half a minute more").click();
    adaeze.page.getByLabel("Outcome").selectOption("Booking made");
    adaeze.press("\\");
    adaeze.sees(GWEN, "ringing");
    adaeze.press("a");
    adaeze.sees(GWEN, "waited");
    adaeze.press("e");
    adaeze.hasNoCalls();
    adaeze.press("-");
    adaeze.press("1");
    assertThat(adaeze.page.getByText(WRITES)).isVisible();
    browsers.pass(Duration.ofSeconds(21));
    assertThat(adaeze.page.getByText(WRITES)).hasCount(0);
  }

  @Test
  void who_leads_sees_who_waits_and_has_somebody_rest_and_takes_a_caller_out_of_turn() {
    Desk kirsi = browsers.of("kirsi");
    adaeze.press("'");
    Locator members = region(adaeze, "Who takes part");
    adaeze.button("Have Kirsi Laine-Abernethy rest").click();
    assertThat(kirsi.page.getByRole(AriaRole.BANNER)).containsText("resting");
    adaeze.button("Have Adaeze Moor rest").click();
    assertThat(members).containsText("rests");
    adaeze.button("Have Kirsi Laine-Abernethy take part").click();
    kirsi.dial(NOBODY_ANSWERS);
    assertThat(members).containsText("on another call");

    ines.callFrom("Dov Hartigan", QUEUE);
    ines.callFrom("Gwen Pryce", QUEUE);
    Locator waiting = region(adaeze, "Fares and times").getByRole(AriaRole.LISTITEM);
    assertThat(waiting.first()).containsText(DOV);
    assertThat(waiting.nth(1)).containsText(GWEN);
    adaeze.button("Take " + GWEN + " out of turn").click();
    assertThat(waiting).hasCount(1);
    adaeze.open("Desk");
    adaeze.sees(GWEN, "talking");
    ines.phoneButton("Dov Hartigan", "Hang up").click();
    assertThat(mine(adaeze)).containsText("nobody waits");

    adaeze.open("Queues");
    adaeze.button("Large figures").click();
    assertThat(region(adaeze, "Large figures")).containsText("gave up");
    adaeze.press("Escape");
    adaeze.page.getByText("The same in figures").click();
    assertThat(region(adaeze, "By half hours")).containsText("Gave up");
    assertThat(region(adaeze, "How many are needed")).containsText("Not enough calls");
    adaeze.page.getByText("What was decided here").click();
    assertThat(adaeze.page.getByText("Adaeze Moor took " + GWEN + " out of turn")).isVisible();
    assertThat(adaeze.page.getByText("Adaeze Moor had Kirsi Laine-Abernethy rest").first())
        .isVisible();
  }

  @Test
  void whoever_keeps_their_place_hangs_up_and_is_called_in_their_turn() {
    adaeze.press("'");
    adaeze.button("Have Kirsi Laine-Abernethy rest").click();
    adaeze.open("Desk");
    adaeze.dial(NOBODY_ANSWERS);
    adaeze.sees(NOBODY_ANSWERS, "ringing");
    ines.callFrom("Dov Hartigan", QUEUE);
    assertThat(mine(adaeze)).containsText("1 waits");
    ines.phoneButton("Dov Hartigan", "1").click();
    assertThat(ines.phoneButton("Dov Hartigan", "Call")).isVisible();
    assertThat(mine(adaeze)).containsText("1 waits");
    adaeze.button("End").click();
    adaeze.sees(DOV, "keeps the place");
    adaeze.press("a");
    ines.phoneButton("Dov Hartigan", "Answer").click();
    adaeze.sees(DOV, "talking");
    adaeze.press("e");
    adaeze.hasNoCalls();
  }

  @Test
  void callers_are_asked_for_a_number_that_is_seen_when_it_rings_and_goes_with_the_call() {
    Desk mirela = settingsOpen();
    mirela.page.getByLabel("Ask callers for their ... number").fill("ticket");
    mirela.page.getByLabel("digits, at most").fill("3");
    mirela.page.getByLabel("Address that is asked about callers").fill("bookings");
    mirela.button("Keep").first().click();
    assertThat(mirela.page.getByText("“bookings” is no address")).isVisible();
    mirela.page.getByLabel("Address that is asked about callers").fill("");
    mirela.button("Keep").first().click();
    assertThat(mirela.page.getByText("Kept.")).isVisible();

    ines.callFrom("Dov Hartigan", QUEUE);
    for (String key : List.of("4", "7", "1")) {
      ines.phoneButton("Dov Hartigan", key).click();
    }
    adaeze.sees(DOV, "ticket number 471");
    adaeze.press("a");
    adaeze.sees(DOV, "talking");
    adaeze.press("t");
    adaeze.targetField().fill("Fares");
    assertThat(adaeze.results().nth(1)).containsText("Kirsi Laine-Abernethy"); // who is free there
    adaeze.targetField().fill("203");
    adaeze.targetField().press("Enter");
    mirela.press("Escape");
    mirela.sees(DOV, "ticket number 471");
    mirela.press("a");
    mirela.sees(DOV, "talking");
    mirela.press("e");
  }

  @Test
  void an_administrator_says_how_a_line_keeps_callers_and_too_long_leads_on() {
    Desk mirela = settingsOpen();
    mirela.page.getByLabel("Kept for at most, seconds").fill("30");
    mirela.button("Keep").first().click();
    assertThat(mirela.page.getByText("Kept.")).isVisible();
    mirela.press("Escape");

    adaeze.dial(NOBODY_ANSWERS); // nobody of the queue is free
    adaeze.sees(NOBODY_ANSWERS, "ringing");
    ines.callFrom("Dov Hartigan", QUEUE);
    assertThat(mine(adaeze)).containsText("1 waits");
    browsers.pass(Duration.ofSeconds(31));
    assertThat(mine(adaeze)).containsText("nobody waits");
    assertThat(ines.phoneOf("Dov Hartigan")).containsText("talking");
  }

  @Test
  void a_caller_is_sent_there_with_its_figures_in_sight_and_comes_back_when_nobody_takes_it() {
    adaeze.press("'");
    adaeze.button("Have Kirsi Laine-Abernethy rest").click();
    adaeze.open("Desk");
    ines.callFrom("Dov Hartigan", "201");
    ines.button("Answer").click();
    ines.open("Desk");
    adaeze.dial(NOBODY_ANSWERS);
    adaeze.sees(NOBODY_ANSWERS, "ringing");
    ines.press("t");
    ines.targetField().fill("Fares");
    assertThat(ines.results().first()).containsText("nobody waits");
    assertThat(ines.results().first()).containsText("0 free");
    ines.press("Enter");
    assertThat(mine(adaeze)).containsText("1 waits");
    browsers.pass(Duration.ofMinutes(10));
    ines.sees(DOV, "ringing");
  }
}
