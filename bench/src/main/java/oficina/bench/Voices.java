package oficina.bench;

import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.IntStream;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.ConferenceCommand;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import oficina.core.sound.G711;
import oficina.core.sound.Level;
import oficina.core.sound.Pcm;
import oficina.core.sound.Resampler;
import oficina.server.Client;
import oficina.server.TestServer;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.softphone.CodecEnd;
import oficina.server.softphone.TestPage;
import oficina.server.sound.EndId;
import oficina.server.sound.EngineLoad;
import oficina.server.sound.SoundEngine;
import oficina.server.speech.Speaker;
import org.jspecify.annotations.Nullable;

/**
 * How long sound takes, how well it arrives over a bad line, and how many calls can be spoken at
 * once.
 */
final class Voices {
  private static final int SAMPLES = 160;
  private static final int BURSTS = 60;
  private static final int FRAMES_PER_BURST = 25;
  private static final long PATIENCE_NANOS = Duration.ofMinutes(2).toNanos();
  private static final int MANY_LEGS = 100;
  private static final int CALLS = 50;

  /** Two of each call, and one more who is brought in. */
  private static final int PARTIES = 3;

  private static final int SECONDS = Integer.getInteger("oficina.voices.seconds", 600);

  private final TestServer server;

  private Voices(TestServer server) {
    this.server = server;
  }

  static void measure(TestServer server) throws IOException, InterruptedException {
    Voices voices = new Voices(server);
    voices.mouthToEar();
    voices.overABadLine();
    for (boolean opus : new boolean[] {true, false}) {
      String codec = opus ? "Opus" : "G.711";
      double alone = codecAlone(opus);
      double legs = EngineLoad.legs(MANY_LEGS, opus);
      Main.row("legs carried in real time, " + codec, "%,.0f", legs);
      Main.row("  of what the codec alone could carry (aim 70)", "%.0f %%", 100 * legs / alone);
    }
    voices.manyCalls();
  }

  /** How many legs the codec could carry with nothing around it, on all processors at once. */
  private static double codecAlone(boolean opus) {
    int processors = Runtime.getRuntime().availableProcessors();
    ExecutorService all = Executors.newFixedThreadPool(processors);
    try {
      return IntStream.range(0, processors)
          .mapToObj(i -> CompletableFuture.supplyAsync(() -> codecOnOneProcessor(opus), all))
          .toList()
          .stream()
          .mapToDouble(CompletableFuture::join)
          .sum();
    } finally {
      all.shutdown();
    }
  }

  private static double codecOnOneProcessor(boolean opus) {
    try (CodecEnd end = new CodecEnd(opus)) {
      return Pcm.FRAME_MS * 1e6 / end.codecNanos();
    }
  }

  /** One of two who talk, as their browser is on the network. */
  private static final class Talker implements AutoCloseable {
    final Client client;
    final TestPage page = new TestPage();
    private final short[] narrow = new short[SAMPLES];
    private final byte[] payload = new byte[1_500];

    Talker(String name) throws IOException {
      client = Client.signedIn(name);
      String sdp =
          client
              .post("/api/softphone", Map.of("device", "window", "sdp", page.offer(false)))
              .body()
              .get("sdp")
              .asString();
      page.answered(sdp);
      page.connect();
    }

    void say(short[] frame) throws IOException {
      byte[] bytes = new byte[SAMPLES];
      G711.A_LAW.encode(frame, SAMPLES, bytes);
      page.send(bytes, SAMPLES);
    }

    /** The next frame that is heard; null when none comes. */
    short[] hear() throws IOException {
      int length = page.hear(payload, 500);
      if (length < 0) {
        return null;
      }
      G711.A_LAW.decode(payload, SAMPLES, narrow);
      return narrow.clone();
    }

    @Override
    public void close() {
      page.close();
      client.hangUp();
      client.close();
    }
  }

  private static void call(Talker caller, Talker called) {
    String call =
        caller
            .client
            .post("/api/calls", Map.of("to", "221", "device", "window"))
            .body()
            .get("id")
            .asString();
    Client.Answer answered =
        called.client.post("/api/calls/" + call + "/answer", Map.of("device", "window"));
    if (answered.status() != 204) {
      throw new IllegalStateException(answered.toString());
    }
  }

