package oficina.core.history;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.call.TapeEnd;
import oficina.core.events.CallBackEvent.CallBackRings;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.MachineEvent.MailboxAnswered;
import oficina.core.events.QueueEvent.Queued;
import oficina.core.events.ReachEvent.Blocked;
import oficina.core.events.ReachEvent.Delivered;
import oficina.core.events.ReachEvent.Failed;
import oficina.core.events.ReachEvent.Originated;
import oficina.core.events.ReachEvent.Routed;
import oficina.core.events.TalkEvent.CallCleared;
import oficina.core.events.TalkEvent.ConnectionCleared;
import oficina.core.events.TalkEvent.Established;
import oficina.core.events.TalkEvent.Merged;
import oficina.core.events.TapeEvent.TapeStarted;
import oficina.core.events.TapeEvent.TapeStopped;
import oficina.core.history.Part.Direction;
import oficina.core.history.Part.Result;
import oficina.core.people.PersonId;
import oficina.core.routing.Diversion;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/** What each employee will remember of their part in one call, read from its {@link Tally}. */
final class EmployeeParts {
  private final CallId id;
  private final Tally tally;
  private final Map<PersonId, Share> shares = new LinkedHashMap<>();

  /** Members of a line at which the caller waits: whoever gives up is one that they have missed. */
  private List<PersonId> wanted = List.of();

  EmployeeParts(CallId id, Tally tally) {
    this.id = id;
    this.tally = tally;
  }

  /**
   * Takes in one event, which the tally has taken in before.
   *
   * @param after the call as it is after the event; null once it is over
   * @return the parts that are complete or have changed with it
   */
  List<Part> follow(ExchangeEvent event, @Nullable Call after) {
    return event.accept(new Following(after));
  }

  /** What each event adds to their parts; most add nothing. */
  private final class Following implements FewEvents<List<Part>> {
    private final @Nullable Call after;

    Following(@Nullable Call after) {
      this.after = after;
    }

    @Override
    public List<Part> otherwise(ExchangeEvent event) {
      return List.of();
    }

    @Override
    public List<Part> of(Originated e) {
      Party behalf = e.behalf() == null ? null : new Party.Employee(e.behalf());
      began(e.caller(), behalf, e.at());
      return List.of();
    }

    @Override
    public List<Part> of(CallBackRings e) {
      began(e.caller(), null, e.at());
      return List.of();
    }

    @Override
    public List<Part> of(Delivered e) {
      rings(e);
      return List.of();
    }

    @Override
    public List<Part> of(Established e) {
      established(e);
      return List.of();
    }

    @Override
    public List<Part> of(Merged e) {
      if (after.leg(e.leg()).answered()) {
        spoken(e.at());
      }
      return List.of();
    }

    @Override
    public List<Part> of(Failed e) {
      return missed(e.missedBy(), e.cause(), e.at());
    }

    @Override
    public List<Part> of(MailboxAnswered e) {
      return missed(e.missedBy(), e.why(), e.at());
    }

    @Override
    public List<Part> of(Routed e) {
      return routed(e);
    }

    @Override
    public List<Part> of(Queued e) {
      wanted = e.wanted();
      return List.of();
    }

    @Override
    public List<Part> of(Blocked e) {
      List<Part> kept = missed(e.from(), Cause.BLOCKED, e.at());
      e.from().forEach(person -> ruled(person, new Part.Ruling(null, null, e.block(), null)));
      return kept.isEmpty() ? kept : again(e.from(), e.at());
    }

    @Override
    public List<Part> of(TapeStarted e) {
      return taped(e.leg(), true);
    }

    @Override
    public List<Part> of(TapeStopped e) {
      return e.why() == TapeEnd.REFUSED ? taped(e.leg(), false) : List.of();
    }

    @Override
    public List<Part> of(ConnectionCleared e) {
      return left(e, after);
    }

    @Override
    public List<Part> of(CallCleared e) {
      return over(e);
    }
  }

  private List<Part> taped(int leg, boolean on) {
    shares.get(tally.at(leg).employee()).recorded = on;
    return List.of();
  }

