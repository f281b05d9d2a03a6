package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.server.office.OfficeData;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Desk phones as equipment sees them, and who may do what with them. */
class PhonesOverHttpTest {
  @RegisterExtension static final TestServer SERVER = new TestServer();

  private final Client lotte = Client.signedIn("lotte");
  private final Client joss = Client.signedIn("joss");
  private final Map<String, TestPhone> phones = new HashMap<>();

  @AfterEach
  void leaveNothing() {
    phones.values().forEach(TestPhone::unplug);
    joss.delete("/api/devices/borrowed/" + id("Nell"));
    joss.delete("/api/devices/borrowed/" + id("Joss"));
    lotte.put("/api/devices/choice", Map.of("places", "WINDOW", "windowAfter", 0, "phoneAfter", 0));
    lotte.hangUp();
    joss.hangUp();
    lotte.close();
    joss.close();
  }

  private static long id(String name) {
    return TestServer.get().bean(OfficeData.class).directory().people().stream()
        .filter(person -> person.name().startsWith(name))
        .findFirst()
        .orElseThrow()
        .id()
        .value();
  }

  private TestPhone plug(Client who, String name) {
    String secret =
        who.post("/api/devices/phone/" + id(name), Map.of()).body().get("secret").asString();
    TestPhone phone = new TestPhone(Map.of("secret", secret));
    phones.put(name, phone);
    phone.hears("\"panel\"");
    return phone;
  }

  @Test
  void a_telephone_without_its_secret_is_hung_up_on() {
    assertThat(new TestPhone(Map.of("secret", "phone-" + id("Lotte"))).closes()).isEqualTo(4003);
    TestPhone silent = new TestPhone(Map.of("key", "OFF_HOOK"));
    silent.press("DIGIT", 2);
    assertThat(silent.isTold()).as("it learns nothing").isFalse();
    silent.unplug();
  }

  /** They once kept every other telephone of that address out. */
  @Test
  void those_that_do_not_say_who_they_are_keep_no_telephone_out() {
    List<TestPhone> silent = new ArrayList<>();
    for (int i = 0; i < 70; i++) {
      silent.add(new TestPhone(null));
    }
    assertThat(silent.get(0).closes()).as("the oldest gives way").isEqualTo(1013);
    plug(lotte, "Lotte").unplug();
    silent.forEach(TestPhone::unplug);
  }

  @Test
  void keys_a_telephone_has_not_end_its_line() {
    TestPhone phone = plug(lotte, "Lotte");
    phone.press("EJECT", 1);
    assertThat(phone.closes()).isNotZero();
    TestPhone again = plug(lotte, "Lotte");
    again.say(Map.of("key", "LINE", "number", 99));
    assertThat(again.closes()).isNotZero();
  }

  @Test
  void nobody_drives_a_telephone_that_is_not_theirs() {
    TestPhone phone = plug(lotte, "Lotte");
    String device = "phone-" + id("Lotte");
    assertThat(joss.post("/api/calls", Map.of("to", "233", "device", device)).code())
        .isEqualTo("NO_SUCH_DEVICE");
    String call = joss.call("233");
    phone.hears("CALL_RINGS");
    assertThat(joss.post("/api/calls/" + call + "/move-here", Map.of("device", device)).code())
        .isEqualTo("NO_SUCH_DEVICE");
    assertThat(lotte.post("/api/calls/" + call + "/answer", Map.of("device", device)).status())
        .isEqualTo(204);
    assertThat(phone.hears("CALL_TALKING").toString()).contains("SPEAKER");
    phone.press("END", 0);
    phone.hears("IDLE");
    assertThat(joss.get("/api/desk").body().get("calls")).isEmpty();
  }

  @Test
  void a_telephone_can_be_used_only_while_its_owner_is_absent_and_is_on_no_call_at_it() {
    plug(joss, "Lotte");
    assertThat(joss.post("/api/devices/borrowed/" + id("Lotte"), Map.of()).code())
        .isEqualTo("OWNER_IS_THERE");
    assertThat(joss.post("/api/devices/borrowed/" + id("Joss"), Map.of()).code())
        .isEqualTo("PHONE_IS_YOURS");
    assertThat(joss.post("/api/devices/borrowed/" + id("Nell"), Map.of()).code())
        .isEqualTo("PHONE_NOT_PLUGGED");
    TestPhone nells = plug(joss, "Nell");
    nells.press("DIGIT", 2);
    nells.press("DIGIT", 3);
    nells.press("DIGIT", 3);
    nells.press("DIGIT", 11); // the number sign
    nells.hears("CALL_CALLING");
    assertThat(joss.post("/api/devices/borrowed/" + id("Nell"), Map.of()).code())
        .isEqualTo("DEVICE_IN_USE");
    nells.press("END", 0);
    nells.hears("IDLE");
    assertThat(joss.post("/api/devices/borrowed/" + id("Nell"), Map.of()).status()).isEqualTo(204);
    nells.hears("\"lent\":true");
    assertThat(lotte.post("/api/devices/borrowed/" + id("Nell"), Map.of()).code())
        .isEqualTo("PHONE_IS_LENT");
    assertThat(lotte.delete("/api/devices/borrowed/" + id("Nell")).status()).isEqualTo(404);
    JsonNode mine = joss.get("/api/devices").body();
    assertThat(mine.get("phones").get(0).get("name").asString()).startsWith("Nell");
    assertThat(joss.delete("/api/devices/borrowed/" + id("Nell")).status()).isEqualTo(204);
    nells.hears("\"lent\":false");
  }

