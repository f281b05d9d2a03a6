package oficina.bench;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.IntStream;
import oficina.server.Client;
import oficina.server.TestServer;

/**
 * The history of one person with a million entries among two million: pages, filters, texts of
 * every kind, and what is to be called back.
 */
final class BigHistory {
  private static final int ENTRIES = Integer.getInteger("oficina.history.entries", 1_000_000);
  private static final int CALLERS = 5_000;
  private static final int TIMES = 60;

  private BigHistory() {}

  static void measure(TestServer server) throws SQLException {
    try (Connection connection = BenchOffice.open(server.database())) {
      fill(connection, "ines");
      fill(connection, "tomasz");
    }
    Map<String, String> questions = new LinkedHashMap<>();
    questions.put("first page", "");
    questions.put("missed", "filter=MISSED");
    questions.put("received", "filter=RECEIVED");
    questions.put("placed", "filter=PLACED");
    questions.put("a word many have", "text=" + url("liver"));
    questions.put("two words many have, never together", "text=" + url("liverpool leeds"));
    questions.put("a name", "text=" + url("caller 4321"));
    questions.put("part of a number", "text=" + url("60 1234"));
    questions.put("one letter", "text=c");
    questions.put("a word nobody has", "text=" + url("zzyzx"));
    questions.put("missed, a word many have", "filter=MISSED&text=leeds");
    try (Client ines = Client.withoutPage(server.address(), "ines")) {
      String middle = "before=" + cursor(server, ENTRIES / 2);
      questions.put("a page in the middle", middle);
      questions.put("a word many have, in the middle", middle + "&text=leeds");
      questions.put("a name, in the middle", middle + "&text=" + url("caller 4321"));
      for (int i = 0; i < TIMES; i++) {
        ines.get("/api/history"); // the first ones find code that is not compiled yet
      }
      questions.forEach(
          (what, question) ->
              row("history of a million, " + what, ines, "/api/history?" + question, 50));
      row("calls to return", ines, "/api/to-call-back", 10);
    }
  }

  private static void row(String what, Client who, String path, int aim) {
    double[] times =
        IntStream.range(0, TIMES)
            .mapToDouble(
                i -> {
                  long begun = System.nanoTime();
                  if (who.get(path).status() != 200) {
                    throw new IllegalStateException(path);
                  }
                  return (System.nanoTime() - begun) / 1e6;
                })
            .sorted()
            .toArray();
    Main.row(what + ", p95 (aim " + aim + ")", "%.1f ms", times[TIMES * 95 / 100]);
  }

  private static String url(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }

  private static String cursor(TestServer server, int place) throws SQLException {
    try (Connection connection = BenchOffice.open(server.database());
        Statement statement = connection.createStatement();
        var found =
            statement.executeQuery(
                "select date_format(began, '%Y-%m-%dT%H:%i:%s.%fZ'), id from history"
                    + " where call_id = 'ines-"
                    + place
                    + "'")) {
      found.next();
      return url(found.getString(1) + "_" + found.getLong(2));
    }
  }

  private static void fill(Connection connection, String person) throws SQLException {
    String callers =
        """
        (select seq as n, p.id as person, p.id * 1000000 + seq as search_id,
          elt(1 + seq %% 10, 'MISSED', 'RECEIVED', 'RECEIVED', 'RECEIVED', 'RECEIVED', 'RECEIVED',
            'PLACED', 'PLACED', 'PLACED', 'PLACED') as kind,
          concat('4411349', lpad(seq, 5, '0')) as number
         from seq_0_to_%d join person p where p.sign_in_name = '%s')
        """
            .formatted(CALLERS - 1, person);
    run(
        connection,
        ("insert ignore into history_search_word (search_id, word, person_id)"
                + " select search_id, substr(number, s.seq), person from %s c"
                + " join seq_1_to_10 s")
            .formatted(callers));
    run(
        connection,
        ("insert ignore into history_search_word (search_id, word, person_id)"
                + " select search_id, elt(s.seq, 'caller', cast(n as char),"
                + " if(n %% 2, 'liverpool', 'leeds')), person from %s c join seq_1_to_3 s")
            .formatted(callers));
    run(
        connection,
        ("insert into history_search (id, person_id, kind, last, words)"
                + " select search_id, person, kind, utc_timestamp(),"
                + " (select group_concat(w.word separator ' ') from history_search_word w"
                + " where w.search_id = c.search_id) from %s c")
            .formatted(callers));
    run(
        connection,
        """
        insert into history (person_id, call_id, direction, result, began, ended, rang_ms,
          talked_ms, held_ms, body, kind, search_id)
        select c.person, concat('%s-', e.seq), if(c.kind = 'PLACED', 'PLACED', 'RECEIVED'),
          'ANSWERED', utc_timestamp() - interval e.seq * 30 second, utc_timestamp(), 0, 0, 0,
          concat('{"call":{"value":"x"},"person":{"value":', c.person, '},"direction":"RECEIVED",',
            '"other":{"is":"Outside","number":{"e164":"+', c.number, '"}},"line":null,"began":"',
            date_format(utc_timestamp() - interval e.seq * 30 second, '%%Y-%%m-%%dT%%H:%%i:%%sZ'),
            '","ended":"2026-06-15T08:00:12Z","rang":"PT4S","talked":"PT40S","held":"PT0S",',
            '"result":"ANSWERED","answeredBy":null,"endedBy":null,"callOver":true,"cause":null}'),
          c.kind, c.search_id
        from seq_1_to_%d e join %s c on c.n = e.seq * 7919 %% %d
        """
            .formatted(person, ENTRIES, callers, CALLERS));
    run(connection, "analyze table history, history_search, history_search_word");
  }

  private static void run(Connection connection, String sql) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.execute(sql);
    }
  }
}
