package oficina.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.SocketException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import oficina.core.sound.G711;
import oficina.server.Client;
import oficina.server.softphone.TestPage;

/** A tone that people speak with over the sound of their pages, from when they are connected. */
final class Voice implements AutoCloseable {
  private static final int FRAME = 160;
  private static final int FRAME_MS = 20;
  private static final int HERTZ = 900;
  private static final int STILL_THERE_FRAMES = 250;

  private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor();
  private final List<TestPage> pages = new CopyOnWriteArrayList<>();
  private final byte[] frame = new byte[FRAME];
  private int sent;

  Voice() {
    short[] tone = new short[FRAME];
    for (int i = 0; i < FRAME; i++) {
      tone[i] = (short) (8_000 * Math.sin(2 * Math.PI * HERTZ * i / 8_000));
    }
    G711.A_LAW.encode(tone, FRAME, frame);
    clock.scheduleAtFixedRate(this::speak, FRAME_MS, FRAME_MS, TimeUnit.MILLISECONDS);
  }

  /** Somebody speaks with it, at the device of their calls. */
  void of(Client client) throws IOException {
    TestPage page = new TestPage();
    Map<String, String> offer = Map.of("device", "test", "sdp", page.offer(/* opus= */ false));
    page.answered(client.post("/api/softphone", offer).body().get("sdp").asString());
    page.connect();
    pages.add(page);
  }

  private void speak() {
    sent++;
    for (TestPage page : pages) {
      try {
        page.send(frame, FRAME);
        if (sent % STILL_THERE_FRAMES == 0) {
          page.isStillThere();
        }
      } catch (SocketException e) {
        // The server has been killed.
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  @Override
  public void close() {
    clock.shutdownNow();
    pages.forEach(TestPage::close);
  }
}