  /** Bursts of a tone: when does the first loud frame that was sent arrive at the other page? */
  private void mouthToEar() throws IOException, InterruptedException {
    try (Talker ines = new Talker("ines");
        Talker tomasz = new Talker("tomasz")) {
      AtomicReference<Long> sent = new AtomicReference<>(0L);
      short[] quiet = new short[SAMPLES];
      short[] loud = new short[SAMPLES];
      for (int i = 0; i < SAMPLES; i++) {
        loud[i] = (short) (9_000 * Math.sin(2 * Math.PI * 1_000 * i / 8_000));
      }
      Thread speaking =
          new Thread(
              () -> {
                try {
                  long due = System.nanoTime();
                  for (int frame = 0; !Thread.currentThread().isInterrupted(); frame++) {
                    boolean burst = frame % FRAMES_PER_BURST < 5;
                    if (frame % FRAMES_PER_BURST == 0) {
                      ines.page.isStillThere();
                      tomasz.page.isStillThere();
                      sent.set(System.nanoTime());
                    }
                    ines.say(burst ? loud : quiet);
                    due += 20_000_000;
                    if (frame % FRAMES_PER_BURST == 0) {
                      due += 700_000; // so that bursts begin at any moment of a beat
                    }
                    LockSupport.parkNanos(due - System.nanoTime());
                  }
                } catch (IOException e) {
                  // the page is gone
                }
              });
      speaking.start();
      long answering = System.nanoTime();
      call(ines, tomasz);
      double first = 0;
      List<Double> times = new ArrayList<>();
      boolean wasLoud = true;
      while (times.size() < BURSTS) {
        short[] frame = tomasz.hear();
        if (System.nanoTime() - answering > PATIENCE_NANOS) {
          throw new IllegalStateException("only " + times.size() + " bursts arrived");
        }
        if (frame == null) {
          continue;
        }
        if (first == 0) {
          first = (System.nanoTime() - answering) / 1e6;
        }
        boolean isLoud = Level.of(frame) < 40;
        if (isLoud && !wasLoud) {
          times.add((System.nanoTime() - sent.get()) / 1e6);
        }
        wasLoud = isLoud;
      }
      speaking.interrupt();
      speaking.join();
      double[] sorted = times.stream().mapToDouble(each -> each).sorted().toArray();
      Main.row("packet in to packet out, p50", "%.1f ms", sorted[BURSTS / 2]);
      Main.row("packet in to packet out, p95 (aim 40)", "%.1f ms", sorted[BURSTS * 95 / 100]);
      Main.row("call and answer to first sound (aim 300)", "%.0f ms", first);
    }
  }

  /**
   * A sentence over a line that loses each twentieth packet and delays the others by up to 40 ms.
   */
  private void overABadLine() throws IOException, InterruptedException {
    short[] wide =
        server
            .bean(Speaker.class)
            .say(
                Speaker.Voice.ALDER,
                "The boat to the outer islands leaves at half past seven. Lorries have to be at the"
                    + " harbour forty minutes before that, and passengers twenty.")
            .join();
    if (wide.length == 0) {
      System.out.println("(no speech on this machine: the bad line is not measured)");
      return;
    }
    short[] speech = new short[wide.length];
    speech =
        Arrays.copyOf(speech, new Resampler(Pcm.RATE, 8_000).resample(wide, wide.length, speech));
    short[] heard = new short[speech.length + 16_000];
    try (Talker ines = new Talker("ines");
        Talker tomasz = new Talker("tomasz")) {
      call(ines, tomasz);
      short[] said = speech;
      Thread speaking = new Thread(() -> sayOverBadLine(ines, said));
      speaking.start();
      int at = 0;
      while (at + SAMPLES <= heard.length) {
        short[] frame = tomasz.hear();
        if (frame == null) {
          break;
        }
        System.arraycopy(frame, 0, heard, at, SAMPLES);
        at += SAMPLES;
      }
      speaking.join();
    }
    Main.row(
        "a sentence with 5 %% lost and 40 ms jitter, likeness (aim .8)".replace("%%", "%"),
        "%.2f",
        likeness(speech, heard));
  }

  private static void sayOverBadLine(Talker talker, short[] speech) {
    Random random = new Random(5);
    List<CompletableFuture<Void>> underway = new ArrayList<>();
    long due = System.nanoTime();
    try {
      for (int at = 0; at + SAMPLES <= speech.length; at += SAMPLES) {
        byte[] bytes = new byte[SAMPLES];
        G711.A_LAW.encode(Arrays.copyOfRange(speech, at, at + SAMPLES), SAMPLES, bytes);
        byte[] packet = talker.page.packet(bytes, SAMPLES);
        if (random.nextInt(20) != 0) {
          underway.add(
              CompletableFuture.runAsync(
                  () -> sendRaw(talker, packet),
                  CompletableFuture.delayedExecutor(
                      random.nextInt(41), java.util.concurrent.TimeUnit.MILLISECONDS)));
        }
        due += 20_000_000;
        LockSupport.parkNanos(due - System.nanoTime());
      }
    } finally {
      underway.forEach(CompletableFuture::join);
    }
  }

