package oficina.bench;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.IntStream;
import oficina.core.call.DeviceId;
import oficina.core.contacts.SpokenNames;
import oficina.core.people.PersonId;
import oficina.core.people.Words;
import oficina.core.sound.Pcm;
import oficina.core.sound.Wav;
import oficina.server.Client;
import oficina.server.TestServer;
import oficina.server.contacts.Contacts;
import oficina.server.office.DemoOffice;
import oficina.server.office.OfficeData;
import oficina.server.softphone.CodecEnd;
import oficina.server.sound.EndId;
import oficina.server.sound.SoundEngine;
import oficina.server.speech.Speaker;
import oficina.server.speech.SpeechException;
import oficina.server.speech.Transcriber;
import org.apache.commons.csv.CSVRecord;

/**
 * Voicemail: a long list, how soon a message is on its owner's screen, and how well it is written
 * down.
 */
final class Messages {
  private static final int MANY = 10_000;
  private static final int TIMES = 60;
  private static final int LEFT = 30;
  private static final int SENTENCES = 20;

  private Messages() {}

  static void measure(TestServer server) throws SQLException {
    try (Client ines = Client.signedIn(server.address(), "ines");
        Client tomasz = Client.signedIn(server.address(), "tomasz")) {
      fill(server, id(ines));
      list(ines);
      onTheScreen(server, ines, tomasz);
    }
    transcripts(server);
  }

  private static long id(Client client) {
    return client.get("/api/session").body().get("id").asLong();
  }

  private static void fill(TestServer server, long person) throws SQLException {
    try (Connection connection = BenchOffice.open(server.database());
        PreparedStatement message =
            connection.prepareStatement(
                """
                insert into message (place, mailbox, caller, began, length_ms, outline, transcript,
                  words, heard_by, heard_at, sound_id)
                values (?, ?, '{"is":"Outside","number":{"e164":"+441514960177"}}', ?, 20000, '', 'DONE',
                  '[]', ?, ?, 0)
                """,
                PreparedStatement.RETURN_GENERATED_KEYS);
        PreparedStatement word =
            connection.prepareStatement("insert into message_word values (?, ?, ?)")) {
      connection.setAutoCommit(false);
      Instant now = Instant.now();
      for (int i = 0; i < MANY; i++) {
        Timestamp began = Timestamp.from(now.minusSeconds(600L * i));
        message.setString(1, "bench-" + i);
        message.setString(2, "p" + person);
        message.setTimestamp(3, began);
        message.setLong(4, person);
        message.setTimestamp(5, began);
        message.executeUpdate();
        try (var keys = message.getGeneratedKeys()) {
          keys.next();
          for (String each : List.of("liverpool", "caller" + i % 100, "0177")) {
            word.setString(1, "p" + person);
            word.setString(2, each);
            word.setLong(3, keys.getLong(1));
            word.addBatch();
          }
        }
      }
      word.executeBatch();
      connection.commit();
    }
  }

  private static void list(Client ines) {
    String middle = ines.get("/api/voicemail").body().get("next").asString();
    for (Map.Entry<String, String> question :
        Map.of(
                "first page", "",
                "second page", "before=" + middle,
                "new ones", "onlyNew=true",
                "a word one in a hundred has", "text=caller42",
                "a word all have", "text=liver")
            .entrySet()) {
      double[] times =
          IntStream.range(0, TIMES)
              .mapToDouble(
                  i -> {
                    long started = System.nanoTime();
                    ines.get("/api/voicemail?" + question.getValue());
                    return (System.nanoTime() - started) / 1e6;
                  })
              .sorted()
              .toArray();
      Main.row(
          "list of 10,000 messages, " + question.getKey() + ", p95 (aim 50)",
          "%.0f ms",
          times[TIMES * 95 / 100]);
    }
  }

