package oficina.server.sound;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import oficina.core.call.CallId;
import oficina.core.heard.Listening.Sound;
import oficina.core.sound.Mixer;
import oficina.core.sound.Pcm;
import oficina.core.tones.Tones;
import org.jspecify.annotations.Nullable;

/**
 * The sound of one call. What it is made of is replaced whole when the call changes; what is laid
 * over it (a tone on entry, keys sent) is over by itself.
 */
final class CallSound {
  private static final Clip RECORDED = new Clip(Tones.RECORDED.round(), /* again= */ false);
  private static final int TICKS_BETWEEN_TONES = 15_000 / Pcm.FRAME_MS;

  /** For all parties. */
  static final int ALL = 0;

  /** Sound that is added once to what somebody hears. */
  private record Over(int leg, Clip clip, long since) {}

  final CallId id;
  private volatile List<Leg> legs = List.of();
  private final List<Over> over = new CopyOnWriteArrayList<>();
  private final Mixer mixer = new Mixer();
  private final short[] ours = new short[Pcm.FRAME];
  private final short[] theirs = new short[Pcm.FRAME];
  private volatile List<Tap> taps = List.of();
  private long taped;
  private final short[] mixed = new short[Pcm.FRAME];
  private final short[] added = new short[Pcm.FRAME];
  private volatile List<Integer> speaking = List.of();

  CallSound(CallId id) {
    this.id = id;
  }

  List<Leg> legs() {
    return legs;
  }

  /** Whose voices are in it now, as was told last. */
  List<Integer> speaking() {
    return speaking;
  }

  void speaking(List<Integer> now) {
    speaking = now;
  }

  /** What it is made of from now on; whoever goes on hearing the same clip hears it go on. */
  void become(List<Leg> wanted) {
    List<Leg> before = legs;
    List<Leg> next = new ArrayList<>(wanted.size());
    for (Leg leg : wanted) {
      Leg known = find(before, leg.number());
      boolean goesOn = known != null && leg.clip() != null && leg.clip() == known.clip();
      next.add(goesOn ? leg.since(known.since()) : leg);
    }
    legs = List.copyOf(next);
  }

  private static @Nullable Leg find(List<Leg> all, int number) {
    for (Leg leg : all) {
      if (leg.number() == number) {
        return leg;
      }
    }
    return null;
  }

  /** Lays sound over what one party hears, or all. */
  void play(int leg, Clip clip, long tick) {
    over.add(new Over(leg, clip, tick));
  }

  /** What is recorded of it from now on. */
  void tap(List<Tap> wanted) {
    taps = wanted;
  }

  /** Gives every party its next frame. On the engine's clock alone. */
  void mix(Ports ports, long tick) {
    List<Leg> now = legs;
    record(now, ports, tick);
    over.removeIf(each -> each.clip().over(tick - each.since()));
    int audible = addUp(now, ports);
    for (Leg leg : now) {
      Port port = ports.of(leg);
      if (port != null) {
        port.inCall(tick);
        if (leg.sound() != Sound.SILENCE || (leg.there() && !over.isEmpty())) {
          port.hears(heard(leg, now, ports, audible, tick), tick);
        }
      }
    }
  }

  private void record(List<Leg> now, Ports ports, long tick) {
    List<Tap> wanted = taps;
    for (Tap tap : wanted) {
      some(tap.ours(), now, ports, ours);
      some(tap.theirs(), now, ports, theirs);
      tap.sink().take(ours, theirs);
    }
    if (!wanted.isEmpty() && wanted.get(0).tones() && ++taped % TICKS_BETWEEN_TONES == 0) {
      play(ALL, RECORDED, tick);
    }
  }

  /** What these parties say together. */
  private static void some(List<Integer> numbers, List<Leg> now, Ports ports, short[] into) {
    Mixer some = new Mixer();
    for (int number : numbers) {
      Leg leg = find(now, number);
      Port port = leg == null ? null : ports.of(leg);
      if (port != null && port.speaks()) {
        some.add(port.spoken());
      }
    }
    some.write(into);
  }

  /** Adds up all whom anybody hears, and counts them. */
  private int addUp(List<Leg> now, Ports ports) {
    mixer.clear();
    int audible = 0;
    for (Leg leg : now) {
      if (isHeard(leg.number(), now)) {
        audible++;
        Port port = ports.of(leg);
        if (port != null && port.speaks()) {
          mixer.add(port.spoken());
        }
      }
    }
    return audible;
  }

  private static boolean isHeard(int number, List<Leg> now) {
    for (Leg leg : now) {
      if (leg.voices().contains(number)) {
        return true;
      }
    }
    return false;
  }

  private short[] heard(Leg leg, List<Leg> now, Ports ports, int audible, long tick) {
    if (leg.clip() != null) {
      leg.clip().write(tick - leg.since(), mixed);
    } else {
      voices(leg, now, ports, audible);
    }
    for (Over each : over) {
      if (each.leg() == ALL || each.leg() == leg.number()) {
        each.clip().write(tick - each.since(), added);
        for (int i = 0; i < Pcm.FRAME; i++) {
          mixed[i] =
              (short) Math.max(Short.MIN_VALUE, Math.min(Short.MAX_VALUE, mixed[i] + added[i]));
        }
      }
    }
    return mixed;
  }

  private void voices(Leg leg, List<Leg> now, Ports ports, int audible) {
    Port own = ports.of(leg);
    boolean heardItself = isHeard(leg.number(), now);
    if (leg.voices().size() != audible - (heardItself ? 1 : 0)) {
      // Not simply everybody else: the general case, which no conference needs today.
      some(leg.voices(), now, ports, mixed);
    } else if (heardItself && own != null && own.speaks()) {
      mixer.writeWithout(own.spoken(), mixed);
    } else {
      mixer.write(mixed);
    }
  }
}
