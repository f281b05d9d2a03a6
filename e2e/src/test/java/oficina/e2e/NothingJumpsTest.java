package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions.IsInViewportOptions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import oficina.server.Client;
import oficina.server.TestServer;
import org.junit.jupiter.api.Test;

/** What comes by itself moves nothing that one may be about to press. */
class NothingJumpsTest extends TomaszTalksToInes {
  private static final List<int[]> SIZES =
      List.of(new int[] {1280, 800}, new int[] {1024, 768}, new int[] {1920, 1080});

  private static final IsInViewportOptions FULLY = new IsInViewportOptions().setRatio(1);

  /** Where each key of the call in hand is, by its words. */
  private Map<String, String> keys() {
    return ines.call("Tomasz Brill").getByRole(AriaRole.BUTTON).all().stream()
        .collect(Collectors.toMap(Locator::innerText, NothingJumpsTest::place));
  }

  private static String place(Locator key) {
    BoundingBox box = key.boundingBox();
    return box.x + " " + box.y + " " + box.width;
  }

  @Test
  void keys_of_the_call_in_hand_stay_while_another_rings_gives_up_is_answered_elsewhere_and_ends() {
    for (int[] size : SIZES) {
      ines.page.setViewportSize(size[0], size[1]);
      Map<String, String> before = keys();
      adaeze.dial("201");
      assertThat(ines.inStrip("Adaeze Moor", "Answer")).isInViewport();
      assertThat(keys()).isEqualTo(before);
      adaeze.button("End").click();
      ines.isTold("You missed a call from Adaeze Moor");
      assertThat(keys()).isEqualTo(before);
      ines.page.getByRole(AriaRole.LOG).getByRole(AriaRole.BUTTON).first().click();
    }
    Desk rufus = browsers.of("rufus");
    Map<String, String> before = keys();
    adaeze.dial("201");
    rufus.press("g"); // takes what rings in the team
    adaeze.sees("Rufus Adeyemi", "talking");
    assertThat(ines.call("Adaeze Moor")).hasCount(0);
    assertThat(keys()).isEqualTo(before);
    ines.page.context().setOffline(true);
    assertThat(ines.page.getByText("The connection to the server is lost.")).isVisible();
    assertThat(keys()).isEqualTo(before);
  }

  /**
   * What has moved up or down since it was asked last, although nobody has touched anything. A row
   * of what waits goes when it is done, and those beneath it move up; they take no click then.
   */
  private Object shifted() {
    return ines.page.evaluate(
        "() => new Promise(done => setTimeout(() => done(shifts.splice(0)), 0))");
  }

  @Test
  void over_a_morning_nothing_moves_up_or_down_that_nobody_has_touched() {
    tomasz.button("End").click();
    ines.hasNoCalls();
    ines.page.evaluate(
        """
        () => {
          window.shifts = [];
          new PerformanceObserver(list => shifts.push(...list.getEntries()
            .filter(shift => !shift.hadRecentInput)
            .flatMap(shift => shift.sources)
            .filter(({ previousRect, currentRect }) =>
              previousRect.height && currentRect.height && Math.abs(previousRect.y - currentRect.y) > 1)
            .map(({ node }) => node?.nodeType === Node.TEXT_NODE ? node.parentElement : node)
            .filter(node => node?.isConnected && !node.closest('[aria-label="Waits for you"] ul'))
            .map(node => node.textContent)))
            .observe({ type: 'layout-shift' });
        }
        """);
    tomasz.dial("201");
    assertThat(ines.inStrip("Tomasz Brill", "Answer")).isVisible();
    tomasz.button("End").click();
    ines.isTold("You missed a call from Tomasz Brill");
    tomasz.dial("201");
    ines.button("Answer").click();
    tomasz.button("Hold").click();
    ines.sees("Tomasz Brill", "they put you on hold");
    tomasz.button("Resume").click();
    ines.sees("Tomasz Brill", "talking");
    adaeze.dial("201");
    assertThat(ines.inStrip("Adaeze Moor", "Answer")).isVisible();
    adaeze.button("End").click();
    ines.isTold("You missed a call from Adaeze Moor");
    tomasz.button("End").click();
    ines.hasNoCalls();
    assertThat(ines.page.getByText("Tomasz Brill, call over")).isVisible();
    adaeze.dial("221");
    tomasz.button("Answer").click();
    ines.seesState("Adaeze Moor", "On a call");
    tomasz.sees("Adaeze Moor", "talking");
    tomasz.button("Park").click();
    assertThat(tomasz.page.getByLabel("Slot", new Page.GetByLabelOptions().setExact(true)))
        .isFocused();
    tomasz.press("Enter");
    assertThat(ines.slot("61")).containsText("Adaeze Moor");
    assertThat(shifted()).isEqualTo(List.of());
  }

