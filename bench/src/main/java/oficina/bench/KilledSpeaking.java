package oficina.bench;

import java.io.IOException;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import oficina.core.sound.G711;
import oficina.server.Client;
import oficina.server.ServerProcess;
import oficina.server.softphone.TestPage;
import tools.jackson.databind.JsonNode;

/**
 * Thirty people speak when the server is killed: half of them in calls that are recorded, half to
 * mailboxes. How much of what they had said by then is missing when it is back.
 */
final class KilledSpeaking {
  private static final int CALLS = 30;
  private static final int SECONDS = 10;
  private static final int FRAME = 160;
  private static final int FRAMES_PER_SECOND = 50;
  private static final long PATIENCE_NANOS = 60_000_000_000L;

  /** The tone that a mailbox sounds before it records, and what it is late at the beginning. */
  private static final double BEFORE_THE_MESSAGE = 0.5;

  private KilledSpeaking() {}

  /** Somebody who speaks to somebody else, or to their mailbox. */
  private record Speaker(
      Client client, Client other, TestPage page, String call, boolean recorded) {}

  static void measure() throws SQLException, IOException {
    try (ServerProcess server = BenchOffice.server(2 * CALLS)) {
      List<Speaker> speakers = new ArrayList<>();
      for (int i = 0; i < CALLS; i++) {
        speakers.add(speaker(server, i, i % 2 == 0));
      }
      speak(speakers);
      server.kill();
      server.start();
      List<Double> recordings = new ArrayList<>();
      List<Double> messages = new ArrayList<>();
      for (Speaker each : speakers) {
        double kept = kept(each);
        if (each.recorded()) {
          recordings.add(SECONDS - kept);
        } else {
          messages.add(SECONDS - BEFORE_THE_MESSAGE - kept);
        }
      }
      row("recordings", recordings);
      row("messages", messages);
    }
  }

  private static void row(String what, List<Double> lost) {
    lost.sort(null);
    Main.row(
        "killed in " + CALLS + " calls: lost of " + what + ", p50",
        "%.1f s",
        lost.get(lost.size() / 2));
    Main.row("  the most (aim 1)", "%.1f s", lost.get(lost.size() - 1));
  }

  private static Speaker speaker(ServerProcess server, int i, boolean recorded) throws IOException {
    Client client = Client.signedIn(server.address(), "bench" + 2 * i);
    Client other = Client.signedIn(server.address(), "bench" + (2 * i + 1));
    TestPage page = new TestPage();
    Map<String, String> offer = Map.of("device", "window", "sdp", page.offer(/* opus= */ false));
    page.answered(client.post("/api/softphone", offer).body().get("sdp").asString());
    page.connect();
    String number = Integer.toString(BenchOffice.FIRST_EXTENSION + 2 * i + 1);
    String call =
        client
            .post("/api/calls", Map.of("device", "window", "to", number))
            .body()
            .get("id")
            .asString();
    if (recorded) {
      other.service(call, "answer");
      client.awaitCall("TALKING");
      client.post("/api/calls/" + call + "/recorded", Map.of("on", true));
    } else {
      other.service(call, "decline");
      client.service(call, "to-mailbox");
      client.awaitCall("MESSAGE");
    }
    return new Speaker(client, other, page, call, recorded);
  }

  /** Everybody at once; those at mailboxes leave the greeting out. */
  private static void speak(List<Speaker> speakers) throws IOException {
    for (Speaker each : speakers) {
      if (!each.recorded()) {
        each.client().post("/api/calls/" + each.call() + "/digits", Map.of("digits", "#"));
      }
    }
    short[] tone = new short[FRAME];
    for (int i = 0; i < FRAME; i++) {
      tone[i] = (short) (8_000 * Math.sin(2 * Math.PI * 900 * i / 8_000));
    }
    byte[] frame = new byte[FRAME];
    G711.A_LAW.encode(tone, FRAME, frame);
    long next = System.nanoTime();
    for (int i = 0; i < SECONDS * FRAMES_PER_SECOND; i++) {
      for (Speaker each : speakers) {
        each.page().send(frame, FRAME);
      }
      next += 1_000_000_000L / FRAMES_PER_SECOND;
      LockSupport.parkNanos(next - System.nanoTime());
    }
  }

  /** How many seconds of it are there, as soon as any are. */
  private static double kept(Speaker speaker) {
    if (speaker.recorded()) {
      speaker.client().connect();
      speaker.client().service(speaker.call(), "clear");
      return length(speaker.client(), "/api/recordings", "recordings");
    }
    return length(speaker.other(), "/api/voicemail", "messages");
  }

  private static double length(Client owner, String path, String list) {
    long until = System.nanoTime() + PATIENCE_NANOS;
    while (System.nanoTime() < until) {
      JsonNode all = owner.get(path).body().get(list);
      if (!all.isEmpty()) {
        return all.get(0).get("length").asLong() / 1e3;
      }
      LockSupport.parkNanos(200_000_000);
    }
    return 0;
  }
}
