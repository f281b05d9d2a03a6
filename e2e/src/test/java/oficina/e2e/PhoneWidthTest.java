package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Person;
import oficina.core.sound.Pcm;
import oficina.server.TestServer;
import oficina.server.mailboxes.LeftBefore;
import oficina.server.office.OfficeData;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The application in the width of a telephone, used with a thumb. */
class PhoneWidthTest {
  private static final int THUMB = 44;

  @RegisterExtension final Browsers browsers = new Browsers();

  private Desk phone(String name) {
    Desk desk = browsers.of(name);
    desk.page.setViewportSize(390, 844);
    return desk;
  }

  private static void leaveMessage(String extension, String from) {
    Person owner =
        TestServer.get().bean(OfficeData.class).directory().personAt(extension).orElseThrow();
    TestServer.get()
        .bean(LeftBefore.class)
        .file(
            new Party.Employee(owner.id()),
            new Party.Outside(new PhoneNumber(from)),
            TestServer.get().clock().instant(),
            new short[2 * Pcm.RATE],
            null);
  }

  private static Locator region(Desk desk, String name) {
    return desk.page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** Pulls the row of something to the left with one finger. */
  private static void swipe(Page page, Locator what) {
    BoundingBox box = what.boundingBox();
    double y = box.y + box.height / 2;
    CDPSession fingers = page.context().newCDPSession(page);
    touch(fingers, "touchStart", 340, y);
    for (int x = 300; x >= 60; x -= 40) {
      touch(fingers, "touchMove", x, y);
    }
    JsonObject end = new JsonObject();
    end.addProperty("type", "touchEnd");
    end.add("touchPoints", new JsonArray());
    fingers.send("Input.dispatchTouchEvent", end);
    fingers.detach();
  }

  private static void touch(CDPSession fingers, String type, double x, double y) {
    JsonObject point = new JsonObject();
    point.addProperty("x", x);
    point.addProperty("y", y);
    JsonArray points = new JsonArray();
    points.add(point);
    JsonObject event = new JsonObject();
    event.addProperty("type", type);
    event.add("touchPoints", points);
    fingers.send("Input.dispatchTouchEvent", event);
  }

  @Test
  void what_is_opened_has_a_page_of_its_own_with_a_way_back_and_a_finger_removes_it() {
    leaveMessage("221", "+441514960188");
    leaveMessage("221", "+441514960189");
    Desk tomasz = phone("tomasz");
    tomasz.open("Voicemail");
    Locator tray = region(tomasz, "Messages");
    Locator first = tray.getByText("0151 496 0189");
    first.click();
    Locator letter = region(tomasz, "Message");
    assertThat(letter.getByRole(AriaRole.HEADING).first()).hasText("0151 496 0189");
    assertThat(tray).isHidden();
    tomasz.button("All messages").click();
    assertThat(letter).isHidden();
    assertThat(tray.getByText("0151 496 0188")).isVisible();

    swipe(tomasz.page, first);
    tomasz.isTold("Deleted: 1.");
    assertThat(first).hasCount(0);
    tomasz.button("Undo").click();
    assertThat(first).isVisible();

    first.click();
    tomasz.page.goBack();
    assertThat(tray).isVisible();
    assertThat(letter).isHidden();
    for (String from : List.of("0151 496 0188", "0151 496 0189")) {
      swipe(tomasz.page, tray.getByText(from));
      assertThat(tray.getByText(from)).hasCount(0);
    }
  }

  @Test
  void filters_stand_behind_one_key_that_says_how_many_are_set() {
    Desk tomasz = phone("tomasz");
    tomasz.open("History");
    assertThat(tomasz.button("Missed")).isHidden();
    tomasz.button("Filters").click();
    tomasz.button("Missed").click();
    tomasz.button("Filters · 1 set").click();
    assertThat(tomasz.button("Missed")).isHidden();
    tomasz.button("Filters · 1 set").click();
    tomasz.button("All").click();
    assertThat(tomasz.button("Filters")).isVisible();
  }

  @Test
  void keys_of_a_call_are_at_the_foot_and_large_enough_for_a_thumb() {
    Desk tomasz = phone("tomasz");
    Desk ines = browsers.of("ines");
    ines.dial("221");
    BoundingBox answer = tomasz.button("Answer").boundingBox();
    assertThat(answer.y).as("in the lower half").isGreaterThan(844 / 2);
    tomasz.button("Answer").click();
    for (int[] size : List.of(new int[] {390, 844}, new int[] {360, 640})) {
      tomasz.page.setViewportSize(size[0], size[1]);
      for (String key : List.of("Hold", "Mute", "Transfer", "Park", "Add", "End")) {
        Locator there = tomasz.button(key);
        assertThat(there).isInViewport();
        BoundingBox box = there.boundingBox();
        assertThat(box.height).as(key).isGreaterThanOrEqualTo(THUMB);
        assertThat(box.y).as(key + " at the foot").isGreaterThan(size[1] - 250);
        assertThat(box.x + box.width).as(key).isLessThanOrEqualTo(size[0]);
      }
      // What is above them can all be scrolled to.
      tomasz.page.getByLabel("Note about this call").fill("about the ramp");
      assertThat(tomasz.page.getByLabel("Note about this call")).isInViewport();
    }
    tomasz.open("History");
    assertThat(tomasz.inStrip("Ines Calloway", "End").boundingBox().height)
        .isGreaterThanOrEqualTo(THUMB);
  }
}
