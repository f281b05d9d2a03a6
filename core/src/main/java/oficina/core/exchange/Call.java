package oficina.core.exchange;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.people.PersonId;

/**
 * A call with the connections it has now. Immutable; {@link ExchangeState} replaces it whole.
 *
 * @param origin how it began
 * @param connections live ones, oldest first
 * @param nextLeg number the next connection will get
 * @param rang employees whose devices rang for it and ring no more without their having answered
 * @param standing how it stands as a whole
 */
public record Call(
    CallId id,
    Origin origin,
    List<Connection> connections,
    int nextLeg,
    Set<PersonId> rang,
    Standing standing) {

  /**
   * How a call began.
   *
   * @param caller who began it
   * @param called who was called
   * @param callerId what a called outsider is shown
   * @param began when it was placed
   * @param announces the call this one was placed to announce, or was taken aside from; null when
   *     there is none
   * @param callBack the request that the exchange fulfils with it; null when somebody placed it
   */
  public record Origin(
      Party caller,
      Party called,
      CallerId callerId,
      Instant began,
      CallId announces,
      CallId callBack) {}

  /**
   * Why a call cannot be completed; the caller hears a tone or a sentence until it is over.
   *
   * @param until when the exchange hangs up
   */
  public record Failure(Cause cause, Instant until) {}

  /**
   * A call that was sent on and has not been answered since.
   *
   * @param by the employee who sent it
   * @param to whom they sent it to
   * @param why why the last one did not take it; null at first
   */
  public record Sent(PersonId by, Party to, Stage stage, Cause why) {}

  /** How far a call that was sent on has come. */
  public enum Stage {
    /** It rings where it was sent. */
    TO_TARGET,
    /** Nobody took it there: it rings at the sender again. */
    BACK,
    /** The sender did not take it back either: it rings at the front desk. */
    FRONT_DESK
  }

  /**
   * A call that waits in a park slot. The slot stays its own until somebody has answered.
   *
   * @param by the employee who parked it
   * @param forWhom whom it waits for; null for anybody
   * @param note what the parker wants to be known; empty when nothing
   * @param since when it was parked
   * @param until when it comes back to the parker
   * @param comeBacks how often it has come back and found nobody
   */
  public record Parking(
      String slot,
      PersonId by,
      PersonId forWhom,
      String note,
      Instant since,
      Instant until,
      int comeBacks) {

    Parking again(Instant next) {
      return new Parking(slot, by, forWhom, note, since, next, comeBacks + 1);
    }
  }

  public Party caller() {
    return origin.caller();
  }

  public Party called() {
    return origin.called();
  }

  public CallerId callerId() {
    return origin.callerId();
  }

  public Instant began() {
    return origin.began();
  }

  /** The call this one was placed to announce, or was taken aside from; null when there is none. */
  public CallId announces() {
    return origin.announces();
  }

  /** When somebody first answered it; null before. */
  public Instant answered() {
    return standing.answered();
  }

  public Failure failure() {
    return standing.failure();
  }

  public Sent sent() {
    return standing.sent();
  }

  public Parking parked() {
    return standing.parked();
  }

  /** Who may order the conference; null in a call of two. */
  public PersonId starter() {
    return standing.starter();
  }

  String afterAnswer() {
    return standing.afterAnswer();
  }

  /** The connection with this number, or null. */
  public Connection leg(int number) {
    return first(connection -> connection.leg() == number);
  }

  /** This employee's connection, or null. */
  public Connection of(PersonId person) {
    return first(connection -> person.equals(connection.party().employee()));
  }

  private Connection first(Predicate<Connection> wanted) {
    for (Connection connection : connections) {
      if (wanted.test(connection)) {
        return connection;
      }
    }
    return null;
  }

  /** The connections in this state, oldest first. */
  public List<Connection> in(ConnectionState state) {
    return connections.stream().filter(connection -> connection.state() == state).toList();
  }

  /** How many parties have placed or answered it and are still there. */
  public int parties() {
    int answeredBy = 0;
    for (Connection connection : connections) {
      if (connection.answered()) {
        answeredBy++;
      }
    }
    return answeredBy;
  }

  /** Whether two or more parties have placed or answered it and are still there. */
  public boolean conversation() {
    return parties() > 1;
  }

  /** Whether more than two parties are in it. */
  public boolean conference() {
    return parties() > 2;
  }

  /** Whether this person has taken its other party aside out of a conference. */
  public boolean asideBy(PersonId person) {
    return connections.stream().anyMatch(connection -> person.equals(connection.sentBy()));
  }

  /** Whether it waits in a park slot and does not ring anywhere. */
  public boolean waitsInSlot() {
    return parked() != null && sent() == null;
  }

  /** The employee who came to it last, but for its caller; null when there is none. */
  Connection lastToAnswer() {
    return connections.stream()
        .filter(c -> c.answered() && c.party().employee() != null && !c.party().equals(caller()))
        .max(Comparator.comparing(Connection::since).thenComparing(Connection::leg))
        .orElse(null);
  }

  /**
   * When something in it is due: a ringing that gives up, a tone that ends, a parked call that
   * comes back; null when nothing.
   */
  Instant due() {
    Instant earliest = failure() == null ? null : failure().until();
    if (waitsInSlot()) {
      earliest = parked().until();
    }
    for (Connection connection : connections) {
      Instant due = connection.due();
      if (due != null && (earliest == null || due.isBefore(earliest))) {
        earliest = due;
      }
    }
    return earliest;
  }

  int outsideLines() {
    int lines = 0;
    for (Connection connection : connections) {
      if (connection.party().usesOutsideLine()) {
        lines++;
      }
    }
    return lines;
  }

  /**
   * Everybody in the office who has to do with it now, whoever sent it on or parked it included.
   */
  public Set<PersonId> employees() {
    Set<PersonId> all = new LinkedHashSet<>();
    for (Connection connection : connections) {
      PersonId person = connection.party().employee();
      if (person != null) {
        all.add(person);
      }
    }
    if (sent() != null) {
      all.add(sent().by());
    }
    if (parked() != null) {
      all.add(parked().by());
    }
    return all;
  }

  Call plus(Connection connection) {
    List<Connection> more = new ArrayList<>(connections);
    more.add(connection);
    return with(more, Math.max(nextLeg, connection.leg() + 1), rang);
  }

  Call replacing(Connection connection) {
    List<Connection> changed = new ArrayList<>(connections);
    changed.replaceAll(old -> old.leg() == connection.leg() ? connection : old);
    return with(changed, nextLeg, rang);
  }

  /** With one party fewer. A conference that falls to two is an ordinary call again. */
  Call without(Connection gone) {
    List<Connection> fewer = new ArrayList<>(connections);
    fewer.removeIf(old -> old.leg() == gone.leg());
    PersonId person = gone.party().employee();
    Call left = with(fewer, nextLeg, gone.rings() && person != null ? plus(rang, person) : rang);
    if (starter() == null || (left.conference() && left.of(starter()) != null)) {
      return left;
    }
    return left.with(standing.startedBy(left.conference() ? left.firstEmployee() : null));
  }

  /** Who orders a conference after its starter has left; null when only outsiders are in it. */
  private PersonId firstEmployee() {
    Connection first = first(c -> c.answered() && c.party().employee() != null);
    return first == null ? null : first.party().employee();
  }

  Call failing(Failure why, Collection<PersonId> missedBy) {
    Set<PersonId> all = rang;
    for (PersonId person : missedBy) {
      all = plus(all, person);
    }
    return new Call(id, origin, connections, nextLeg, all, standing.failing(why));
  }

  Call with(Standing now) {
    return new Call(id, origin, connections, nextLeg, rang, now);
  }

  private static Set<PersonId> plus(Set<PersonId> people, PersonId person) {
    Set<PersonId> more = new LinkedHashSet<>(people);
    more.add(person);
    return more;
  }

  private Call with(List<Connection> now, int next, Set<PersonId> rung) {
    return new Call(id, origin, now, next, rung, standing);
  }
}
