package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Contacts of the office and of each person, and who is who wherever a number is shown. */
@ExtendWith(TestServer.class)
class ContactsOverHttpTest {
  private final Client lotte = Client.signedIn("lotte");
  private final Client joss = Client.signedIn("joss");
  private final List<Long> added = new ArrayList<>();

  @AfterEach
  void end() {
    added.forEach(id -> lotte.delete("/api/contacts/" + id));
    lotte.hangUp();
    lotte.close();
    joss.close();
  }

  /** A card with these numbers; {@code more} in the place of what is usual. */
  static Map<String, Object> card(String name, String company, List<String> numbers) {
    List<Map<String, String>> lines =
        numbers.stream()
            .map(each -> Map.of("type", "WORK", "number", each, "extension", ""))
            .toList();
    Map<String, Object> card = new HashMap<>();
    card.put("name", name);
    card.put("company", company);
    card.put("numbers", lines);
    for (String list : List.of("mails", "addresses", "tags")) {
      card.put(list, List.of());
    }
    card.put("note", "");
    card.put("tone", "");
    return card;
  }

  private long add(Client who, boolean own, String name, String company, String... numbers) {
    Answer answer =
        who.post(
            "/api/contacts", Map.of("own", own, "card", card(name, company, List.of(numbers))));
    assertThat(answer.status()).as(answer.toString()).isEqualTo(201);
    long id = answer.done().get("row").get("id").asLong();
    added.add(id);
    return id;
  }

  private static List<String> found(Client who, String text) {
    List<String> titles = new ArrayList<>();
    who.get("/api/find?text=" + text)
        .body()
        .get("known")
        .forEach(each -> titles.add(each.path("contact").path("title").asString("")));
    titles.removeIf(String::isEmpty);
    return titles;
  }

  private static JsonNode other(Client who) {
    return who.get("/api/desk").body().get("calls").get(0).get("other");
  }

  @Test
  void whom_one_speaks_with_is_found_before_strangers_by_oneself_alone() {
    add(lotte, false, "Zelda Arkwright", "", "0151 496 0231");
    add(lotte, false, "Zelda Zorn", "", "0114 496 0155");
    assertThat(found(lotte, "zeld")).containsExactly("Zelda Arkwright", "Zelda Zorn");
    String call = lotte.call("0114 496 0155");
    TestServer.get().clock().advance(Duration.ofSeconds(4));
    lotte.awaitCall("TALKING");
    TestServer.get().clock().advance(Duration.ofSeconds(30));
    lotte.service(call, "clear");
    lotte.awaitNoCalls();
    TestServer.get().clock().advance(Duration.ofMinutes(2));
    assertThat(found(lotte, "zeld")).containsExactly("Zelda Zorn", "Zelda Arkwright");
    assertThat(found(joss, "zeld")).containsExactly("Zelda Arkwright", "Zelda Zorn");
  }

  @Test
  void a_contact_is_found_and_known_in_every_call() {
    long id = add(lotte, false, "Dov Hartigan", "Hartigan Haulage", "(0151) 496-0177");
    assertThat(found(joss, "hart")).containsExactly("Dov Hartigan");
    assertThat(found(joss, "0177")).containsExactly("Dov Hartigan");
    String call = lotte.call("0151 496 0177");
    JsonNode other = other(lotte);
    assertThat(other.get("name").asString()).isEqualTo("Dov Hartigan");
    assertThat(other.get("number").asString()).isEqualTo("0151 496 0177");
    assertThat(other.get("known").get("company").asString()).isEqualTo("Hartigan Haulage");
    assertThat(other.get("known").get("type").asString()).isEqualTo("WORK");

    Map<String, Object> changed = card("Dov Hartigan-Reeve", "", List.of("0151 496 0177"));
    assertThat(joss.put("/api/contacts/" + id, changed).status()).isEqualTo(200);
    lotte.await(
        push ->
            push.has("calls")
                && push.get("calls").get(0).get("other").get("name").asString().endsWith("Reeve"));
    lotte.service(call, "clear");
    JsonNode entry = lotte.get("/api/history").body().get("entries").get(0);
    assertThat(entry.get("other").get("name").asString()).isEqualTo("Dov Hartigan-Reeve");
    JsonNode changes = joss.get("/api/contacts/" + id + "/changes").body();
    assertThat(changes.get(0).get("by").asString()).isEqualTo("Joss Ardley");
    assertThat(changes.get(0).get("before").get("name").asString()).isEqualTo("Dov Hartigan");
  }

