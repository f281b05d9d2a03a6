package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Files of contacts, read in and saved. */
@ExtendWith(TestServer.class)
class ContactImportsTest {
  private final Client lotte = Client.signedIn("lotte");
  private final Client joss = Client.signedIn("joss");

  @AfterEach
  void end() {
    lotte
        .get("/api/contacts")
        .body()
        .get("contacts")
        .forEach(each -> lotte.delete("/api/contacts/" + each.get("id").asLong()));
    lotte.close();
    joss.close();
  }

  private static JsonNode read(Client who, String file, String type, boolean own) {
    byte[] bytes = file.getBytes(StandardCharsets.UTF_8);
    return who.upload("/api/contact-imports?own=" + own, bytes, type).body();
  }

  private static JsonNode take(Client who, String id, Map<String, Object> chosen) {
    String path = "/api/contact-imports/" + id;
    assertThat(who.post(path, chosen).status()).isEqualTo(204);
    return over(who, path);
  }

  private static JsonNode over(Client who, String path) {
    JsonNode now;
    do {
      now = who.get(path).body(); // each answer takes its time: that is pause enough
    } while (now.get("state").asString().equals("RUNNING"));
    return now;
  }

  private static final Map<String, Object> MERGE = Map.of("chosen", Map.of(), "others", "MERGE");

  @Test
  void a_file_is_looked_at_taken_over_saved_and_read_in_again() {
    String csv =
        """
        name,company,number 1,number 1 type
        Dov Hartigan,Hartigan Haulage,0151 496 0177,work
        Nobody,,call me,
        Marisol Quenby,Hask Primary School,0113 496 0148,work
        """;
    JsonNode read = read(lotte, csv, "text/csv", false);
    assertThat(read.get("counts").get("fresh").asInt()).isEqualTo(2);
    assertThat(read.get("bad").get(0).get("line").asInt()).isEqualTo(3);
    assertThat(read.get("bad").get(0).get("flaw").asString()).isEqualTo("NUMBER_UNREADABLE");
    assertThat(lotte.get("/api/contacts").body().get("contacts")).as("only looked at").isEmpty();
    String id = read.get("id").asString();
    assertThat(joss.get("/api/contact-imports/" + id).code()).isEqualTo("NO_SUCH_IMPORT");
    assertThat(joss.post("/api/contact-imports/" + id, MERGE).code()).isEqualTo("NO_SUCH_IMPORT");
    JsonNode done = take(lotte, id, MERGE);
    assertThat(done.get("state").asString()).isEqualTo("DONE");
    assertThat(lotte.post("/api/contact-imports/" + id, MERGE).code()).isEqualTo("IMPORT_BEGUN");
    assertThat(joss.get("/api/contacts").body().get("contacts")).hasSize(2);

    for (String format : List.of("VCARD3", "VCARD4", "CSV")) {
      String saved =
          new String(
              lotte.bytes("/api/contacts/file?format=" + format).body(), StandardCharsets.UTF_8);
      String type = format.equals("CSV") ? "text/csv" : "text/vcard";
      JsonNode again = read(joss, saved, type, false);
      assertThat(again.get("counts").get("same").asInt()).as(saved).isEqualTo(2);
      assertThat(again.get("of").asInt()).isZero();
      JsonNode changed = read(joss, saved.replace("Haulage", "Carriers"), type, false);
      assertThat(changed.get("counts").get("changed").asInt()).isEqualTo(1);
    }
  }