  @Test
  void a_telephone_that_is_lent_until_a_time_is_given_back_by_itself() {
    TestPhone nells = plug(joss, "Nell");
    ZoneId zone = TestServer.get().bean(OfficeData.class).now().identity().zone();
    LocalDateTime now = LocalDateTime.ofInstant(TestServer.get().clock().instant(), zone);
    String borrow = "/api/devices/borrowed/" + id("Nell");
    assertThat(joss.post(borrow, Map.of("until", now.minusMinutes(1).toString())).code())
        .isEqualTo("TIME_IS_PAST");
    assertThat(joss.post(borrow, Map.of("until", now.plusMinutes(10).toString())).status())
        .isEqualTo(204);
    nells.hears("\"lentUntil\":\"20");
    TestServer.get().clock().advance(Duration.ofMinutes(11));
    nells.hears("\"lent\":false");
    assertThat(joss.get("/api/devices").body().get("phones")).isEmpty();
  }

  @Test
  void of_whoever_has_named_delegates_only_those_use_the_telephone() {
    Client mirela = Client.signedIn("mirela");
    String rules = "/api/rules?person=" + id("Nell");
    plug(joss, "Nell");
    try {
      assertThat(mirela.put(rules, delegates(List.of(id("Joss")))).status()).isEqualTo(204);
      assertThat(lotte.post("/api/devices/borrowed/" + id("Nell"), Map.of()).code())
          .isEqualTo("PHONE_FOR_DELEGATES");
      assertThat(lotte.get("/api/devices").body().get("free").toString()).doesNotContain("Nell");
      assertThat(joss.post("/api/devices/borrowed/" + id("Nell"), Map.of()).status())
          .isEqualTo(204);
    } finally {
      mirela.put(rules, delegates(List.of()));
      mirela.close();
    }
  }

  private static Map<String, Object> delegates(List<Long> people) {
    return Map.of("rules", List.of(), "rings", List.of(), "delegates", people, "welcome", false);
  }

  @Test
  void somebody_signs_on_at_a_telephone_by_their_pin_and_off_again() {
    for (String simple : List.of("0000", "4321", "8901", "1212", "92330")) {
      assertThat(lotte.put("/api/voicemail-by-telephone/pin", Map.of("pin", simple)).code())
          .as(simple)
          .isEqualTo("PIN_TOO_SIMPLE");
    }
    lotte.put("/api/voicemail-by-telephone/pin", Map.of("pin", "804172"));
    TestPhone nells = plug(joss, "Nell");
    signOn(nells, "233", "111111");
    nells.hears("TOLD_WRONG_PIN");
    signOn(nells, "233", "804172");
    assertThat(nells.hears("TOLD_YOURS_NOW").toString()).contains("Lotte");
    String call = joss.call("233");
    nells.hears("CALL_RINGS");
    nells.press("OFF_HOOK", 0);
    nells.hears("CALL_TALKING");
    assertThat(lotte.get("/api/desk").body().get("calls").get(0).get("id").asString())
        .isEqualTo(call);
    nells.press("ON_HOOK", 0);
    nells.hears("IDLE");
    nells.press("SOFT", 4);
    nells.hears("TOLD_GIVEN_BACK");
  }

  /** Sign on, the extension, next, the PIN, and sign on. */
  private static void signOn(TestPhone phone, String extension, String pin) {
    phone.press("SOFT", 4);
    extension.chars().forEach(digit -> phone.press("DIGIT", digit - '0'));
    phone.press("SOFT", 0);
    pin.chars().forEach(digit -> phone.press("DIGIT", digit - '0'));
    phone.press("SOFT", 0);
  }

  @Test
  void of_two_with_one_secret_the_later_takes_its_place_and_of_two_others_it_is_asked() {
    String secret = lotte.post("/api/devices/phone", Map.of()).body().get("secret").asString();
    TestPhone first = new TestPhone(Map.of("secret", secret));
    first.hears("\"panel\"");
    TestPhone reloaded = new TestPhone(Map.of("secret", secret));
    reloaded.hears("\"panel\"");
    first.hears("replaced");
    String other = lotte.post("/api/devices/phone", Map.of()).body().get("secret").asString();
    TestPhone newer = new TestPhone(Map.of("secret", other));
    newer.hears("inUse");
    newer.say(Map.of("secret", other, "inPlaceOf", true));
    newer.hears("\"panel\"");
    reloaded.hears("replaced");
    reloaded.press("OFF_HOOK", 0);
    newer.press("DIGIT", 2);
    assertThat(newer.hears("TYPED").toString())
        .as("of the older no key counts")
        .doesNotContain("HANDSET");
    newer.unplug();
  }

  @Test
  void something_must_ring() {
    Map<String, Object> nothing = new HashMap<>(Map.of("places", "PHONE"));
    nothing.put("windowAfter", null);
    nothing.put("phoneAfter", null);
    assertThat(lotte.put("/api/devices/choice", nothing).code()).isEqualTo("NOTHING_WOULD_RING");
    assertThat(
            lotte
                .put(
                    "/api/devices/choice",
                    Map.of("places", "PHONE", "windowAfter", 0, "phoneAfter", 900))
                .status())
        .isEqualTo(422);
  }
}
