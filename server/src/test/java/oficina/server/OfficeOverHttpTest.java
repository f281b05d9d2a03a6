package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** People join and leave the office while the server runs. */
@ExtendWith(TestServer.class)
class OfficeOverHttpTest {
  private static final String PEOPLE_FILE = "/api/office/people-file";
  static final String GIVEN = "given-by-mirela";

  static Map<String, Object> joining(String name, String signIn, String extension) {
    return Map.of("person", person(name, signIn, extension), "password", GIVEN);
  }

  static Map<String, Object> person(String name, String signIn, String extension) {
    Map<String, Object> person = new HashMap<>();
    person.put("name", name);
    person.put("signInName", signIn);
    person.put("role", "EMPLOYEE");
    person.put("extension", extension);
    person.put("directNumber", "");
    person.put("team", "Freight");
    person.put("site", "");
    person.put("mail", "");
    person.put("mobile", "");
    return person;
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

      assertThat(mirela.delete("/api/office/people/" + joined.done().get("id").asLong()).status())
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
      Map.of(
              "201", "EXTENSION_OF_PERSON",
              "200", "EXTENSION_OF_LINE",
              "290", "EXTENSION_OF_VOICEMAIL",
              "61", "EXTENSION_OF_SLOT",
              "999", "EXTENSION_OF_EMERGENCY")
          .forEach(
              (extension, code) -> {
                Answer refused = mirela.post("/api/office/people", joining("X", "x", extension));
                assertThat(refused.status()).isEqualTo(409);
                assertThat(refused.code()).isEqualTo(code);
              });
      assertThat(mirela.post("/api/office/people", joining("X", "ines", "292")).code())
          .isEqualTo("TAKEN");
      assertThat(mirela.post("/api/office/people", joining("X", "X Y", "29x")).code())
          .isEqualTo("FIELDS_WRONG");
      assertThat(mirela.delete("/api/office/people/4711").code()).isEqualTo("NO_SUCH_PERSON");
      long own = mirela.get("/api/session").done().get("id").asLong();
      assertThat(mirela.delete("/api/office/people/" + own).code()).isEqualTo("NOT_ONESELF");
    }
  }

  @Test
  void the_registers_are_changed_in_place_and_what_does_not_fit_changes_nothing() {
    try (Client mirela = Client.withoutPage(TestServer.get().address(), "mirela");
        Client tomasz = Client.signedIn("tomasz")) {
      long id =
          mirela
              .post("/api/office/people", joining("Pell Marsh", "pell", "294"))
              .done()
              .get("id")
              .asLong();
      String path = "/api/office/people/" + id;
      Client pell = newcomer("pell");
      Map<String, Object> changed = person("Pell Marsh-Orr", "pell", "296");
      changed.put("directNumber", "0191 498 0296");
      assertThat(mirela.put(path, changed).status()).isEqualTo(204);
      assertThat(tomasz.get("/api/find?text=296").body().toString()).contains("Pell Marsh-Orr");
      changed.put("directNumber", "0191 498 0201");
      assertThat(mirela.put(path, changed).code()).isEqualTo("NUMBER_OF_PERSON");
      changed.put("directNumber", "498");
      assertThat(mirela.put(path, changed).code()).isEqualTo("NUMBER_UNREADABLE");
      JsonNode row =
          mirela.get("/api/office/people?text=pell").body().get("people").get(0).get("person");
      assertThat(row.get("directNumber").asString()).isEqualTo("0191 498 0296");
      assertThat(mirela.get(path + "/dependants").body()).isEmpty();

      assertThat(pell.get("/api/session").body().has("id")).isTrue();
      Map<String, String> given = Map.of("password", "another-first-one");
      assertThat(mirela.put(path + "/password", given).status()).isEqualTo(204);
      assertThat(pell.get("/api/desk").code()).as("signed out everywhere").isEqualTo("SIGNED_OUT");
      assertThat(pell.signIn("pell", "another-first-one").status()).isEqualTo(200);
      assertThat(mirela.delete(path).status()).isEqualTo(204);
      long own = mirela.get("/api/session").done().get("id").asLong();
      assertThat(mirela.put("/api/office/people/" + own + "/password", given).code())
          .isEqualTo("NOT_ONESELF");
    }
  }

  @Test
  void a_line_is_made_rings_those_in_it_and_is_changed() {
    try (Client mirela = Client.withoutPage(TestServer.get().address(), "mirela");
        Client tomasz = Client.signedIn("tomasz");
        Client joss = Client.signedIn("joss")) {
      long me = tomasz.get("/api/session").done().get("id").asLong();
      Map<String, Object> line = new HashMap<>();
      line.put("name", "Night watch");
      line.put("extension", "297");
      line.put("number", "0191 498 0297");
      line.put("members", List.of(me));
      line.put("ringSeconds", 20);
      line.put("mailbox", false);
      Answer made = mirela.post("/api/office/lines", line);
      assertThat(made.status()).isEqualTo(201);
      joss.call("297");
      assertThat(tomasz.awaitCall("RINGING").get("line").asString()).isEqualTo("Night watch");
      joss.hangUp();
      tomasz.awaitNoCalls();
      String path = "/api/office/lines/" + made.done().get("id").asLong();
      line.put("members", List.of(me, me));
      assertThat(mirela.put(path, line).code()).isEqualTo("MEMBER_TWICE");
      line.put("extension", "220");
      line.put("members", List.of());
      assertThat(mirela.put(path, line).code()).isEqualTo("EXTENSION_OF_LINE");
      line.put("extension", "297");
      line.put("name", "Nobody's watch");
      assertThat(mirela.put(path, line).status()).isEqualTo(204);
      JsonNode lines = mirela.get("/api/office/lines").body();
      assertThat(lines.get(lines.size() - 1).get("line").get("name").asString())
          .isEqualTo("Nobody's watch");
    }
  }

  @Test
  void of_two_who_want_one_extension_at_once_one_gets_it_and_the_office_can_still_be_changed() {
    try (Client mirela = Client.withoutPage(TestServer.get().address(), "mirela")) {
      for (int i = 0; i < 4; i++) {
        String extension = "310" + i;
        Map<String, Object> line =
            Map.of(
                "name",
                "Line " + i,
                "extension",
                extension,
                "number",
                "",
                "members",
                List.of(),
                "ringSeconds",
                20,
                "mailbox",
                false);
        Map<String, Object> person = joining("Somebody " + i, "somebody" + i, extension);
        Map<String, Map<String, Object>> both =
            Map.of("/api/office/lines", line, "/api/office/people", person);
        long given =
            both.entrySet().parallelStream()
                .filter(each -> mirela.post(each.getKey(), each.getValue()).status() == 201)
                .count();
        assertThat(given).isEqualTo(1);
      }
      Map<String, String> slot = Map.of("number", "689", "label", "");
      assertThat(mirela.post("/api/office/slots", slot).status()).isEqualTo(201);
      assertThat(mirela.delete("/api/office/slots/689").status()).isEqualTo(204);
    }
  }

  @Test
  void who_changed_what_is_written_down_and_cannot_be_changed() {
    try (Client mirela = Client.signedIn("mirela")) {
      Client stranger = new Client(TestServer.get().address());
      stranger.signIn("mirela", "wrong password");
      Map<String, String> slot = Map.of("number", "688", "label", "Crane");
      assertThat(mirela.post("/api/office/slots", slot).status()).isEqualTo(201);
      mirela.put("/api/office/slots/688", Map.of("label", "Quay"));
      mirela.delete("/api/office/slots/688");
      assertThat(mirela.post("/api/office/slots", Map.of("number", "201", "label", "")).code())
          .as("what is refused is no change")
          .isEqualTo("EXTENSION_OF_PERSON");
      JsonNode log = mirela.get("/api/office/log").body();
      List<String> last =
          log.valueStream()
              .limit(4)
              .map(
                  each ->
                      String.join(
                          " ",
                          each.get("who").asString(),
                          each.get("kind").asString(),
                          each.get("about").asString(),
                          each.get("before").asString() + ">" + each.get("after").asString()))
              .toList();
      assertThat(last)
          .containsExactlyInAnyOrder(
              "mirela REMOVED Slot 688 label: Quay>",
              "mirela CHANGED Slot 688 Crane>Quay",
              "mirela ADDED Slot 688 >label: Crane",
              " SIGN_IN_FAILED mirela >");
      assertThat(log.get(0).get("origin").asString()).isEqualTo("127.0.0.1");
      JsonNode found = mirela.get("/api/office/log?kind=CHANGED&text=crane&zone=UTC").body();
      assertThat(found).hasSize(1);
      assertThat(mirela.get("/api/office/log?to=2020-01-01").body()).isEmpty();
      assertThat(mirela.get("/api/office/log?text=crane&who=mirela").body())
          .hasSameSizeAs(mirela.get("/api/office/log?text=crane").body());
      assertThat(mirela.get("/api/office/log?text=crane&who=miREl").body()).isEmpty();
      String saved = new String(mirela.bytes("/api/office/log-file?text=crane").body());
      assertThat(saved).contains("CHANGED,Slot 688,label,Crane,Quay");
      try (Client ines = Client.withoutPage(TestServer.get().address(), "ines")) {
        assertThat(ines.get("/api/office/log").status()).isEqualTo(403);
        assertThat(ines.get("/api/office/log-file").status()).isEqualTo(403);
      }
      JdbcClient jdbc = TestServer.get().bean(JdbcClient.class);
      for (String forging :
          List.of("update office_log set name = 'joss'", "delete from office_log")) {
        assertThatThrownBy(() -> jdbc.sql(forging).update())
            .hasStackTraceContaining("the log of the office cannot be changed");
      }
    }
  }

  @Test
  void people_come_from_a_file_all_that_are_right_or_none() {
    try (Client mirela = Client.signedIn("mirela")) {
      String head = "name,sign_in_name,extension,team\n";
      JsonNode read = look(mirela, head + "Nell Otway,nell.o,681,Files\nOdo,odo,201,Files\n");
      assertThat(read.get("counts").get("fresh").asInt()).isEqualTo(1);
      assertThat(read.get("bad").get(0).get("code").asString()).isEqualTo("EXTENSION_OF_PERSON");
      assertThat(read.get("bad").get(0).get("line").asInt()).isEqualTo(3);
      String take = PEOPLE_FILE + "/" + read.get("id").asString();
      assertThat(mirela.post(take, Map.of("password", "short")).code())
          .isEqualTo("PASSWORD_TOO_SHORT");
      Map<String, String> first = Map.of("password", "for the first day");
      try (Client ines = Client.withoutPage(TestServer.get().address(), "ines")) {
        assertThat(ines.post(take, first).status()).isEqualTo(403);
      }
      String extension = "681";
      Answer other = mirela.post("/api/office/slots", Map.of("number", extension, "label", ""));
      assertThat(other.status()).isEqualTo(201);
      assertThat(mirela.post(take, first).code()).isEqualTo("OFFICE_CHANGED_MEANWHILE");
      mirela.delete("/api/office/slots/" + extension);
      assertThat(mirela.post(take, first).status()).isEqualTo(204);
      assertThat(mirela.post(take, first).code()).as("once").isEqualTo("NO_SUCH_FILE");
      Client nell = new Client(TestServer.get().address());
      assertThat(nell.signIn("nell.o", "for the first day").status()).isEqualTo(200);
      assertThat(nell.get("/api/history").code()).isEqualTo("PASSWORD_MUST_CHANGE");

      String saved = new String(mirela.bytes(PEOPLE_FILE).body(), StandardCharsets.UTF_8);
      assertThat(saved).contains("Nell Otway,nell.o,employee,681,,Files,,");
      JsonNode again = look(mirela, saved).get("counts");
      assertThat(again.get("fresh").asInt() + again.get("changed").asInt()).isZero();
      String promoted = saved.replace("nell.o,employee,681", "nell.o,administrator,682");
      JsonNode change = look(mirela, promoted);
      assertThat(change.get("changed").get(0).get("after").get("extension").asString())
          .isEqualTo("682");
      mirela.post(PEOPLE_FILE + "/" + change.get("id").asString(), Map.of());
      assertThat(nell.get("/api/history").status()).as("another role").isEqualTo(401);
      long id =
          mirela
              .get("/api/office/people?text=otway")
              .body()
              .get("people")
              .get(0)
              .get("id")
              .asLong();
      mirela.delete("/api/office/people/" + id);
    }
  }

  private static JsonNode look(Client administrator, String file) {
    return administrator
        .upload(PEOPLE_FILE, file.getBytes(StandardCharsets.UTF_8), "text/csv")
        .done();
  }

  @Test
  void slots_come_and_go_but_for_one_in_which_somebody_waits() {
    try (Client mirela = Client.withoutPage(TestServer.get().address(), "mirela")) {
      Map<String, String> slot = Map.of("number", "69", "label", "Ramp");
      assertThat(mirela.post("/api/office/slots", slot).status()).isEqualTo(201);
      assertThat(mirela.post("/api/office/slots", slot).code()).isEqualTo("EXTENSION_OF_SLOT");
      assertThat(mirela.delete("/api/office/slots/69").status()).isEqualTo(204);
    }
  }

  @Test
  void the_office_itself_is_changed_whole_or_not_at_all() {
    try (Client mirela = Client.withoutPage(TestServer.get().address(), "mirela")) {
      JsonNode before = mirela.get("/api/office/identity").body();
      assertThat(before.get("missing")).as("the demo office lacks nothing").isEmpty();
      ObjectNode identity = (ObjectNode) before.get("identity");
      Map.of(
              "zone", "Mars/Olympus",
              "region", "QQ",
              "mainNumber", "12",
              "voicemailExtension", "201")
          .forEach(
              (field, value) -> {
                ObjectNode wrong = identity.deepCopy().put("name", "Other").put(field, value);
                assertThat(mirela.put("/api/office/identity", wrong).status())
                    .as(field)
                    .isBetween(409, 422);
              });
      assertThat(mirela.get("/api/office/identity").body().get("identity")).isEqualTo(identity);
      assertThat(mirela.put("/api/office/identity", identity).status()).isEqualTo(204);
      assertThat(mirela.get("/api/office/identity").body().get("identity")).isEqualTo(identity);
    }
  }
}