  @Test
  void of_two_who_take_one_file_over_one_is_told_that_it_has_begun() throws Exception {
    String id =
        read(lotte, "name,number\nNia,0113 496 0150\n", "text/csv", false).get("id").asString();
    ExecutorService both = Executors.newFixedThreadPool(8);
    List<Future<Integer>> answers = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      answers.add(both.submit(() -> lotte.post("/api/contact-imports/" + id, MERGE).status()));
    }
    List<Integer> all = new ArrayList<>();
    for (Future<Integer> each : answers) {
      all.add(each.get());
    }
    both.shutdown();
    assertThat(all).containsOnlyOnce(204).containsOnly(204, 409);
    over(lotte, "/api/contact-imports/" + id);
  }

  /** Once 6 MB of it kept everybody waiting for minutes, and 30 MB ended the server. */
  @Test
  void a_large_file_of_nonsense_is_soon_found_to_be_none() {
    JsonNode nonsense = read(lotte, "a\n".repeat(16 << 20), "text/vcard", false);
    assertThat(nonsense.get("counts").get("bad").asInt()).isLessThan(3_000);
    assertThat(nonsense.get("bad").toString()).contains("REST_NOT_READ");
    JsonNode table = read(lotte, "name,number\n" + "\"x\"y\n".repeat(6 << 20), "text/csv", false);
    assertThat(table.get("bad").toString()).contains("REST_NOT_READ");
    String card = "BEGIN:VCARD\nVERSION:4.0\nFN:Ada\nUID:%s\nEND:VCARD\n";
    JsonNode cards =
        read(lotte, card.formatted("5".repeat(5_000)) + card.formatted("b"), "text/vcard", false);
    assertThat(cards.get("bad").toString()).contains("TOO_LONG");
    assertThat(take(lotte, cards.get("id").asString(), MERGE).get("state").asString())
        .isEqualTo("DONE");
    assertThat(lotte.get("/api/contacts").body().get("contacts")).hasSize(1);
  }

  @Test
  void whoever_is_sending_a_file_sends_no_second_one_and_keeps_nobody_else_from_it()
      throws IOException {
    URI server = URI.create(TestServer.get().address());
    String token = lotte.cookie("XSRF-TOKEN");
    try (Socket slow = new Socket(server.getHost(), server.getPort())) {
      String head =
          String.join(
              "\r\n",
              "PUT /api/contact-imports HTTP/1.1",
              "Host: " + server.getAuthority(),
              "Content-Type: text/vcard",
              "Content-Length: 100",
              "X-XSRF-TOKEN: " + token,
              "Cookie: XSRF-TOKEN="
                  + token
                  + "; oficina-sign-in="
                  + lotte.cookie("oficina-sign-in"),
              "",
              "BEGIN:VCARD");
      slow.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
      byte[] file = "name\nNia\n".getBytes(StandardCharsets.UTF_8);
      long patience = System.nanoTime() + 10_000_000_000L;
      String code;
      do {
        code = lotte.upload("/api/contact-imports", file, "text/csv").code();
      } while (code.isEmpty() && System.nanoTime() < patience);
      assertThat(code).isEqualTo("UPLOAD_UNDER_WAY");
      assertThat(joss.upload("/api/contact-imports", file, "text/csv").status()).isEqualTo(200);
    }
    // Whoever hangs up in the middle of a file can send the next one.
    int status;
    do {
      status = lotte.upload("/api/contact-imports", new byte[] {'\n'}, "text/csv").status();
    } while (status == 429);
    assertThat(status).isEqualTo(200);
  }

  @Test
  void doubtful_ones_are_put_together_added_or_left() {
    String first = "name,number\nDov Hartigan,0151 496 0177\nBettina Roe,0151 496 0121\n";
    take(lotte, read(lotte, first, "text/csv", false).get("id").asString(), MERGE);
    String second =
        """
        name,number 1,number 2
        D. Hartigan,0151 496 0177,07700 900305
        Bettina Roe,07700 900306,
        Dov Hartigan,07700 900307,
        """;
    JsonNode read = read(lotte, second, "text/csv", false);
    assertThat(read.get("doubtful")).hasSize(3);
    assertThat(read.get("doubtful").get(0).get("existing").get("name").asString())
        .isEqualTo("Dov Hartigan");
    Map<String, Object> chosen =
        Map.of("chosen", Map.of("1", "ADD", "2", "LEAVE"), "others", "MERGE");
    take(lotte, read.get("id").asString(), chosen);
    JsonNode all = lotte.get("/api/contacts").body().get("contacts");
    assertThat(all).hasSize(3);
    assertThat(all.get(2).get("title").asString()).isEqualTo("Dov Hartigan");
    assertThat(all.get(2).get("numbers")).hasSize(2);
  }

  @Test
  void what_is_ones_own_is_saved_for_nobody_else_and_a_long_import_can_be_stopped() {
    StringBuilder many = new StringBuilder("name,number\n");
    for (int i = 0; i < 20_000; i++) {
      many.append("Narwhal ").append(i).append(",0113 49").append(60000 + i % 10000).append('\n');
    }
    JsonNode read = read(lotte, many.toString(), "text/csv", true);
    String path = "/api/contact-imports/" + read.get("id").asString();
    lotte.post(path, MERGE);
    byte[] next = "name\nNia\n".getBytes(StandardCharsets.UTF_8);
    assertThat(lotte.upload("/api/contact-imports", next, "text/csv").code())
        .isEqualTo("IMPORT_RUNNING");
    assertThat(joss.delete(path).code()).isEqualTo("NO_SUCH_IMPORT");
    assertThat(lotte.delete(path).status()).isEqualTo(204);
    assertThat(over(lotte, path).get("state").asString()).isEqualTo("CANCELLED");
    assertThat(new String(joss.bytes("/api/contacts/file?format=CSV&own=true").body()))
        .doesNotContain("Narwhal");
    assertThat(new String(joss.bytes("/api/contacts/file?format=CSV").body()))
        .doesNotContain("Narwhal");
    assertThat(joss.get("/api/contacts").body().get("contacts")).isEmpty();
    // What was taken over by then is put away again.
    while (!lotte.get("/api/contacts").body().get("contacts").isEmpty()) {
      lotte
          .get("/api/contacts")
          .body()
          .get("contacts")
          .forEach(each -> lotte.delete("/api/contacts/" + each.get("id").asLong()));
    }
  }
}
