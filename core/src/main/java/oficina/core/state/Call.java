package oficina.core.state;

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
import oficina.core.events.ParkedCall;
import oficina.core.events.SentCall;
import oficina.core.people.PersonId;
import oficina.core.queueing.Place;
import oficina.core.routing.Way;
import org.jspecify.annotations.Nullable;

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
   * Why a call cannot be completed; the caller hears a tone or a sentence until it is over.
   *
   * @param since when that became clear
   * @param until when the exchange hangs up
   */
  public record Failure(Cause cause, Instant since, Instant until) {}

  public Party caller() {
    return origin.caller();
  }

  public Party called() {
    return origin.called();
  }

  public CallerId callerId() {
    return origin.callerId();
  }

  /** In whose name a delegate of theirs placed it; null when it was placed in the caller's own. */
  public @Nullable PersonId behalf() {
    return origin.behalf();
  }

  public Instant began() {
    return origin.began();
  }

  /** The held call this one was placed to announce; null when it is for none. */
  public @Nullable CallId announces() {
    return origin.purpose().announces();
  }

  /** The conference out of which its other party was taken aside; null when it was not so. */
  public @Nullable CallId asideOf() {
    return origin.purpose().asideOf();
  }

  /**
   * The call that waits for this one: announced by it, or left for a word aside; null when none.
   */
  public @Nullable CallId heldFor() {
    return announces() != null ? announces() : asideOf();
  }

  /** The wish that the exchange fulfils with it; null when somebody placed it. */
  public @Nullable CallId callBack() {
    return origin.purpose().callBack();
  }

  /** What an outsider at this end is shown. */
  public CallerId shownTo(Connection outsider) {
    return outsider.shown() == null ? callerId() : outsider.shown();
  }

  /** When somebody first answered it; null before. */
  public @Nullable Instant answered() {
    return standing.answered();
  }

  public @Nullable Failure failure() {
    return standing.failure();
  }

  /** Whether whoever was called could not be reached. */
  public boolean calledInVain() {
    return failure() != null && failure().cause() != Cause.PHONE_NOT_ANSWERED;
  }

  public @Nullable SentCall sent() {
    return standing.onItsWay().sent();
  }

  /** Where it goes, one after the other, when nobody takes it where it is. */
  public List<Way> ways() {
    return standing.onItsWay().ways();
  }

  public @Nullable ParkedCall parked() {
    return standing.parked();
  }

  /** Who may order the conference; null in a call of two. */
  public @Nullable PersonId starter() {
    return standing.starter();
  }

  /** Digits to send when the outside party answers; empty when there are none. */
  public String afterAnswer() {
    return standing.afterAnswer();
  }

  /** The connection with this number, or null. */
  public @Nullable Connection leg(int number) {
    return first(connection -> connection.leg() == number);
  }

  /** Where it waits, or has waited last, for somebody to be free; null when it never did. */
  public @Nullable Place place() {
    return standing.place();
  }

  /** Whether it rings anywhere. */
  public boolean rings() {
    return connections.stream().anyMatch(Connection::rings);
  }

  /** Whether a line keeps its caller until somebody is free. */
  public boolean waits() {
    return place() != null && place().waits();
  }

  /**
   * Whether somebody has hung up who is to be called back in their turn, and was not reached yet.
   */
  public boolean keepsPlace() {
    return place() != null && place().kept() != null;
  }

  /** The mailbox that takes a message in it, or null. */
  public @Nullable Connection mailbox() {
    return first(connection -> connection.party().mailboxOf() != null);
  }

  /** The machine that speaks with its caller until somebody answers, or null. */
  public @Nullable Connection standIn() {
    return first(connection -> connection.party().standsIn());
  }

  /** This employee's connection, or null. */
  public @Nullable Connection of(PersonId person) {
    return first(connection -> person.equals(connection.party().employee()));
  }

  private @Nullable Connection first(Predicate<Connection> wanted) {
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

  /** Whether it waits in a park slot and does not ring anywhere. */
  public boolean waitsInSlot() {
    return parked() != null && sent() == null;
  }

  /** The employee who came to it last, but for its caller; null when there is none. */
  public @Nullable Connection lastToAnswer() {
    return connections.stream()
        .filter(c -> c.answered() && c.party().employee() != null && !c.party().equals(caller()))
        .max(Comparator.comparing(Connection::since).thenComparing(Connection::leg))
        .orElse(null);
  }

  /**
   * When something in it is due: a ringing that gives up, a tone that ends, a parked call that
   * comes back, a lost connection; null when nothing.
   */
  public @Nullable Instant due() {
    Instant earliest = failure() == null ? null : failure().until();
    if (waitsInSlot()) {
      earliest = parked().until();
    }
    for (Connection connection : connections) {
      Instant due = connection.nextDue();
      if (due != null && (earliest == null || due.isBefore(earliest))) {
        earliest = due;
      }
    }
    return earliest;
  }

  /**
   * How many outside lines it occupies. A call that the network brought in and that was never
   * answered is cleared with the cause, which the network tells the caller (ITU-T Q.850).
   */
  public int outsideLines() {
    if (failure() != null && answered() == null) {
      return 0;
    }
    int lines = 0;
    for (Connection connection : connections) {
      if (connection.party().usesOutsideLine()) {
        lines++;
      }
    }
    return lines;
  }

  /** The first who has answered, but for this connection; null when nobody has. */
  public @Nullable Connection opposite(int leg) {
    return first(connection -> connection.leg() != leg && connection.answered());
  }

  /**
   * Whom this employee has to do with in it: the first at the other end who has answered, or else
   * whoever is wanted there. Whoever sent it on or parked it has to do with the one who waits.
   *
   * @return null when it is no call of theirs
   */
  public @Nullable Party otherFor(PersonId person) {
    Connection own = of(person);
    if (own == null) {
      return employees().contains(person) ? waiting() : null;
    }
    Connection opposite = opposite(own.leg());
    if (opposite != null) {
      return opposite.party();
    }
    if (mailbox() != null) {
      return mailbox().party();
    }
    if (parked() != null && own.answered()) {
      return new Party.Employee(parked().by());
    }
    if (sent() != null && own.answered()) {
      return sent().to(); // where it rings now
    }
    return own.party().equals(caller()) ? called() : caller();
  }

  private Party waiting() {
    Connection first = first(Connection::answered);
    return first == null ? caller() : first.party();
  }

  /**
   * Whether an outside number is rung as one of somebody's devices: nobody called it, sent the call
   * to it or had it forwarded there.
   */
  public boolean standsForDevice(Connection outsider) {
    Party party = outsider.party();
    boolean wanted = party.equals(called()) || (sent() != null && party.equals(sent().to()));
    return party.outsideNumber() != null
        && !wanted
        && !keepsPlace()
        && standing.onItsWay().diversions().stream().noneMatch(each -> party.equals(each.to()));
  }

  /** Everybody else in it, whatever their state. */
  public List<Connection> others(PersonId person) {
    return connections.stream()
        .filter(connection -> !person.equals(connection.party().employee()))
        .toList();
  }

  /** Whether everybody in it has answered it and at least two are there. */
  public boolean settled() {
    return conversation() && parties() == connections.size();
  }

  /** Whether it rings at this connection because a colleague waited for is free. */
  public boolean ringsBackAt(Connection connection) {
    return connection.rings() && connection.party().equals(caller());
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
  private @Nullable PersonId firstEmployee() {
    Connection first = first(c -> c.answered() && c.party().employee() != null);
    return first == null ? null : first.party().employee();
  }

  Call failing(Failure why, Collection<PersonId> missedBy) {
    return wantedBy(missedBy).with(standing.failing(why));
  }

  /** The same after these people were wanted in vain, as if it had rung at them. */
  Call wantedBy(Collection<PersonId> people) {
    Set<PersonId> all = rang;
    for (PersonId person : people) {
      all = plus(all, person);
    }
    return new Call(id, origin, connections, nextLeg, all, standing);
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