  private void began(Party by, @Nullable Party behalf, Instant at) {
    PersonId person = by.employee();
    if (person != null) {
      shares.put(person, new Share(Direction.PLACED, behalf, at));
    }
    if (behalf != null) {
      Share principal = new Share(Direction.PLACED, null, at);
      principal.by = person;
      shares.put(behalf.employee(), principal);
    }
  }

  private void rings(Delivered e) {
    PersonId person = e.party().employee();
    if (person != null) {
      Share share =
          shares.computeIfAbsent(person, p -> new Share(Direction.RECEIVED, e.line(), e.at()));
      if (share.answered == null) {
        share.goesOn(); // it had rung here before, was sent on, and is back
      }
      share.elsewhere = false;
      share.by = null; // what began in their name comes to themselves
    }
    PersonId owner = e.line() == null ? null : e.line().employee();
    if (owner != null && !owner.equals(person)) {
      shares.computeIfAbsent(owner, p -> forThemElsewhere(e));
    }
  }

  private static Share forThemElsewhere(Delivered e) {
    Share share = new Share(Direction.RECEIVED, e.line(), e.at());
    share.elsewhere = true;
    return share;
  }

  /** A party comes over from another call: what it did there, it did for this one. */
  void takeOver(Merged e, EmployeeParts other) {
    Party party = tally.at(e.leg());
    Share there = other.shares.get(party.employee());
    if (there == null) {
      return;
    }
    if (there.written) {
      there.ended = e.at(); // the other call's history has them already
    } else {
      other.shares.remove(party.employee());
    }
    Share own = shares.get(party.employee());
    if (own != null) {
      own.goesOn(); // back in a call they had left
    } else {
      Share here = new Share(there.direction, there.line, there.began);
      here.answered = there.answered;
      here.recorded = there.recorded;
      here.other = otherEnd(e, there.direction, other.tally);
      shares.put(party.employee(), here);
    }
  }

  /** Whom somebody who came over had at the other end, as they will remember it. */
  private Party otherEnd(Merged e, Direction direction, Tally before) {
    if (direction == Direction.PLACED) {
      return before.reached();
    }
    if (e.stays()) {
      return before.caller();
    }
    // Handed over: the one they speak with from now on, and not the colleague who announced them.
    return e.by().equals(tally.caller().employee()) ? tally.reached() : tally.caller();
  }

  private void established(Established e) {
    Party party = tally.at(e.leg());
    wanted = List.of();
    spoken(e.at());
    Share share = shares.get(party.employee());
    if (share != null) {
      share.answered = share.answered == null ? e.at() : share.answered;
      share.goesOn(); // whoever sent it on and got it back goes on with their part
    }
    for (Share each : shares.values()) {
      if (each.elsewhere) {
        each.ends(e.at(), Cause.ANSWERED_ELSEWHERE);
      }
    }
  }

  /** Somebody is there to speak with, whom whoever placed the call has reached. */
  private void spoken(Instant at) {
    for (Share placed : shares.values()) {
      if (placed.direction == Direction.PLACED && placed.answered == null) {
        placed.answered = at;
      }
    }
  }

  /** They were wanted and were never rung. */
  private List<Part> missed(List<PersonId> people, Cause why, Instant at) {
    List<Part> missed = new ArrayList<>();
    for (PersonId person : people) {
      Share share = new Share(Direction.RECEIVED, tally.called(), at);
      share.ended = at;
      share.cause = why;
      Share known = shares.putIfAbsent(person, share);
      if (known == null) {
        missed.add(part(person, share, at));
      } else if (known.cause == Cause.NOT_TAKEN) {
        known.cause = why; // nobody else has taken it either
      }
    }
    return missed;
  }

  private void ruled(PersonId person, Part.Ruling ruling) {
    Share share = shares.get(person);
    if (share != null) {
      share.ruling = ruling;
    }
  }

  /** Their parts as they are by now. */
  private List<Part> again(List<PersonId> people, Instant at) {
    return people.stream()
        .filter(person -> shares.containsKey(person) && shares.get(person).cause != null)
        .map(person -> part(person, shares.get(person), at))
        .toList();
  }

