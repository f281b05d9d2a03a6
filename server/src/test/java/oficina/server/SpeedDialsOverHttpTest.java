package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import oficina.server.office.OfficeData;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Speed dials follow what they are for; and who calls whom back. */
@ExtendWith(TestServer.class)
class SpeedDialsOverHttpTest {
  private static final String PATH = "/api/speed-dials";

  private final Client lotte = Client.signedIn("lotte");
  private final Client joss = Client.signedIn("joss");

  @AfterEach
  void end() {
    lotte.put(PATH, Map.of("keys", List.of()));
    lotte.close();
    joss.close();
  }

  private static Map<String, Object> key(String kind, String of, String number) {
    return Map.of("id", 0, "page", 1, "label", "", "kind", kind, "of", of, "number", number);
  }

  private static String id(String name) {
    return TestServer.get().bean(OfficeData.class).directory().people().stream()
        .filter(person -> person.name().equals(name))
        .map(person -> person.id().toString())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void keys_are_ones_own_and_follow_what_they_are_for() {
    long contact =
        lotte
            .post(
                "/api/contacts",
                Map.of(
                    "own",
                    true,
                    "card",
                    ContactsOverHttpTest.card("Ana", "", List.of("07700 900201", "07700 900202"))))
            .done()
            .get("row")
            .get("id")
            .asLong();
    String own = Long.toString(contact);
    List<Map<String, Object>> keys =
        List.of(
            key("CONTACT", own, "+447700900202"),
            key("PERSON", id("Joss Ardley"), ""),
            key("SLOT", "61", ""),
            key("GROUP", "1", ""),
            key("NUMBER", "0151 496 0177", ""));
    assertThat(lotte.put(PATH, Map.of("keys", keys)).status()).isEqualTo(204);
    JsonNode mine = lotte.get(PATH).body();
    assertThat(mine.get(0).get("dial").asString()).isEqualTo("+447700900202");
    assertThat(mine.get(0).get("numbers")).hasSize(2);
    assertThat(mine.get(1).get("name").asString()).isEqualTo("Joss Ardley");
    assertThat(mine.get(4).get("dial").asString()).isEqualTo("+441514960177");
    assertThat(joss.get(PATH).body()).isEmpty();
    long added = lotte.post(PATH, key("SLOT", "62", "")).done().get("id").asLong();
    assertThat(lotte.get(PATH).body().get(5).get("id").asLong()).isEqualTo(added);
    assertThat(joss.delete(PATH + "/" + added).status()).isEqualTo(204);
    assertThat(lotte.get(PATH).body()).as("nothing of anybody else's").hasSize(6);
    lotte.delete(PATH + "/" + added);
    assertThat(joss.put(PATH, Map.of("keys", List.of(key("CONTACT", own, "")))).code())
        .as("of somebody else")
        .isEqualTo("NO_SUCH_TARGET");
    for (Map<String, Object> bad :
        List.of(
            key("PERSON", "9999", ""),
            key("SLOT", "1", ""),
            key("GROUP", "x", ""),
            key("NUMBER", "nobody", ""))) {
      assertThat(lotte.put(PATH, Map.of("keys", List.of(bad))).code()).isEqualTo("NO_SUCH_TARGET");
    }
    lotte.put(
        "/api/contacts/" + contact,
        ContactsOverHttpTest.card("Ana Maria", "", List.of("07700 900201")));
    JsonNode changed = lotte.get(PATH).body().get(0);
    assertThat(changed.get("name").asString()).isEqualTo("Ana Maria");
    assertThat(changed.get("dial").asString()).as("the one there is").isEqualTo("+447700900201");
    String picture = PATH + "/" + changed.get("id").asLong() + "/picture";
    assertThat(joss.upload(picture, Images.png(9, 9), "image/png").code()).isEqualTo("NO_SUCH_KEY");
    assertThat(lotte.upload(picture, Images.png(9, 9), "image/png").status()).isEqualTo(204);
    assertThat(lotte.get(PATH).body().get(0).get("picture").asString()).isEqualTo(picture);
    assertThat(joss.get(picture).code()).isEqualTo("NO_PICTURE");
    lotte.delete("/api/contacts/" + contact);
    assertThat(lotte.get(PATH).body().get(0).has("dial")).isFalse();
  }

  @Test
  void who_calls_back_is_said_and_a_caller_handed_to_a_colleague() {
    try (Client celia = Client.signedIn("celia")) {
      joss.service(joss.call("233"), "clear"); // Lotte misses it
      JsonNode waiting = lotte.get("/api/to-call-back").body();
      String caller = waiting.get(0).get("caller").asString();
      Map<String, Object> mine =
          Map.of("caller", caller, "person", Long.parseLong(id("Lotte Penrose")), "note", "");
      assertThat(celia.put("/api/to-call-back", mine).code()).isEqualTo("NOT_TO_RETURN");
      assertThat(lotte.put("/api/to-call-back", mine).status()).isEqualTo(204);
      assertThat(lotte.get("/api/to-call-back").body().get(0).get("takenByName").asString())
          .isEqualTo("Lotte Penrose");
      Map<String, Object> celias =
          Map.of("caller", caller, "person", Long.parseLong(id("Celia Thorne")), "note", "Ferry");
      assertThat(lotte.put("/api/to-call-back", celias).status()).isEqualTo(204);
      assertThat(lotte.get("/api/to-call-back").body()).isEmpty();
      JsonNode handed = celia.get("/api/to-call-back").body().get(0);
      assertThat(handed.get("note").asString()).isEqualTo("Ferry");
      assertThat(handed.get("who").get("name").asString()).isEqualTo("Joss Ardley");
      celia.delete("/api/to-call-back/" + caller);
      assertThat(celia.get("/api/to-call-back").body().get(0).has("takenBy")).isFalse();
      String call = celia.call("234");
      joss.service(call, "answer");
      joss.service(call, "clear");
      assertThat(celia.get("/api/to-call-back").body()).isEmpty();
    }
  }
}
