package oficina.server.sound;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;
import oficina.core.call.CallId;
import oficina.core.people.PersonId;
import oficina.core.sound.Pcm;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Carries the sound of all calls. Its clock beats every 20 ms and waits for nobody: neither for the
 * exchange, which tells it what is to be heard, nor for the ends, which come and go as they like.
 * Stopping it ends no call; what is to be heard is kept, and when it runs again sound is back.
 */
@Component
public final class SoundEngine implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(SoundEngine.class);
  private static final long FRAME_NANOS = Pcm.FRAME_MS * 1_000_000L;

  /** Whoever is this late does not catch up frame by frame: it would only sound late. */
  private static final long TOO_LATE_NANOS = 5 * FRAME_NANOS;

  /** Who speaks is told at most five times a second. */
  private static final int TICKS_BETWEEN_TELLING = 200 / Pcm.FRAME_MS;

  private final SpeakingFeed feed;
  private final Ports ports = new Ports();
  private final Map<CallId, CallSound> calls = new ConcurrentHashMap<>();
  private final AtomicLong frames = new AtomicLong();
  private final AtomicLong lateFrames = new AtomicLong();
  private volatile long tick;
  private volatile @Nullable Thread clock;

  SoundEngine(SpeakingFeed feed) {
    this.feed = feed;
  }

  /** Somebody can be heard and hears there from now on. */
  public void attach(EndId id, SoundEnd end) {
    ports.put(id, end);
  }

  /** Nobody does any more, unless another end has taken its place. */
  public void detach(EndId id, SoundEnd end) {
    ports.remove(id, end);
  }

  /** What is to be heard in a call from now on. */
  void become(CallId id, List<Leg> legs) {
    calls.computeIfAbsent(id, CallSound::new).become(legs);
  }

  /** What is recorded of a call from now on. */
  public void tap(CallId id, List<Tap> taps) {
    CallSound call = taps.isEmpty() ? calls.get(id) : calls.computeIfAbsent(id, CallSound::new);
    if (call != null) {
      call.tap(List.copyOf(taps));
    }
  }

  /** The call is over. */
  void ended(CallId id) {
    CallSound call = calls.remove(id);
    if (call != null && !call.speaking().isEmpty()) {
      feed.speaking(id, people(call), List.of());
    }
  }

  /** Lays sound over what everybody in a call hears. */
  public void playToAll(CallId id, short[] samples) {
    play(id, CallSound.ALL, samples);
  }

  /** Lays sound over what one party of a call hears, or all. */
  void play(CallId id, int leg, short[] samples) {
    CallSound call = calls.get(id);
    if (call != null) {
      call.play(leg, new Clip(samples, /* again= */ false), tick);
    }
  }

  /** By which clips are timed. */
  long tick() {
    return tick;
  }

  /** How many times the clock has beaten. */
  public long frames() {
    return frames.get();
  }

  /** How many of them began more than one frame late. */
  public long lateFrames() {
    return lateFrames.get();
  }

  @Override
  public void start() {
    Thread thread = new Thread(this::beat, "sound-clock");
    thread.setDaemon(true);
    thread.setPriority(Thread.MAX_PRIORITY);
    clock = thread;
    thread.start();
  }

  private void beat() {
    Crew crew = new Crew();
    long due = System.nanoTime();
    try {
      while (clock == Thread.currentThread()) {
        due += FRAME_NANOS;
        due = waitUntil(due);
        tick++;
        try {
          frame(crew);
        } catch (RuntimeException e) {
          LOG.error("A frame of sound was lost; calls go on", e);
        }
      }
    } finally {
      crew.dismiss();
    }
  }

  /** Returns when the frame is due that began now. */
  private long waitUntil(long due) {
    long left = due - System.nanoTime();
    frames.incrementAndGet();
    if (left < -FRAME_NANOS) {
      lateFrames.incrementAndGet();
    }
    if (left < -TOO_LATE_NANOS) {
      return System.nanoTime();
    }
    while (left > 0) {
      LockSupport.parkNanos(left);
      left = due - System.nanoTime();
    }
    return due;
  }

  /** One beat: everybody is heard, and hears. */
  void frame(Crew crew) {
    long now = tick;
    Port[] all = ports.all();
    crew.forAll(all, Port::takeIn);
    for (CallSound call : calls.values()) {
      try {
        call.mix(ports, now);
      } catch (RuntimeException e) {
        LOG.error("The sound of call {} could not be mixed", call.id, e);
      }
    }
    crew.forAll(all, port -> port.giveOut(now));
    if (now % TICKS_BETWEEN_TELLING == 0) {
      calls.values().forEach(this::tellWhoSpeaks);
    }
  }

  private void tellWhoSpeaks(CallSound call) {
    List<Integer> speaking = new ArrayList<>();
    for (Leg leg : call.legs()) {
      Port port = ports.of(leg);
      if (port != null && port.voice() && heardByAnybody(leg, call)) {
        speaking.add(leg.number());
      }
    }
    if (!speaking.equals(call.speaking())) {
      call.speaking(List.copyOf(speaking));
      feed.speaking(call.id, people(call), call.speaking());
    }
  }

  private static boolean heardByAnybody(Leg leg, CallSound call) {
    return call.legs().stream().anyMatch(each -> each.voices().contains(leg.number()));
  }

  private static Set<PersonId> people(CallSound call) {
    Set<PersonId> people = new LinkedHashSet<>();
    for (Leg leg : call.legs()) {
      if (leg.person() != null) {
        people.add(leg.person());
      }
    }
    return people;
  }

  @Override
  public void stop() {
    Thread thread = clock;
    clock = null;
    if (thread != null) {
      try {
        thread.join(1_000);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
  }

  @Override
  public boolean isRunning() {
    return clock != null;
  }
}