  @Test
  void of_several_with_one_number_each_person_says_who_it_is() {
    add(lotte, false, "Bettina Roe", "Roe Chandlery", "0151 496 0121");
    long zoe = add(lotte, false, "Zoë Ní Bhriain", "Roe Chandlery", "0151 496 0121");
    String call = lotte.call("01514960121");
    JsonNode other = other(lotte);
    assertThat(other.get("name").asString()).as("all they share").isEqualTo("Roe Chandlery");
    assertThat(other.get("known").get("several")).hasSize(2);
    String choice = "/api/calls/" + call + "/contact";
    assertThat(lotte.put(choice, Map.of("contact", zoe)).status()).isEqualTo(204);
    assertThat(lotte.put(choice, Map.of("contact", -1)).code()).isEqualTo("NO_SUCH_CONTACT");
    assertThat(joss.put(choice, Map.of("contact", zoe)).code()).isEqualTo("NO_SUCH_CALL");
    assertThat(lotte.put("/api/calls/nothing/contact", Map.of("contact", zoe)).code())
        .isEqualTo("NO_SUCH_CALL");
    lotte.await(
        push ->
            push.has("calls")
                && push.get("calls").get(0).get("other").get("name").asString().startsWith("Zoë"));
    lotte.service(call, "clear");
    TestServer.get().restart();
    try (Client later = Client.withoutPage(TestServer.get().address(), "lotte")) {
      JsonNode entry = later.get("/api/history").body().get("entries").get(0);
      assertThat(entry.get("other").get("name").asString()).isEqualTo("Zoë Ní Bhriain");
      assertThat(later.get("/api/contacts/" + zoe).status()).isEqualTo(200);
    }
  }

  @Test
  void what_is_ones_own_does_not_exist_for_anybody_else() {
    long id = add(lotte, true, "Sister Ana", "", "07700 900201");
    assertThat(found(lotte, "ana")).containsExactly("Sister Ana");
    assertThat(found(joss, "ana")).isEmpty();
    assertThat(found(joss, "900201")).isEmpty();
    String path = "/api/contacts/" + id;
    for (String each : List.of("", "/changes", "/picture")) {
      assertThat(joss.get(path + each).code()).as(each).isEqualTo("NO_SUCH_CONTACT");
    }
    assertThat(joss.put(path, card("Ana", "", List.of())).code()).isEqualTo("NO_SUCH_CONTACT");
    assertThat(joss.post(path + "/groups", Map.of("into", List.of(""), "outOf", List.of())).code())
        .isEqualTo("NO_SUCH_CONTACT");
    assertThat(joss.delete(path).code()).isEqualTo("NO_SUCH_CONTACT");
    assertThat(joss.get("/api/contacts").body().toString()).doesNotContain("Ana");
    lotte.delete(path);
    assertThat(joss.post(path + "/restore", Map.of()).code()).isEqualTo("NO_SUCH_CONTACT");
    joss.call("07700 900201");
    assertThat(other(joss).get("name").asString()).isEqualTo("07700 900201");
    joss.hangUp();
    assertThat(lotte.post(path + "/restore", Map.of()).status()).isEqualTo(200);
    assertThat(found(lotte, "ana")).containsExactly("Sister Ana");
    lotte.delete(path);
    TestServer.get().clock().advance(Duration.ofHours(25));
    assertThat(
            Client.withoutPage(TestServer.get().address(), "lotte")
                .post(path + "/restore", Map.of())
                .code())
        .isEqualTo("NO_SUCH_CONTACT");
  }