  private static void sendRaw(Talker talker, byte[] packet) {
    try {
      talker.page.sendRaw(packet);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** How alike both are, second by second, each at the delay at which it is most alike. */
  private static double likeness(short[] said, short[] heard) {
    double sum = 0;
    double weight = 0;
    int window = 4_000;
    for (int from = 0; from + window <= said.length; from += window) {
      double best = 0;
      double power = 0;
      for (int i = 0; i < window; i++) {
        power += (double) said[from + i] * said[from + i];
      }
      for (int lag = 0; lag < 8_000 && from + lag + window <= heard.length; lag++) {
        double product = 0;
        double theirs = 1;
        for (int i = 0; i < window; i += 2) {
          product += (double) said[from + i] * heard[from + lag + i];
          theirs += (double) heard[from + lag + i] * heard[from + lag + i];
        }
        best = Math.max(best, product / Math.sqrt(power / 2 * theirs + 1));
      }
      sum += best * Math.sqrt(power);
      weight += Math.sqrt(power);
    }
    return sum / weight;
  }

  /** Calls that are held, resumed, joined and ended at random, with all the codecs' work. */
  private void manyCalls() throws InterruptedException {
    ExchangeLoop loop = server.bean(ExchangeLoop.class);
    SoundEngine engine = server.bean(SoundEngine.class);
    DeviceId device = new DeviceId("voices");
    List<CodecEnd> ends = new ArrayList<>();
    for (int i = 0; i < PARTIES * CALLS; i++) {
      CodecEnd end = new CodecEnd(/* opus= */ true);
      ends.add(end);
      engine.attach(new EndId.Device(person(i), device), end);
    }
    Random random = new Random(2);
    CallId[] calls = new CallId[CALLS];
    System.gc();
    long before = used();
    long frames = engine.frames();
    long late = engine.lateFrames();
    long until = System.nanoTime() + Duration.ofSeconds(SECONDS).toNanos();
    while (System.nanoTime() < until) {
      int i = random.nextInt(CALLS);
      if (calls[i] == null || random.nextInt(30) == 0) {
        clear(loop, calls[i], i);
        calls[i] = call(loop, device, PARTIES * i, PARTIES * i + 1);
      } else if (random.nextInt(10) == 0) {
        CallId second = call(loop, device, PARTIES * i, PARTIES * i + 2);
        loop.submit(new ConferenceCommand.Join(calls[i], person(PARTIES * i), second)).join();
        clear(loop, second, i); // refused once they are joined, or if they could not be
      } else if (random.nextBoolean()) {
        loop.submit(new CallCommand.Hold(calls[i], person(PARTIES * i))).join();
      } else {
        loop.submit(new CallCommand.Retrieve(calls[i], person(PARTIES * i))).join();
      }
      Thread.sleep(20);
    }
    System.gc();
    long after = used();
    Main.row("50 calls spoken for " + SECONDS + " s, memory before", "%,.0f MB", before / 1e6);
    Main.row("  memory after", "%,.0f MB", after / 1e6);
    Main.row(
        "  frames within 20 ms of their time (aim 99.9)",
        "%.3f %%",
        100.0 - 100.0 * (engine.lateFrames() - late) / (engine.frames() - frames));
    for (int i = 0; i < CALLS; i++) {
      clear(loop, calls[i], i);
    }
    ends.forEach(CodecEnd::close);
  }

  private static CallId call(ExchangeLoop loop, DeviceId device, int from, int to) {
    CallId call = new CallId("v" + System.nanoTime());
    Dialled number = new Dialled.Internal(Integer.toString(BenchOffice.FIRST_EXTENSION + to));
    loop.submit(new CallCommand.MakeCall(call, person(from), device, number, null)).join();
    loop.submit(new CallCommand.Answer(call, person(to), device)).join();
    return call;
  }

  /** Whoever of the three is in it leaves it. */
  private static void clear(ExchangeLoop loop, @Nullable CallId call, int i) {
    for (int party = 0; call != null && party < PARTIES; party++) {
      loop.submit(new CallCommand.Clear(call, person(PARTIES * i + party))).join();
    }
  }

  private static PersonId person(int number) {
    return new PersonId(100_000L + number);
  }

  private static long used() {
    return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
  }
}