  @Test
  void what_waits_is_moved_by_nothing_new_while_the_pointer_is_on_it() {
    Desk una = browsers.of("una");
    Locator rows =
        una.page
            .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Waits for you"))
            .getByRole(AriaRole.LISTITEM);
    adaeze.dial("222");
    una.sees("Adaeze Moor", "ringing");
    adaeze.button("End").click();
    rows.filter(new Locator.FilterOptions().setHasText("Adaeze Moor")).hover();
    ines.button("Park").click();
    ines.page.getByLabel("For", new Page.GetByLabelOptions().setExact(true)).fill("una");
    ines.press("Enter");
    assertThat(rows.last()).containsText("Tomasz Brill");
    una.page.mouse().move(5, 5);
    assertThat(rows.first()).containsText("Tomasz Brill");
    una.dial("212");
    adaeze.button("Answer").click();
    una.sees("Adaeze Moor", "talking");
  }

  /** The row is longest then: the key to move the call there is one of nine. */
  private static void namesAPhoneOutside(String number) {
    Map<String, Object> choice =
        Map.of("places", "WINDOW", "windowAfter", 0, "phoneAfter", 0, "outside", number);
    try (Client own = Client.withoutPage(TestServer.get().address(), "ines")) {
      own.put("/api/devices/choice", choice).done();
    }
  }

  @Test
  void all_keys_are_in_view_also_with_a_phone_outside() {
    namesAPhoneOutside("07700 900120");
    try {
      ines.dial("0114 496 0155");
      browsers.pass(Duration.ofSeconds(4));
      ines.sees("0114 496 0155", "talking");
      assertThat(ines.inStrip("0114 496 0155", "To the phone outside")).isVisible();
      for (int[] size : SIZES) {
        ines.page.setViewportSize(size[0], size[1]);
        assertThat(ines.inStrip("0114 496 0155", "End")).isInViewport(FULLY);
      }
    } finally {
      namesAPhoneOutside("");
    }
  }

  @Test
  void
      with_one_ringing_one_in_hand_and_one_held_all_is_in_view_and_each_call_has_one_row_of_keys() {
    ines.button("Hold").click();
    ines.dial("0114 496 0155");
    browsers.pass(Duration.ofSeconds(4));
    adaeze.dial("201");
    for (int[] size : SIZES) {
      ines.page.setViewportSize(size[0], size[1]);
      for (Locator each :
          List.of(
              ines.inStrip("Adaeze Moor", "Answer"),
              ines.inStrip("0114 496 0155", "End"),
              ines.inStrip("Tomasz Brill", "Resume"),
              ines.page.getByLabel("Note about this call"))) {
        assertThat(each).isInViewport(FULLY);
      }
      for (String call : List.of("Adaeze Moor", "0114 496 0155", "Tomasz Brill")) {
        assertThat(
                ines.call(call).getByRole(AriaRole.BUTTON).all().stream()
                    .filter(key -> key.getAttribute("class").contains("btn-call"))
                    .map(key -> key.boundingBox().y)
                    .distinct())
            .as(call + " at " + size[0])
            .hasSize(1);
      }
    }
  }
}
