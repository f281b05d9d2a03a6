package oficina.server.sound;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.PhoneStage;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.PhoneEvent;
import oficina.core.events.TalkEvent;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.ExchangeState;
import oficina.core.state.Listening;
import oficina.core.state.OutsidePhone;
import oficina.core.tones.Dtmf;
import oficina.core.tones.Tones;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.trunk.TrunkCall;
import oficina.server.trunk.TrunkLines;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;

/**
 * Tells the sound engine what is to be heard in each call, as {@link Listening} says. It is worked
 * out when the exchange has applied an event, and counts when the event is told: nobody hears what
 * nobody is shown yet. On the exchange's thread.
 */
@Component
class SoundFollower implements ExchangeListener {
  /** How calls sound after an event. Null stands for a call that is over. */
  private record After(
      ExchangeEvent event, Map<CallId, @Nullable Call> calls, Map<Place, EndId> lines) {}

  private static final short[] ENTRY = Tones.ENTRY.round();

  private record Place(CallId call, int leg) {}

  private final SoundEngine engine;
  private final Announcements announcements;
  private final Music music;
  private final ExchangeLoop loop;
  private final @Nullable TrunkLines trunk;
  private final Queue<After> pending = new ArrayDeque<>();

  /** How many are in each conference, to notice who comes. */
  private final Map<CallId, Integer> parties = new HashMap<>();

  SoundFollower(
      SoundEngine engine,
      Announcements announcements,
      Music music,
      ExchangeLoop loop,
      ObjectProvider<TrunkLines> trunk) {
    this.engine = engine;
    this.announcements = announcements;
    this.music = music;
    this.loop = loop;
    this.trunk = trunk.getIfAvailable(); // it listens before this does
    loop.listen(this);
  }

  @Override
  public void applied(ExchangeEvent event) {
    Set<CallId> touched = touched(event);
    if (touched.isEmpty()) {
      return;
    }
    Map<CallId, @Nullable Call> calls = new HashMap<>();
    Map<Place, EndId> lines = new HashMap<>();
    for (CallId id : touched) {
      Call call = loop.state().call(id);
      calls.put(id, call);
      lines(call, lines);
    }
    pending.add(new After(event, calls, lines));
  }

  private static Set<CallId> touched(ExchangeEvent event) {
    Set<CallId> touched = new LinkedHashSet<>();
    if (event.inCall() != null) {
      touched.add(event.inCall());
    }
    if (event instanceof TalkEvent.Merged merged) {
      touched.add(merged.other());
    }
    return touched;
  }

  private void lines(@Nullable Call call, Map<Place, EndId> lines) {
    if (call == null || trunk == null) {
      return;
    }
    for (Connection connection : call.connections()) {
      TrunkCall line =
          isOutside(connection) ? phoneOf(connection) : trunk.at(call.id(), connection.leg());
      if (line != null) {
        lines.put(new Place(call.id(), connection.leg()), new EndId.Line(line));
      }
    }
  }

  private static boolean isOutside(Connection connection) {
    return DeviceId.OUTSIDE.equals(connection.device());
  }

  private @Nullable TrunkCall phoneOf(Connection connection) {
    OutsidePhone phone = loop.state().outsidePhone(connection.party().employee());
    return phone == null || !phone.isThere() ? null : trunk.phoneOn(phone.line());
  }

  @Override
  public void happened(ExchangeEvent event, @Nullable Call after) {
    for (After next = pending.peek();
        next != null && event.inCall() != null;
        next = pending.peek()) {
      pending.remove();
      Map<Place, EndId> lines = next.lines();
      next.calls().forEach((id, call) -> become(id, call, lines));
      if (next.event() == event) {
        break;
      }
    }
    event.accept(new Played());
  }

  /** What is heard once, and what is heard at a telephone that is in no call yet. */
  private final class Played implements FewEvents<@Nullable Void> {
    @Override
    public @Nullable Void otherwise(ExchangeEvent event) {
      return null;
    }

    @Override
    public @Nullable Void of(TalkEvent.DigitsSent e) {
      engine.play(e.call(), e.leg(), Dtmf.sound(e.digits()));
      return null;
    }

    @Override
    public @Nullable Void of(PhoneEvent.PhoneProgressed e) {
      if (e.stage() == PhoneStage.ASKED) {
        asked(e.line());
      } else {
        engine.ended(e.line());
      }
      return null;
    }

    @Override
    public @Nullable Void of(PhoneEvent.PhoneReleased e) {
      engine.ended(e.line());
      return null;
    }
  }

  @Override
  public void takenUp(ExchangeState state) {
    for (Call call : state.calls()) {
      Map<Place, EndId> lines = new HashMap<>();
      lines(call, lines);
      become(call.id(), call, lines);
    }
    for (OutsidePhone phone : state.outsidePhones()) {
      if (phone.stage() == PhoneStage.ASKED) {
        asked(phone.line());
      }
    }
  }

  /** Whoever answered there hears which key takes the call, as if that were a call of its own. */
  private void asked(CallId line) {
    TrunkCall phone = trunk == null ? null : trunk.phoneOn(line);
    if (phone != null) {
      Listening.Sound sound = Listening.Sound.ASKED;
      Clip clip = announcements.asked();
      EndId end = new EndId.Line(phone);
      engine.become(
          line, List.of(new Leg(1, null, end, true, sound, List.of(), clip, engine.tick())));
    }
  }

  private void become(CallId id, @Nullable Call call, Map<Place, EndId> lines) {
    if (call == null) {
      parties.remove(id);
      engine.ended(id);
      return;
    }
    List<Leg> legs = new ArrayList<>();
    for (Connection connection : call.connections()) {
      Listening hears = Listening.of(call, connection);
      legs.add(
          new Leg(
              connection.leg(),
              connection.party().employee(),
              end(id, connection, lines.get(new Place(id, connection.leg()))),
              isThere(connection),
              hears.sound(),
              hears.voices(),
              clip(hears.sound(), call),
              hears.sound() == Listening.Sound.MUSIC ? 0 : engine.tick()));
    }
    engine.become(id, legs);
    int now = call.parties();
    Integer before = parties.put(id, now);
    if (before != null && now > Math.max(2, before)) {
      engine.play(id, CallSound.ALL, ENTRY);
    }
  }

  /** Whether somebody is at this end who hears what is to be heard there. */
  private static boolean isThere(Connection connection) {
    boolean asked = connection.state() == ConnectionState.ASKED;
    return asked || (connection.state() == ConnectionState.CONNECTED && connection.attended());
  }

  private static @Nullable EndId end(CallId call, Connection connection, @Nullable EndId line) {
    if (connection.party().machine() != null) {
      return new EndId.Machine(call, connection.leg());
    }
    boolean device = connection.device() != null && connection.party().employee() != null;
    if (!device || isOutside(connection)) {
      return line;
    }
    return new EndId.Device(connection.party().employee(), connection.device());
  }

  private @Nullable Clip clip(Listening.Sound sound, Call call) {
    return switch (sound) {
      case MUSIC -> music.clip();
      case RINGING -> announcements.ringing();
      case ASKED -> announcements.asked();
      case REFUSAL ->
          announcements.refusal(call.failure() == null ? Cause.NORMAL : call.failure().cause());
      case SPEECH, SILENCE -> null;
    };
  }
}
