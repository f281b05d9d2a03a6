package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import oficina.core.call.Occasion;
import oficina.core.sound.Wav;
import oficina.server.greetings.GreetingStore;
import oficina.server.keeping.SoundStore;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Everything about one person in one file; and after it is erased no table knows of them. */
@ExtendWith(TestServer.class)
class PersonalDataOverHttpTest {
  private static final String PERSONAL = "/api/office/personal";
  private static final String NUMBER = "07700 900631";
  private static final String E164 = "+447700900631";
  private static final String WHOM = PERSONAL + "?number=07700900631";

  private final JdbcClient jdbc = TestServer.get().bean(JdbcClient.class);

  /** Tables in which this text stands somewhere, but for those that may keep it. */
  private List<String> tablesWith(String text, String... but) {
    List<String> found = new ArrayList<>();
    jdbc.sql(
            """
            select table_name, column_name from information_schema.columns
            where table_schema = 'oficina'
              and data_type in ('varchar', 'char', 'text', 'mediumtext', 'longtext')
            """)
        .query(
            row -> {
              String table = row.getString("table_name");
              String sql =
                  "select count(*) from %s where `%s` like ?"
                      .formatted(table, row.getString("column_name"));
              if (!List.of(but).contains(table)
                  && jdbc.sql(sql).param("%" + text + "%").query(Long.class).single() > 0) {
                found.add(table + "." + row.getString("column_name"));
              }
            });
    return found;
  }

  private static String caller(String number) {
    return "{\"is\":\"Outside\",\"number\":{\"e164\":\"" + number + "\",\"short\":false}}";
  }

  /** As a mailbox and a recording leave them, without a quarter of a minute of sound. */
  private void messageAndRecording(String mailbox, long owner, String number) {
    SoundStore sounds = TestServer.get().bean(SoundStore.class);
    for (String insert :
        List.of(
            "insert into message (place, mailbox, caller, began, length_ms, outline, sound_id)"
                + " values (:place, :mailbox, :caller, now(), 1000, '', :sound)",
            "insert into recording (place, call_id, owner, other, began, sound_id, ready)"
                + " values (:place, 'none', :owner, :caller, now(), :sound, 1)",
            "insert into recording_log (recording_id, owner, other, began, at, deed)"
                + " values (7, :owner, :caller, now(), now(), 'LISTENED')")) {
      jdbc.sql(insert)
          .param("place", "personal-" + number + mailbox)
          .param("mailbox", mailbox)
          .param("owner", owner)
          .param("caller", caller(number))
          .param("sound", sounds.keep(new byte[8000]))
          .update();
    }
  }

