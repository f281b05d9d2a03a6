package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** People join and leave the office while the server runs. */
@ExtendWith(TestServer.class)
class OfficeOverHttpTest {
  private static final String GIVEN = "given-by-mirela";

  private static Map<String, String> joining(String name, String signIn, String extension) {
    return Map.of(
        "name", name,
        "signInName", signIn,
        "password", GIVEN,
        "extension", extension,
        "team", "Freight");
  }

  private static Client newcomer(String signIn) {
    Client client = new Client(TestServer.get().address());
    assertThat(client.signIn(signIn, GIVEN).status()).isEqualTo(200);
    return client;
  }

  private static boolean boardHas(JsonNode push, String name) {
    return push.path("people").toString().contains(name);
  }

  @Test
  void of_two_choices_at_once_the_same_one_holds_in_memory_and_in_the_database() {
    try (Client joss = Client.signedIn("joss")) {
      for (int i = 0; i < 20; i++) {
        List.of("DIRECT", "OFFICE", "WITHHELD").parallelStream()
            .forEach(
                choice ->
                    joss.put(
                        "/api/preferences",
                        Map.of(
                            "callWaiting",
                            true,
                            "callerId",
                            choice,
                            "recording",
                            "ON_DEMAND",
                            "hiddenSlots",
                            List.of())));
        String inMemory = joss.get("/api/preferences").body().get("callerId").asString();
        String stored =
            TestServer.get()
                .bean(JdbcClient.class)
                .sql("select caller_id from person where sign_in_name = 'joss'")
                .query(String.class)
                .single();
        assertThat(inMemory).isEqualTo(stored);
      }
    }
  }

  @Test
  void somebody_new_is_found_signs_in_and_rings_at_once_and_harms_nobody_by_leaving() {
    try (Client mirela = Client.signedIn("mirela");
        Client tomasz = Client.signedIn("tomasz")) {
      Answer joined = mirela.post("/api/office/people", joining("Wrenna Vance", "wrenna", "294"));
      assertThat(joined.status()).isEqualTo(201);
      tomasz.await(push -> boardHas(push, "Wrenna Vance"));
      assertThat(tomasz.get("/api/find?text=wrenna").body().toString()).contains("Wrenna Vance");

      // The password she was given lets her choose her own and nothing else.
      Client wrenna = newcomer("wrenna");
      assertThat(wrenna.get("/api/desk").code()).isEqualTo("PASSWORD_MUST_CHANGE");
      assertThat(wrenna.get("/api/session").body().get("mustChangePassword").asBoolean()).isTrue();
      Map<String, String> own = Map.of("present", GIVEN, "next", "a word of her own");
      assertThat(wrenna.put("/api/session/password", own).status()).isEqualTo(204);
      assertThat(wrenna.get("/api/desk").status()).isEqualTo(200);
      wrenna.connect();

      String call = tomasz.call("294");
      wrenna.awaitCall("RINGING");
      assertThat(wrenna.service(call, "answer").status()).isEqualTo(204);
      tomasz.awaitCall("TALKING");

      assertThat(mirela.delete("/api/office/people/" + joined.body().get("id").asLong()).status())
          .isEqualTo(204);
      tomasz.awaitNoCalls();
      assertThat(wrenna.get("/api/desk").code()).isEqualTo("SIGNED_OUT");
      assertThat(tomasz.get("/api/find?text=wrenna").body().get("known")).isEmpty();
      JsonNode entry = tomasz.get("/api/history").body().get("entries").get(0);
      assertThat(entry.get("other").get("name").asString())
          .as("whoever has left is still known by name")
          .isEqualTo("Wrenna Vance");
      assertThat(
              mirela.post("/api/office/people", joining("Wrenna Vance", "wrenna", "294")).status())
          .as("extension and name are free again")
          .isEqualTo(201);
    }
  }

  @Test
  void only_administrators_change_the_office_and_bad_entries_say_why() {
    try (Client mirela = Client.withoutPage(TestServer.get().address(), "mirela");
        Client ines = Client.withoutPage(TestServer.get().address(), "ines")) {
      assertThat(ines.post("/api/office/people", joining("X", "x", "291")).code())
          .isEqualTo("NOT_ADMINISTRATOR");
      assertThat(ines.delete("/api/office/people/1").code()).isEqualTo("NOT_ADMINISTRATOR");
      for (Map<String, String> taken :
          List.of(
              joining("X", "x", "201"),
              joining("X", "x", "200"),
              joining("X", "x", "290"),
              joining("X", "ines", "292"))) {
        Answer refused = mirela.post("/api/office/people", taken);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.code()).isEqualTo("TAKEN");
      }
      assertThat(mirela.post("/api/office/people", joining("X", "X Y", "29x")).code())
          .isEqualTo("FIELDS_WRONG");
      assertThat(mirela.delete("/api/office/people/4711").code()).isEqualTo("NO_SUCH_PERSON");
      long own = mirela.get("/api/session").body().get("id").asLong();
      assertThat(mirela.delete("/api/office/people/" + own).code()).isEqualTo("NOT_ONESELF");
    }
  }
}
