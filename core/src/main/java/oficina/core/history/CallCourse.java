package oficina.core.history;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import oficina.core.call.Party;
import oficina.core.history.Segment.Kind;
import oficina.core.seen.Standpoint;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.jspecify.annotations.Nullable;

/** The whole course of one call, as it grows. */
public final class CallCourse {
  private final List<Segment> closed = new ArrayList<>();
  private @Nullable Segment open;

  /**
   * Takes in what a call is like after an event.
   *
   * @param call null once it is over
   */
  void follow(@Nullable Call call, Instant at) {
    Segment now = call == null ? null : phase(call, at);
    if (open != null && now != null && open.kind() == now.kind() && open.who().equals(now.who())) {
      return;
    }
    if (open != null && at.isAfter(open.from())) {
      closed.add(open.until(at));
    }
    open = now;
  }

  /** The same goes on, but somebody at another device of theirs: a stretch of its own. */
  void goesOnElsewhere(Instant at) {
    if (open != null && at.isAfter(open.from())) {
      closed.add(open.until(at));
      open = new Segment(open.kind(), open.who(), at, null);
    }
  }

  /** The stretches so far, the one that lasts with an open end. */
  public List<Segment> segments() {
    List<Segment> all = new ArrayList<>(closed);
    if (open != null) {
      all.add(open);
    }
    return all;
  }

  /** How many stretches there are. */
  int size() {
    return closed.size() + (open == null ? 0 : 1);
  }

  /** The last stretches, at most so many. */
  List<Segment> last(int most) {
    int wanted = Math.min(most, size());
    int ended = open == null ? wanted : wanted - 1;
    List<Segment> last = new ArrayList<>(closed.subList(closed.size() - ended, closed.size()));
    if (open != null && wanted > 0) {
      last.add(open);
    }
    return last;
  }

  /** How long the call has been in this kind of stretch altogether. */
  Duration total(Kind kind, Instant now) {
    return total(segment -> segment.kind() == kind, now);
  }

  /** How long this party has spoken in it altogether, with one or with several. */
  Duration talked(Party with, Instant now) {
    return total(
        segment ->
            (segment.kind() == Kind.TALKING || segment.kind() == Kind.CONFERENCE)
                && segment.who().contains(with),
        now);
  }

  /** How long it has been on hold altogether while this party was in it. */
  Duration held(Party with, Instant now) {
    return total(segment -> segment.kind() == Kind.HELD && segment.who().contains(with), now);
  }

  private Duration total(Predicate<Segment> wanted, Instant now) {
    return segments().stream()
        .filter(wanted)
        .map(segment -> segment.lasted(now))
        .reduce(Duration.ZERO, Duration::plus);
  }

  private static Segment phase(Call call, Instant at) {
    return switch (Standpoint.whole(call)) {
      case FAILED -> new Segment(Kind.REFUSED, List.of(call.called()), at, null);
      case MESSAGE -> new Segment(Kind.MESSAGE, List.of(call.mailbox().party()), at, null);
      case WELCOMED -> new Segment(Kind.WELCOMED, List.of(call.standIn().party()), at, null);
      case WAITING -> new Segment(Kind.WAITING, List.of(call.standIn().party()), at, null);
      case PARKED ->
          new Segment(Kind.PARKED, List.of(new Party.Slot(call.parked().slot())), at, null);
      case CONFERENCE -> of(Kind.CONFERENCE, call, Connection::answered, at);
      case DIALLING ->
          of(Kind.DIALLING, call, each -> each.state() == ConnectionState.INITIATED, at);
      case RINGING -> of(Kind.RINGING, call, Connection::rings, at);
      case UNATTENDED -> of(Kind.UNATTENDED, call, each -> !each.attended(), at);
      case HELD -> of(Kind.HELD, call, Connection::answered, at);
      case TALKING -> of(Kind.TALKING, call, Connection::answered, at);
    };
  }

  private static Segment of(Kind kind, Call call, Predicate<Connection> who, Instant at) {
    return new Segment(kind, parties(call, who), at, null);
  }

  private static List<Party> parties(Call call, Predicate<Connection> wanted) {
    return call.connections().stream().filter(wanted).map(Connection::party).toList();
  }
}