  private static Map<String, byte[]> unzipped(byte[] file) throws IOException {
    Map<String, byte[]> all = new HashMap<>();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
      for (ZipEntry each = zip.getNextEntry(); each != null; each = zip.getNextEntry()) {
        all.put(each.getName(), zip.readAllBytes());
      }
    }
    return all;
  }

  @Test
  void everything_of_a_number_comes_in_one_file_and_goes_without_a_trace() throws Exception {
    try (Client mirela = Client.signedIn("mirela");
        Client lotte = Client.signedIn("lotte")) {
      Map<String, Object> card = ContactsOverHttpTest.card("Pell Orrin", "", List.of(NUMBER));
      lotte.post("/api/contacts", Map.of("own", true, "card", card)).done();
      long office =
          lotte
              .post("/api/contacts", Map.of("own", false, "card", card))
              .done()
              .at("/row/id")
              .asLong();
      lotte
          .post(
              "/api/blocks",
              Map.of("ofOffice", false, "what", NUMBER, "answer", "BUSY", "note", ""))
          .done();
      String call = lotte.call(NUMBER);
      lotte.put("/api/calls/" + call + "/note", Map.of("title", "Rope", "text", "Blue.")).done();
      assertThat(mirela.delete(WHOM).code()).isEqualTo("CALL_IS_UP");
      lotte.hangUp();
      messageAndRecording("p17", 17, E164);

      JsonNode known = mirela.get(WHOM).done().get("known");
      for (String part :
          List.of("cards", "entries", "notes", "messages", "recordings", "recordingLog")) {
        assertThat(known.path(part).asLong()).as(part).isPositive();
      }
      Map<String, byte[]> file = unzipped(mirela.bytes(WHOM.replace("?", "/file?")).body());
      JsonNode everything = JsonMapper.shared().readTree(file.get("everything.json"));
      assertThat(everything.at("/parts/cards/0/card/name").asString()).isEqualTo("Pell Orrin");
      assertThat(everything.at("/parts/notes/0/text").asString()).isEqualTo("Blue.");
      assertThat(file.keySet().stream().filter(each -> each.endsWith(".wav"))).hasSize(2);
      assertThat(tablesWith("7700900631"))
          .as("the log names nobody")
          .doesNotContain("office_log.about");

      JsonNode protocol = mirela.delete(WHOM).done();
      assertThat(protocol.get("known")).isEqualTo(known);
      assertThat(protocol.at("/stays/blocks").asLong()).isEqualTo(1);
      JsonNode block = lotte.get("/api/blocks").body().at("/blocks/0");
      lotte.delete("/api/blocks/" + block.get("id").asLong()).done();
      assertThat(tablesWith("7700900631")).isEmpty();
      assertThat(tablesWith("Pell Orrin")).isEmpty();
      assertThat(lotte.get("/api/contacts/" + office).code()).isEqualTo("NO_SUCH_CONTACT");
      assertThat(lotte.get("/api/find?text=pell").body().toString()).doesNotContain("Orrin");
      assertThat(mirela.get(WHOM).body().get("known")).isEmpty();
      assertThat(mirela.get("/api/office/log?text=ends in 31".replace(" ", "%20")).body().size())
          .isEqualTo(2);
    }
  }

  @Test
  void whoever_has_left_stays_in_the_entries_of_others_as_nobody() throws Exception {
    try (Client mirela = Client.signedIn("mirela");
        Client lotte = Client.signedIn("lotte")) {
      long id =
          mirela
              .post(
                  "/api/office/people",
                  OfficeOverHttpTest.joining("Quillan Farrow", "quillan", "296"))
              .done()
              .get("id")
              .asLong();
      String call = lotte.call("296");
      lotte.service(call, "clear");
      messageAndRecording("p" + id, id, "+447700900632");
      GreetingStore greetings = TestServer.get().bean(GreetingStore.class);
      GreetingStore.Greeting over =
          new GreetingStore.Greeting(Occasion.AWAY, "At sea.", Instant.EPOCH, Instant.EPOCH);
      greetings.keep("p" + id, over, new short[] {1, 2, 3});
      assertThat(mirela.get(PERSONAL + "?person=" + id).code()).isEqualTo("NOT_A_FORMER_EMPLOYEE");
      mirela.delete("/api/office/people/" + id).done();
      assertThat(mirela.get(PERSONAL + "/former").body().toString()).contains("Quillan Farrow");
      assertThat(lotte.get("/api/history?text=quillan").body().get("entries")).isNotEmpty();

      Map<String, byte[]> file = unzipped(mirela.bytes(PERSONAL + "/file?person=" + id).body());
      assertThat(Wav.read(file.get("sounds/greeting-AWAY.wav"), Duration.ofSeconds(1)))
          .as("although it counts no longer")
          .containsExactly(1, 2, 3);
      assertThat(new String(file.get("everything.json"), StandardCharsets.UTF_8))
          .contains("Quillan Farrow", "\"messages\"", "\"recordings\"");
      mirela.delete(PERSONAL + "?person=" + id).done();
      assertThat(tablesWith("Farrow", "office_log")).isEmpty();
      assertThat(tablesWith("quillan", "office_log")).isEmpty();
      assertThat(lotte.get("/api/history?text=quillan").body().get("entries")).isEmpty();
      assertThat(lotte.get("/api/history?text=296").body().get("entries").size())
          .as("the call itself stays")
          .isPositive();
      assertThat(mirela.get(PERSONAL + "/former").body().toString()).doesNotContain("Farrow");
    }
  }

  @Test
  void what_is_nobody_is_refused() {
    try (Client mirela = Client.signedIn("mirela")) {
      assertThat(mirela.get(PERSONAL + "?number=12").code()).isEqualTo("NUMBER_UNREADABLE");
      assertThat(mirela.delete(PERSONAL + "?number=01914980100").code())
          .isEqualTo("NUMBER_IS_OURS");
      assertThat(mirela.delete(PERSONAL + "?contact=999999").code()).isEqualTo("NO_SUCH_CONTACT");
    }
  }
}
