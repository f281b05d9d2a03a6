package oficina.core.exchange;

import java.time.Instant;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;

/**
 * One party's connection to a call (ECMA-269).
 *
 * @param leg number of the connection within its call, never used twice
 * @param device the device that placed or answered it; null while it rings and for outsiders
 * @param since when the present state began
 * @param due when ringing gives up; null when nothing is pending
 * @param line the line on which it rings or was answered; null for the calling side
 * @param silenced whether its ringing has been silenced
 */
public record Connection(
    int leg,
    Party party,
    DeviceId device,
    ConnectionState state,
    Instant since,
    Instant due,
    Party line,
    boolean silenced) {

  Connection to(ConnectionState next, Instant at) {
    return new Connection(leg, party, device, next, at, null, line, false);
  }

  Connection establishedOn(DeviceId by, Instant at) {
    return new Connection(leg, party, by, ConnectionState.CONNECTED, at, null, line, false);
  }

  Connection ringing(Instant at, Instant until) {
    return new Connection(leg, party, device, ConnectionState.ALERTING, at, until, line, false);
  }

  Connection quiet() {
    return new Connection(leg, party, device, state, since, due, line, true);
  }

  /** Whether it rings here. */
  public boolean rings() {
    return state == ConnectionState.ALERTING;
  }

  /** Whether this party has placed or answered the call and not left it. */
  public boolean answered() {
    return state == ConnectionState.CONNECTED || state == ConnectionState.HOLD;
  }
}
