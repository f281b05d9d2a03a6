package oficina.core.exchange;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
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
 * @param caller who began it
 * @param called who was called
 * @param callerId what a called outsider is shown
 * @param began when it was placed
 * @param answered when somebody first answered it; null before
 * @param connections live ones, oldest first
 * @param nextLeg number the next connection will get
 * @param rang employees whose devices rang for it and ring no more without their having answered
 * @param failure why it cannot be completed; null otherwise
 * @param afterAnswer digits to send when the outside party answers; empty when there are none
 * @param announces the held call this one was placed to announce; null when it is for none
 * @param sent where the call is on its way to; null when it is not
 */
public record Call(
    CallId id,
    Party caller,
    Party called,
    CallerId callerId,
    Instant began,
    Instant answered,
    List<Connection> connections,
    int nextLeg,
    Set<PersonId> rang,
    Failure failure,
    String afterAnswer,
    CallId announces,
    Sent sent) {

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

  /** Whether two or more parties have placed or answered it and are still there. */
  public boolean conversation() {
    int answeredBy = 0;
    for (Connection connection : connections) {
      if (connection.answered()) {
        answeredBy++;
      }
    }
    return answeredBy > 1;
  }

  /** When something in it is due: a ringing that gives up, a tone that ends; null when nothing. */
  Instant due() {
    Instant earliest = failure == null ? null : failure.until();
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

  /** Everybody in the office who has to do with it now, the one who sent it on included. */
  public Set<PersonId> employees() {
    Set<PersonId> all = new LinkedHashSet<>();
    for (Connection connection : connections) {
      PersonId person = connection.party().employee();
      if (person != null) {
        all.add(person);
      }
    }
    if (sent != null) {
      all.add(sent.by());
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

  Call without(Connection gone) {
    List<Connection> fewer = new ArrayList<>(connections);
    fewer.removeIf(old -> old.leg() == gone.leg());
    PersonId person = gone.party().employee();
    return with(fewer, nextLeg, gone.rings() && person != null ? plus(rang, person) : rang);
  }

  /** Somebody answered: for the first time, or after it was sent on. */
  Call answeredAt(Instant at) {
    return new Call(
        id,
        caller,
        called,
        callerId,
        began,
        answered == null ? at : answered,
        connections,
        nextLeg,
        rang,
        failure,
        afterAnswer,
        announces,
        null);
  }

  Call failing(Failure why, Collection<PersonId> missedBy) {
    Set<PersonId> all = rang;
    for (PersonId person : missedBy) {
      all = plus(all, person);
    }
    return new Call(
        id,
        caller,
        called,
        callerId,
        began,
        answered,
        connections,
        nextLeg,
        all,
        why,
        afterAnswer,
        announces,
        null);
  }

  Call sentOn(Sent where) {
    return new Call(
        id,
        caller,
        called,
        callerId,
        began,
        answered,
        connections,
        nextLeg,
        rang,
        failure,
        afterAnswer,
        announces,
        where);
  }

  Call sendingAfterAnswer(String digits) {
    return new Call(
        id,
        caller,
        called,
        callerId,
        began,
        answered,
        connections,
        nextLeg,
        rang,
        failure,
        digits,
        announces,
        sent);
  }

  private static Set<PersonId> plus(Set<PersonId> people, PersonId person) {
    Set<PersonId> more = new LinkedHashSet<>(people);
    more.add(person);
    return more;
  }

  private Call with(List<Connection> now, int next, Set<PersonId> rung) {
    return new Call(
        id,
        caller,
        called,
        callerId,
        began,
        answered,
        now,
        next,
        rung,
        failure,
        afterAnswer,
        announces,
        sent);
  }
}
