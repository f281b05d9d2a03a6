package oficina.bench;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import oficina.core.sound.Pcm;
import oficina.server.Client;
import oficina.server.ServerProcess;
import tools.jackson.databind.json.JsonMapper;

/**
 * Thirty people speak when the server is killed: half of them in calls that are recorded, half to
 * mailboxes. How much of what they had said by then is missing, and whether the rest of it is there
 * when the server is back.
 */
final class KilledSpeaking {
  private static final JsonMapper JSON = new JsonMapper();
  private static final int CALLS = 30;
  private static final int SECONDS = 10;
  private static final long PATIENCE_NANOS = TimeUnit.MINUTES.toNanos(2);
  private static final double BYTES_PER_SECOND = Pcm.RATE;

  /** The tone that a mailbox sounds before it listens. */
  private static final double BEFORE_THE_MESSAGE = 0.5;

  /** Somebody who speaks to somebody else, or to their mailbox. */
  private record Speaker(Client client, Client other, String call, boolean recorded) {}

  private KilledSpeaking() {}

  static void measure() throws SQLException, IOException {
    try (ServerProcess server = BenchOffice.server(2 * CALLS);
        Voice voice = new Voice()) {
      List<Speaker> speakers = new ArrayList<>();
      for (int i = 0; i < CALLS; i++) {
        speakers.add(speaker(server.address(), voice, i));
      }
      LockSupport.parkNanos(TimeUnit.SECONDS.toNanos(SECONDS));
      server.kill();
      Instant killed = Instant.now();
      Path kept = server.database().beside("recordings");
      row("recordings", lost(kept.resolve("calls"), killed, /* before= */ 0, 2));
      row("messages", lost(kept, killed, BEFORE_THE_MESSAGE, 1));
      server.start();
      Main.row("  of " + CALLS + " there after it was started anew", "%.0f", arrived(speakers));
    }
  }

  private static void row(String what, List<Double> lost) {
    Main.row(
        "killed in " + CALLS + " calls, lost of " + what + ": p50",
        "%.1f s",
        lost.get(lost.size() / 2));
    Main.row("  the most (aim 1 s)", "%.1f s", lost.get(lost.size() - 1));
  }

  private static Speaker speaker(String address, Voice voice, int i) throws IOException {
    Client client = Client.withoutPage(address, "bench" + 2 * i);
    client.connect("test");
    Client other = Client.signedIn(address, "bench" + (2 * i + 1));
    voice.of(client);
    String number = Integer.toString(BenchOffice.FIRST_EXTENSION + 2 * i + 1);
    String call = client.call(number);
    boolean recorded = i % 2 == 0;
    if (recorded) {
      other.service(call, "answer");
      client.awaitCall("TALKING");
      client.post("/api/calls/" + call + "/recorded", Map.of("on", true));
    } else {
      other.service(call, "decline");
      client.awaitCall("FAILED");
      client.service(call, "to-mailbox");
      client.awaitCall("MESSAGE");
      client.post("/api/calls/" + call + "/digits", Map.of("digits", "#")); // no greeting
    }
    return new Speaker(client, other, call, recorded);
  }

  /** What each recording in a directory has less of than the time since it began, in seconds. */
  private static List<Double> lost(Path directory, Instant killed, double before, int channels)
      throws IOException {
    List<Double> lost = new ArrayList<>();
    try (DirectoryStream<Path> labels = Files.newDirectoryStream(directory, "*.json")) {
      for (Path label : labels) {
        String began = JSON.readTree(Files.readString(label)).get("began").asString();
        double spoken = Duration.between(Instant.parse(began), killed).toMillis() / 1e3 - before;
        Path sound = Path.of(label.toString().replace(".json", ".alaw"));
        long bytes = Files.exists(sound) ? Files.size(sound) : 0;
        lost.add(spoken - bytes / BYTES_PER_SECOND / channels);
      }
    }
    lost.sort(null);
    return lost;
  }

  /** How many of them have what they said in their lists, as soon as all have. */
  private static double arrived(List<Speaker> speakers) {
    for (Speaker each : speakers) {
      each.client().connect();
      each.client().service(each.call(), "clear");
    }
    long until = System.nanoTime() + PATIENCE_NANOS;
    List<Speaker> left = new ArrayList<>(speakers);
    while (!left.isEmpty() && System.nanoTime() < until) {
      left.removeIf(KilledSpeaking::isThere);
      LockSupport.parkNanos(200_000_000);
    }
    return speakers.size() - left.size();
  }

  private static boolean isThere(Speaker speaker) {
    return speaker.recorded()
        ? !speaker.client().get("/api/recordings").body().path("recordings").isEmpty()
        : !speaker.other().get("/api/voicemail").body().path("messages").isEmpty();
  }
}