  /** Whoever's rules sent it on before it rang there remembers that it was for them. */
  private List<Part> routed(Routed e) {
    List<PersonId> people = new ArrayList<>();
    for (Diversion each : e.diversions()) {
      PersonId person = each.from().employee();
      if (person == null) {
        continue;
      }
      Share share = new Share(Direction.RECEIVED, each.from(), e.at());
      share.ended = e.at();
      share.cause =
          each.from().equals(each.to().mailboxOf()) ? each.why().cause() : Cause.FORWARDED;
      Share known = shares.putIfAbsent(person, share);
      if (known != null && known.elsewhere) {
        known.ends(e.at(), each.why().cause());
      }
      ruled(person, new Part.Ruling(each.why(), each.rule(), null, each.to()));
      people.add(person);
    }
    return again(people, e.at());
  }

  private List<Part> left(ConnectionCleared e, @Nullable Call after) {
    Party party = tally.at(e.leg());
    if (tally.answerer() != null) {
      hungUp(e, party, after);
    }
    Share share = shares.get(party.employee());
    if (share == null || share.ended != null) {
      return List.of();
    }
    share.ends(e.at(), e.cause());
    for (Share each : shares.values()) {
      if (each.by != null && each.by.equals(party.employee()) && each.ended == null) {
        each.ended = e.at(); // what was done in their name is done
      }
    }
    if (share.direction == Direction.PLACED) {
      return List.of(); // the cause is known only with the end of the call
    }
    return List.of(part(party.employee(), share, e.at()));
  }

  /** Whoever leaves a conference ends their own part; whoever leaves one other alone ends both. */
  private void hungUp(ConnectionCleared e, Party leaving, @Nullable Call after) {
    if (e.cause() == Cause.ENDED_FOR_ALL) {
      endedBy(tally.lastToHangUp(), share -> share == shares.get(leaving.employee()));
    } else if (e.cause() == Cause.NORMAL) {
      boolean goesOn = after != null && after.conversation();
      endedBy(leaving, share -> !goesOn || share == shares.get(leaving.employee()));
    }
  }

  private void endedBy(@Nullable Party leaving, Predicate<Share> whose) {
    for (Share share : shares.values()) {
      if (share.ended == null && share.endedBy == null && whose.test(share)) {
        share.endedBy = leaving;
      }
    }
  }

  private List<Part> over(CallCleared e) {
    // Whoever waits on in another call was not missed.
    missed(e.cause() == Cause.TRANSFERRED ? List.of() : wanted, e.cause(), e.at());
    for (Share share : shares.values()) {
      boolean nobodyAnswered = share.direction == Direction.PLACED && share.answered == null;
      if (nobodyAnswered || share.cause == null) {
        boolean atMailbox = nobodyAnswered && tally.message() != null;
        share.cause = atMailbox ? tally.inVain() : e.cause();
      }
    }
    List<Part> all = new ArrayList<>();
    shares.forEach((person, share) -> all.add(part(person, share, e.at())));
    return all;
  }

  private Part part(PersonId person, Share share, Instant now) {
    share.written = true;
    Party me = new Party.Employee(share.by == null ? person : share.by);
    boolean placed = share.direction == Direction.PLACED;
    Instant spoke = share.answered;
    Instant ended = share.ended == null ? now : share.ended;
    Result result = share.result();
    Duration rang =
        placed
            ? tally.course().total(Segment.Kind.RINGING, now)
            : Duration.between(share.began, spoke == null ? ended : spoke);
    return new Part(
        id,
        person,
        share.direction,
        share.other != null ? share.other : placed ? tally.reached() : tally.caller(),
        share.line,
        share.began,
        ended,
        rang,
        tally.course().talked(me, now),
        tally.course().held(me, now),
        result,
        share.by != null ? share.by : result == Result.ANSWERED_ELSEWHERE ? taker() : null,
        result == Result.ANSWERED && share.by == null ? share.endedBy : null,
        tally.isOver(),
        share.cause,
        tally.message(),
        share.recorded,
        share.ruling);
  }

  private @Nullable PersonId taker() {
    return tally.answerer() == null ? null : tally.answerer().employee();
  }
}
