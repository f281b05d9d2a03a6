package oficina.server.softphone;

import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.core.events.DeviceEvent;
import oficina.core.people.PersonId;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.server.door.TokenBuckets;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Told;
import oficina.server.exchange.Turn;
import oficina.server.problems.Problem;
import oficina.server.sound.EndId;
import oficina.server.sound.SoundEnd;
import oficina.server.sound.SoundEngine;
import oficina.server.time.MovableClock;
import org.springframework.stereotype.Component;

/**
 * Which page's sound belongs to which end. A window has one connection at a time: a new one takes
 * the place of the one before, and when the window is gone its sound is too.
 */
@Component
public class Softphones implements ExchangeListener {
  /** Each connection costs a handshake. A window connects once; a day has its bad network. */
  private static final int AT_ONCE = 60;

  private static final double PER_SECOND = 2;

  private final SoundPort port;
  private final SoundEngine engine;
  private final ExchangeLoop loop;
  private final MovableClock clock;
  private final TokenBuckets connecting = new TokenBuckets(AT_ONCE, PER_SECOND);
  private final Map<EndId, PageConnection> connections = new ConcurrentHashMap<>();

  Softphones(SoundPort port, SoundEngine engine, ExchangeLoop loop, MovableClock clock) {
    this.clock = clock;
    this.port = port;
    this.engine = engine;
    this.loop = loop;
    loop.listen(this);
  }

  /**
   * Connects a window whose offer this is, and returns the answer.
   *
   * @throws Problem when this person connects more often than anybody's windows do
   */
  String connect(EndId.Device end, Offer offer) {
    limit(end.person());
    SoundPort.Answered answered = port.answer(end.person(), offer, key -> pressed(end, key));
    PageConnection before = connections.put(end, answered.connection());
    engine.attach(end, answered.connection());
    if (before != null) {
      port.close(before);
    }
    return answered.sdp();
  }

  /**
   * A page that speaks for somebody else than its person.
   *
   * @param sdp what its offer is answered
   * @param close ends it
   */
  public record Handset(SoundEnd end, String sdp, Runnable close) {}

  private void limit(PersonId by) {
    Duration wait = connecting.take(by.toString(), clock.instant());
    if (!wait.isZero()) {
      throw Problem.tooMany("TOO_MANY_REQUESTS", (int) wait.toSeconds() + 1);
    }
  }

  /**
   * Connects a page that speaks for somebody at the far end of a line, or a telephone.
   *
   * @param by whose page or telephone it is
   * @param sdp what it offers
   * @throws Problem when this person connects more often than anybody's windows do
   */
  public Handset handset(PersonId by, String sdp) {
    limit(by);
    SoundPort.Answered answered = port.answer(by, Offer.read(sdp), key -> {});
    PageConnection connection = answered.connection();
    return new Handset(connection, answered.sdp(), () -> port.close(connection));
  }

  /** A key that comes among the sound of a device counts like one pressed on its screen. */
  private void pressed(EndId.Device at, char key) {
    loop.post(() -> press(at, String.valueOf(key)));
  }

  private void press(EndId.Device at, String key) {
    for (CallId id : loop.state().inHand(at.person())) {
      Connection mine = loop.state().call(id).of(at.person());
      if (mine.state() == ConnectionState.CONNECTED && at.device().equals(mine.device())) {
        loop.run(new CallCommand.SendDigits(id, at.person(), key));
        return;
      }
    }
  }

  /** Ends the sound of a window. */
  void disconnect(EndId end) {
    PageConnection connection = connections.remove(end);
    if (connection != null) {
      engine.detach(end, connection);
      port.close(connection);
    }
  }

  @Override
  public Turn turn() {
    return Turn.DEVICES;
  }

  @Override
  public void happened(Told told) {
    if (told.event() instanceof DeviceEvent.DeviceWent e) {
      disconnect(new EndId.Device(e.person(), e.device()));
    }
  }
}