  @Test
  void what_is_wrong_with_a_card_is_said_and_nothing_is_stored() {
    for (Map.Entry<Map<String, Object>, String> each :
        Map.of(
                card(" ", "", List.of("0151 496 0177")), "CARD_NAMELESS",
                card("A", "", List.of("call me")), "CARD_NUMBER_UNREADABLE",
                card("B", "", List.of("0191 498 0201")), "CARD_NUMBER_OF_OURS",
                with(card("C", "", List.of()), "mails", List.of("c at example")),
                    "CARD_MAIL_UNREADABLE")
            .entrySet()) {
      Answer refused = lotte.post("/api/contacts", Map.of("own", false, "card", each.getKey()));
      assertThat(refused.status()).isEqualTo(422);
      assertThat(refused.code()).isEqualTo(each.getValue());
    }
    assertThat(found(lotte, "A")).isEmpty();
  }

  private static Map<String, Object> with(Map<String, Object> card, String field, Object value) {
    card.put(field, value);
    return card;
  }

  @Test
  void a_card_index_by_letter_tag_group_and_owner() {
    for (int i = 0; i < 110; i++) {
      add(lotte, false, "Walrus %03d".formatted(i), "", "");
    }
    long own = add(lotte, true, "Walrus own", "", "");
    JsonNode first = lotte.get("/api/contacts?from=walr").body();
    assertThat(first.get("contacts")).hasSize(100);
    JsonNode rest = lotte.get("/api/contacts?after=" + first.get("next").asLong()).body();
    assertThat(rest.get("contacts").get(0).get("title").asString()).isEqualTo("Walrus 100");
    assertThat(rest.get("contacts").get(10).get("id").asLong()).isEqualTo(own);

    lotte.post(
        "/api/contacts/" + own + "/groups", Map.of("into", List.of("", "Zoo"), "outOf", List.of()));
    assertThat(lotte.get("/api/contacts?whose=FAVOURITES").body().get("contacts")).hasSize(1);
    assertThat(lotte.get("/api/contacts?group=Zoo").body().get("contacts")).hasSize(1);
    assertThat(joss.get("/api/contacts?group=Zoo").body().get("contacts")).isEmpty();
    assertThat(lotte.get("/api/contacts/filters").body().get("groups").toString())
        .contains("\"Zoo\"");
    assertThat(joss.get("/api/contacts/filters").body().get("groups").toString())
        .doesNotContain("Zoo");
    assertThat(lotte.get("/api/contacts?whose=OWN").body().get("contacts")).hasSize(1);
    assertThat(lotte.get("/api/contacts?text=walrus&whose=OWN").body().get("contacts")).hasSize(1);
  }

  @Test
  void a_picture_is_checked_made_small_and_painted_anew() throws IOException {
    long id = add(lotte, false, "Nell Otway", "", "");
    String path = "/api/contacts/" + id + "/picture";
    assertThat(lotte.get(path).code()).isEqualTo("NO_PICTURE");
    byte[] png = Images.png(900, 600);
    assertThat(lotte.upload(path, png, "image/png").status()).isEqualTo(204);
    byte[] stored = lotte.bytes(path).body();
    BufferedImage picture = ImageIO.read(new ByteArrayInputStream(stored));
    assertThat(picture.getWidth()).isEqualTo(256);
    assertThat(lotte.upload(path, "<svg/>".getBytes(), "image/png").code())
        .isEqualTo("PICTURE_UNREADABLE");
    assertThat(lotte.upload(path, png, "image/svg+xml").status()).isEqualTo(415);
    assertThat(lotte.bytes(path).body()).as("the one before stays").isEqualTo(stored);
  }
}
