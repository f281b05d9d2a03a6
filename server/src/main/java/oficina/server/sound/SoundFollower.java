package oficina.server.sound;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.PhoneStage;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.PhoneEvent;
import oficina.core.events.TalkEvent;
import oficina.core.heard.Listening;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.ExchangeState;
import oficina.core.state.OutsidePhone;
import oficina.core.tones.Dtmf;
import oficina.core.tones.Tones;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Told;
import oficina.server.exchange.Turn;
import oficina.server.trunk.TrunkCall;
import oficina.server.trunk.TrunkLines;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;

/**
 * Tells the sound engine what is to be heard in each call, as {@link Listening} says, when an event
 * is told: nobody hears what nobody is shown yet. On the exchange's thread.
 */
@Component
class SoundFollower implements ExchangeListener {
  private static final short[] ENTRY = Tones.ENTRY.round();

  private final SoundEngine engine;
  private final Announcements announcements;
  private final Music music;
  private final ExchangeLoop loop;
  private final @Nullable TrunkLines trunk;

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
    this.trunk = trunk.getIfAvailable();
    loop.listen(this);
  }

  @Override
  public Turn turn() {
    return Turn.SOUND;
  }

  private static boolean isOutside(Connection connection) {
    return DeviceId.OUTSIDE.equals(connection.device());
  }

  @Override
  public void happened(Told told) {
    told.calls().forEach(call -> become(call.id(), call.after()));
    told.event().accept(new Played());
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
      become(call.id(), call);
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

  private void become(CallId id, @Nullable Call call) {
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
              end(id, connection),
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

  private @Nullable EndId end(CallId call, Connection connection) {
    if (connection.party().machine() != null) {
      return new EndId.Machine(call, connection.leg());
    }
    PersonId person = connection.party().employee();
    boolean device = connection.device() != null && person != null;
    if (device && !isOutside(connection)) {
      return new EndId.Device(person, connection.device());
    }
    TrunkCall line = line(call, connection);
    return line == null ? null : new EndId.Line(line);
  }

  private @Nullable TrunkCall line(CallId call, Connection connection) {
    if (trunk == null) {
      return null;
    }
    return isOutside(connection)
        ? trunk.phoneOf(connection.party().employee())
        : trunk.at(call, connection.leg());
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
