package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Groups of colleagues are of whoever made them, and nobody else's. */
@ExtendWith(TestServer.class)
class ColleagueGroupsOverHttpTest {
  private final Client lotte = Client.signedIn("lotte");
  private final Client joss = Client.signedIn("joss");
  private final long una =
      Client.withoutPage(TestServer.get().address(), "una")
          .get("/api/session")
          .done()
          .get("id")
          .asLong();

  @AfterEach
  void end() {
    change(List.of(), List.of("", "Pier", "Harbour", "Cafe"));
    lotte.close();
    joss.close();
  }

  private Client.Answer change(List<String> into, List<String> outOf) {
    return lotte.post("/api/colleagues/" + una + "/groups", Map.of("into", into, "outOf", outOf));
  }

  private static String groupsOf(Client client) {
    return client.get("/api/colleagues/groups").body().toString();
  }

  @Test
  void a_colleague_is_put_into_groups_and_taken_out_and_only_their_maker_sees_them() {
    assertThat(change(List.of("", "Pier", " Pier "), List.of()).status()).isEqualTo(204);
    assertThat(groupsOf(lotte))
        .isEqualTo(
            "[{\"name\":\"\",\"people\":[%d]},{\"name\":\"Pier\",\"people\":[%d]}]"
                .formatted(una, una));
    assertThat(groupsOf(joss)).isEqualTo("[]");
    change(List.of("Harbour"), List.of("pier"));
    assertThat(lotte.get("/api/colleagues/groups").body().findValuesAsString("name"))
        .as("what was not spoken of is left")
        .containsExactly("", "Harbour");
  }

  @Test
  void names_that_differ_in_capitals_or_accents_alone_are_one_group() {
    assertThat(change(List.of("Cafe", "cafe", "Café"), List.of()).status()).isEqualTo(204);
    assertThat(lotte.get("/api/colleagues/groups").body()).hasSize(1);
    String contact =
        lotte
            .post(
                "/api/contacts",
                Map.of(
                    "own",
                    true,
                    "card",
                    ContactsOverHttpTest.card("Ana", "", List.of("07700 900201"))))
            .done()
            .get("row")
            .get("id")
            .asString();
    assertThat(
            lotte
                .post(
                    "/api/contacts/" + contact + "/groups",
                    Map.of("into", List.of("Cafe", "cafe", "Café"), "outOf", List.of()))
                .status())
        .isEqualTo(204);
    lotte.delete("/api/contacts/" + contact);
  }

  @Test
  void whoever_is_not_of_the_office_and_names_without_end_are_refused() {
    assertThat(
            lotte
                .post(
                    "/api/colleagues/987654/groups",
                    Map.of("into", List.of(""), "outOf", List.of()))
                .status())
        .isEqualTo(404);
    assertThat(change(List.of("x".repeat(61)), List.of()).status()).isEqualTo(422);
    assertThat(groupsOf(lotte)).isEqualTo("[]");
  }
}
