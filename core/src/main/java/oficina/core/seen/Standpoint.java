package oficina.core.seen;

import java.time.Instant;
import java.util.Comparator;
import java.util.function.Predicate;
import java.util.stream.Stream;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.jspecify.annotations.Nullable;

/**
 * How a call stands for somebody who has to do with it. How it stands as a whole, for nobody in
 * particular, is {@link #whole}.
 *
 * @param since when the phase began
 * @param other whom they have to do with in it
 */
public record Standpoint(Phase phase, Instant since, Party other) {

  /** How it stands for somebody. */
  public enum Phase {
    /** It is being set up. */
    DIALLING,
    /** It rings at the other end, or somebody there is asked for a key. */
    CALLING,
    /** It rings here. */
    RINGING,
    TALKING,
    /** They put it on hold. */
    HELD,
    /** The other end put it on hold, or parked it. */
    WAITING,
    /** Nobody is at the other end any more. */
    UNATTENDED,
    /** It cannot be completed. */
    FAILED,
    /** They leave a message in a mailbox. */
    MESSAGE,
    /** They wait at a line until somebody is free. */
    QUEUED,
    /** They have sent it on, and nobody has answered yet. */
    SENT
  }

  /** How it stands for nobody in particular. */
  public enum Whole {
    FAILED,
    MESSAGE,
    /** A machine welcomes whoever called. */
    WELCOMED,
    /** It waits at a line until somebody is free. */
    WAITING,
    PARKED,
    /** More than two talk. */
    CONFERENCE,
    DIALLING,
    RINGING,
    UNATTENDED,
    /** One of both is on hold. */
    HELD,
    TALKING
  }

  /**
   * How a call stands for an employee.
   *
   * @param viewer in the call, or whoever sent it on or parked it
   */
  public static Standpoint of(Call call, PersonId viewer) {
    Connection own = call.of(viewer);
    Phase phase = own == null ? Phase.SENT : phase(call, own);
    return new Standpoint(phase, since(call, own, phase), call.otherFor(viewer));
  }

  private static Phase phase(Call call, Connection own) {
    if (own.rings()) {
      return Phase.RINGING;
    }
    Whole whole = whole(call);
    if (whole == Whole.FAILED || whole == Whole.MESSAGE) {
      return whole == Whole.FAILED ? Phase.FAILED : Phase.MESSAGE;
    }
    if (whole == Whole.WAITING) {
      return Phase.QUEUED;
    }
    if (own.state() == ConnectionState.HOLD && call.answered() != null) {
      return Phase.HELD;
    }
    if (call.parked() != null) {
      return Phase.WAITING;
    }
    return call.conversation() ? amongOthers(call, own) : ahead(whole);
  }

  private static Phase ahead(Whole whole) {
    return whole == Whole.RINGING ? Phase.CALLING : Phase.DIALLING;
  }

  private static Phase amongOthers(Call call, Connection own) {
    if (others(call, own, Connection::attended).findAny().isEmpty()) {
      return Phase.UNATTENDED;
    }
    return others(call, own, Standpoint::speaks).findAny().isEmpty()
        ? Phase.WAITING
        : Phase.TALKING;
  }

  private static boolean speaks(Connection each) {
    return each.attended() && each.state() == ConnectionState.CONNECTED;
  }

  private static Stream<Connection> others(
      Call call, Connection own, Predicate<Connection> wanted) {
    return call.connections().stream()
        .filter(each -> each.leg() != own.leg() && each.answered() && wanted.test(each));
  }

  private static Instant since(Call call, @Nullable Connection own, Phase phase) {
    return switch (phase) {
      case RINGING, HELD -> own.since();
      case DIALLING, CALLING, SENT -> sinceItIsOnItsWay(call);
      case FAILED -> call.failure().since();
      case MESSAGE -> call.mailbox().since();
      case QUEUED -> call.place().entered();
      case UNATTENDED -> sinceNobodyIsThere(call, own);
      case WAITING -> sinceItWaits(call, own);
      case TALKING -> later(own.since(), sinceSomebodySpeaks(call, own));
    };
  }

  /** Since it rings where it rings now, or is being set up there. */
  private static Instant sinceItIsOnItsWay(Call call) {
    return call.connections().stream()
        .filter(each -> each.rings() || each.state() == ConnectionState.INITIATED)
        .map(Connection::since)
        .min(Comparator.naturalOrder())
        .orElseGet(() -> latest(call.connections().stream()));
  }

  private static Instant sinceNobodyIsThere(Call call, Connection own) {
    return others(call, own, each -> !each.attended())
        .map(each -> each.lost().since())
        .max(Comparator.naturalOrder())
        .orElseThrow();
  }

  private static Instant sinceItWaits(Call call, Connection own) {
    return call.parked() != null
        ? call.parked().since()
        : later(own.since(), latest(others(call, own, Connection::attended)));
  }

  private static Instant sinceSomebodySpeaks(Call call, Connection own) {
    return others(call, own, Standpoint::speaks)
        .map(Connection::since)
        .min(Comparator.naturalOrder())
        .orElseThrow();
  }

  private static Instant latest(Stream<Connection> connections) {
    return connections.map(Connection::since).max(Comparator.naturalOrder()).orElseThrow();
  }

  private static Instant later(Instant one, Instant other) {
    return one.isAfter(other) ? one : other;
  }

  /** How a call stands as a whole. */
  public static Whole whole(Call call) {
    if (call.failure() != null) {
      return Whole.FAILED;
    }
    if (call.mailbox() != null) {
      return Whole.MESSAGE;
    }
    if (call.waits()) {
      return call.rings() ? Whole.RINGING : Whole.WAITING;
    }
    if (call.standIn() != null) {
      return Whole.WELCOMED;
    }
    if (call.waitsInSlot()) {
      return Whole.PARKED;
    }
    if (call.conference()) {
      return Whole.CONFERENCE;
    }
    if (!call.conversation()) {
      return call.rings() ? Whole.RINGING : Whole.DIALLING;
    }
    if (call.connections().stream().anyMatch(each -> !each.attended())) {
      return Whole.UNATTENDED;
    }
    boolean held =
        call.connections().stream().anyMatch(each -> each.state() == ConnectionState.HOLD);
    return held ? Whole.HELD : Whole.TALKING;
  }
}
