package oficina.core.exchange;

import java.time.Instant;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.people.PersonId;

/**
 * One party's connection to a call (ECMA-269).
 *
 * @param leg number of the connection within its call, never used twice
 * @param device the device that placed or answered it; null while it rings and for outsiders
 * @param since when the present state began
 * @param due when ringing gives up; null when nothing is pending
 * @param line the line on which it rings or was answered; null for the calling side
 * @param silenced whether its ringing has been silenced
 * @param muted whether this party is heard by nobody
 * @param reminded whether the party has been reminded that it holds somebody
 * @param sentBy the employee who sent the call here; null when nobody did
 */
public record Connection(
    int leg,
    Party party,
    DeviceId device,
    ConnectionState state,
    Instant since,
    Instant due,
    Party line,
    boolean silenced,
    boolean muted,
    boolean reminded,
    PersonId sentBy) {

  static Connection begun(
      int leg, Party party, DeviceId device, ConnectionState state, Instant at, Instant due) {
    return new Connection(leg, party, device, state, at, due, null, false, false, false, null);
  }

  Connection on(Party itsLine, PersonId sender) {
    return new Connection(
        leg, party, device, state, since, due, itsLine, silenced, muted, reminded, sender);
  }

  Connection to(ConnectionState next, Instant at, Instant nextDue) {
    return new Connection(leg, party, device, next, at, nextDue, line, false, muted, false, sentBy);
  }

  Connection establishedOn(DeviceId by, Instant at) {
    return new Connection(
        leg, party, by, ConnectionState.CONNECTED, at, null, line, false, false, false, sentBy);
  }

  Connection quiet() {
    return new Connection(
        leg, party, device, state, since, due, line, true, muted, reminded, sentBy);
  }

  Connection muted(boolean on) {
    return new Connection(
        leg, party, device, state, since, due, line, silenced, on, reminded, sentBy);
  }

  Connection afterReminder() {
    return new Connection(
        leg, party, device, state, since, null, line, silenced, muted, true, sentBy);
  }

  Connection movedTo(DeviceId other) {
    return new Connection(
        leg, party, other, state, since, due, line, silenced, muted, reminded, sentBy);
  }

  Connection as(int otherLeg) {
    return new Connection(
        otherLeg, party, device, state, since, due, line, silenced, muted, reminded, sentBy);
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