  /** From hanging up to the message in the list, asked for when the page is told. */
  private static void onTheScreen(TestServer server, Client ines, Client tomasz) {
    SoundEngine engine = server.bean(SoundEngine.class);
    tomasz.upload("/api/greetings/p" + id(tomasz) + "/NO_ANSWER/sound", Wav.write(new short[320]));
    EndId.Device end = new EndId.Device(new PersonId(id(ines)), new DeviceId("test"));
    double[] times = new double[LEFT];
    try (CodecEnd voice = new CodecEnd(/* opus= */ false)) {
      engine.attach(end, voice);
      for (int i = 0; i < LEFT; i++) {
        String call = ines.call("221");
        tomasz.service(call, "decline");
        ines.awaitCall("FAILED");
        ines.service(call, "to-mailbox");
        tomasz.await(
            push ->
                push.path("leaving").size() == 1
                    && push.get("leaving").get(0).get("speaks").asBoolean());
        int before = fresh(tomasz);
        long started = System.nanoTime();
        ines.service(call, "clear");
        while (fresh(tomasz) == before) {
          tomasz.await(push -> push.has("voicemail"));
        }
        times[i] = (System.nanoTime() - started) / 1e6;
        LockSupport.parkNanos(50_000_000);
      }
      engine.detach(end, voice);
    }
    Arrays.sort(times);
    Main.row(
        "hanging up to the message on the screen, p95 (aim 200)",
        "%.0f ms",
        times[LEFT * 95 / 100]);
  }

  private static int fresh(Client owner) {
    return owner.get("/api/voicemail?onlyNew=true").body().get("fresh").asInt();
  }

  private static void transcripts(TestServer server) {
    Transcriber transcriber = server.bean(Transcriber.class);
    if (!transcriber.able()) {
      System.out.println("Messages are not written down on this machine");
      return;
    }
    List<String> texts = new ArrayList<>();
    for (CSVRecord line : DemoOffice.read("spoken.csv")) {
      if (!line.get("text").contains("{")) {
        texts.add(line.get("text"));
      }
    }
    for (CSVRecord line : DemoOffice.read("messages.csv")) {
      if (line.get("text") != null) {
        texts.add(line.get("text"));
      }
    }
    List<String> names =
        server
            .bean(Contacts.class)
            .ask(book -> SpokenNames.of(server.bean(OfficeData.class).now(), book, null, 400));
    int words = 0;
    int wrong = 0;
    double slowest = 0;
    for (int i = 0; i < SENTENCES; i++) {
      String text = texts.get(i % texts.size());
      Speaker.Voice voice = Speaker.Voice.values()[i % Speaker.Voice.values().length];
      short[] samples = server.bean(Speaker.class).say(voice, text).join();
      long started = System.nanoTime();
      try {
        List<String> heard =
            transcriber.listen(samples, names).stream().map(Transcriber.Word::text).toList();
        List<String> said = Words.of(text);
        words += said.size();
        wrong += distance(said, heard.stream().flatMap(w -> Words.of(w).stream()).toList());
      } catch (SpeechException e) {
        throw new IllegalStateException(e);
      }
      double took = (System.nanoTime() - started) / 1e9;
      slowest = Math.max(slowest, took / (samples.length / (double) Pcm.RATE));
    }
    System.out.printf(
        Locale.ROOT,
        "%-58s %d %% of %d words%n",
        "written down wrongly",
        100 * wrong / words,
        words);
    Main.row("writing down, slowest against its length (aim 2)", "%.2f times", slowest);
  }

  /** Words that were added, left out or taken for others (Levenshtein). */
  private static int distance(List<String> said, List<String> heard) {
    int[] row = IntStream.rangeClosed(0, heard.size()).toArray();
    for (int i = 1; i <= said.size(); i++) {
      int diagonal = row[0];
      row[0] = i;
      for (int j = 1; j <= heard.size(); j++) {
        int same = diagonal + (said.get(i - 1).equals(heard.get(j - 1)) ? 0 : 1);
        diagonal = row[j];
        row[j] = Math.min(same, 1 + Math.min(row[j], row[j - 1]));
      }
    }
    return row[heard.size()];
  }
}
