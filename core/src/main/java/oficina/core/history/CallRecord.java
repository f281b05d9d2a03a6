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
import oficina.core.events.MachineEvent.RecordingEnded;
import oficina.core.events.MachineEvent.Welcomed;
import oficina.core.events.ReachEvent.Blocked;
import oficina.core.events.ReachEvent.Delivered;
import oficina.core.events.ReachEvent.Failed;
import oficina.core.events.ReachEvent.Originated;
import oficina.core.events.ReachEvent.Routed;
import oficina.core.events.TalkEvent.CallCleared;
import oficina.core.events.TalkEvent.ConnectionCleared;
import oficina.core.events.TalkEvent.DigitsSent;
import oficina.core.events.TalkEvent.Established;
import oficina.core.events.TalkEvent.Merged;
import oficina.core.events.TalkEvent.Moved;
import oficina.core.events.TapeEvent.TapeStarted;
import oficina.core.events.TapeEvent.TapeStopped;
import oficina.core.history.Part.Direction;
import oficina.core.history.Part.Result;
import oficina.core.people.PersonId;
import oficina.core.routing.Diversion;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/**
 * Everything worth remembering of one call, gathered from its events: its course, the digits sent,
 * and each employee's part in it.
 */
public final class CallRecord {
  private final CallId id;
  private final CallCourse course = new CallCourse();
  private final Map<PersonId, Tally> tallies = new LinkedHashMap<>();
  private final Map<Integer, Party> parties = new LinkedHashMap<>();
  private final StringBuilder digits = new StringBuilder();
  private Party caller;
  private Party called;
  private @Nullable Party answerer;
  private @Nullable Instant answered;
  private @Nullable Party lastToHangUp;
  private boolean over;

  /** Why whoever was called could not be reached; null when that did not happen. */
  private @Nullable Cause inVain;

  private Part.@Nullable Message message;

  /** What is known of one employee's part while it lasts and afterwards. */
  private static final class Tally {
    final Direction direction;
    final @Nullable Party line;
    final Instant began;

    /** Who was at the other end before this call took the part over; null when it began here. */
    @Nullable Party other;

    @Nullable Instant answered;
    @Nullable Instant ended;
    @Nullable Party endedBy;
    boolean written;
    @Nullable Cause cause;
    boolean recorded;
    Part.@Nullable Ruling ruling;

    /** The delegate who placed the call in their name; null when they placed it themselves. */
    @Nullable PersonId by;

    /** Whether it rings at others for them, and not at themselves. */
    boolean elsewhere;

    Tally(Direction direction, @Nullable Party line, Instant began) {
      this.direction = direction;
      this.line = line;
      this.began = began;
    }

    void goesOn() {
      ended = null;
      endedBy = null;
    }

    void ends(Instant at, Cause why) {
      if (ended == null) {
        ended = at;
        cause = why;
      }
    }
  }

  CallRecord(CallId id) {
    this.id = id;
  }

  /**
   * Takes in one event.
   *
   * @param after the call as it is after the event; null once it is over
   * @return the parts that are complete or have changed with it
   */
  List<Part> follow(ExchangeEvent event, @Nullable Call after) {
    course.follow(after, event.at());
    return event.accept(new Following(after));
  }

  /** What each event adds to the record; most add only to the course. */
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
      began(e.leg(), e.caller(), e.called(), behalf, e.at());
      return List.of();
    }

    @Override
    public List<Part> of(CallBackRings e) {
      began(e.leg(), e.caller(), e.called(), null, e.at());
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
        spoken(parties.get(e.leg()), e.at());
      }
      return List.of();
    }

    @Override
    public List<Part> of(Moved e) {
      course.goesOnElsewhere(e.at());
      return List.of();
    }

    @Override
    public List<Part> of(Failed e) {
      return failed(e);
    }

    @Override
    public List<Part> of(MailboxAnswered e) {
      parties.put(e.leg(), e.mailbox());
      inVain = inVain == null ? e.why() : inVain;
      return missed(e.missedBy(), e.why(), e.at());
    }

    @Override
    public List<Part> of(Welcomed e) {
      parties.put(e.leg(), e.welcome());
      return List.of();
    }

    @Override
    public List<Part> of(Routed e) {
      return routed(e);
    }

    @Override
    public List<Part> of(Blocked e) {
      inVain = Cause.BLOCKED;
      List<Part> kept = missed(e.from(), Cause.BLOCKED, e.at());
      e.from().forEach(person -> ruled(person, new Part.Ruling(null, null, e.block(), null)));
      return kept.isEmpty() ? kept : again(e.from(), e.at());
    }

    @Override
    public List<Part> of(RecordingEnded e) {
      message = e.kept() ? Part.Message.LEFT : Part.Message.NOT_LEFT;
      return List.of();
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
    public List<Part> of(DigitsSent e) {
      digits.append(e.digits());
      return List.of();
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
    tallies.get(parties.getOrDefault(leg, called).employee()).recorded = on;
    return List.of();
  }

  private void began(int leg, Party by, Party to, @Nullable Party behalf, Instant at) {
    caller = by;
    called = to;
    parties.put(leg, by);
    PersonId person = by.employee();
    if (person != null) {
      tallies.put(person, new Tally(Direction.PLACED, behalf, at));
    }
    if (behalf != null) {
      Tally principal = new Tally(Direction.PLACED, null, at);
      principal.by = person;
      tallies.put(behalf.employee(), principal);
    }
  }

  private void rings(Delivered e) {
    parties.put(e.leg(), e.party());
    PersonId person = e.party().employee();
    if (person != null) {
      Tally tally =
          tallies.computeIfAbsent(person, p -> new Tally(Direction.RECEIVED, e.line(), e.at()));
      if (tally.answered == null) {
        tally.goesOn(); // it had rung here before, was sent on, and is back
      }
      tally.elsewhere = false;
      tally.by = null; // what began in their name comes to themselves
    }
    PersonId owner = e.line() == null ? null : e.line().employee();
    if (owner != null && !owner.equals(person)) {
      tallies.computeIfAbsent(owner, p -> forThemElsewhere(e));
    }
  }

  private static Tally forThemElsewhere(Delivered e) {
    Tally tally = new Tally(Direction.RECEIVED, e.line(), e.at());
    tally.elsewhere = true;
    return tally;
  }

  /** A party comes over from another call: what it did there, it did for this one. */
  void takeOver(Merged e, CallRecord other) {
    Party party = other.parties.getOrDefault(e.otherLeg(), other.called);
    parties.put(e.leg(), party);
    Tally there = other.tallies.get(party.employee());
    if (there == null) {
      return;
    }
    if (there.written) {
      there.ended = e.at(); // the other call's history has them already
    } else {
      other.tallies.remove(party.employee());
    }
    Tally own = tallies.get(party.employee());
    if (own != null) {
      own.goesOn(); // back in a call they had left
    } else {
      Tally here = new Tally(there.direction, there.line, there.began);
      here.answered = there.answered;
      here.recorded = there.recorded;
      here.other = otherEnd(e, there.direction, other);
      tallies.put(party.employee(), here);
    }
  }

  /** Whom somebody who came over had at the other end, as they will remember it. */
  private Party otherEnd(Merged e, Direction direction, CallRecord before) {
    if (direction == Direction.PLACED) {
      return before.other();
    }
    if (e.stays()) {
      return before.caller;
    }
    // Handed over: the one they speak with from now on, and not the colleague who announced them.
    return e.by().equals(caller.employee()) ? other() : caller;
  }

  private void established(Established e) {
    Party party = parties.getOrDefault(e.leg(), called);
    spoken(party, e.at());
    Tally tally = tallies.get(party.employee());
    if (tally != null) {
      tally.answered = tally.answered == null ? e.at() : tally.answered;
      tally.goesOn(); // whoever sent it on and got it back goes on with their part
    }
    for (Tally each : tallies.values()) {
      if (each.elsewhere) {
        each.ends(e.at(), Cause.ANSWERED_ELSEWHERE);
      }
    }
  }

  /** Somebody is there to speak with, whom whoever placed the call has reached. */
  private void spoken(Party with, Instant at) {
    if (answered == null) {
      answered = at;
      answerer = with;
    }
    for (Tally placed : tallies.values()) {
      if (placed.direction == Direction.PLACED && placed.answered == null) {
        placed.answered = at;
      }
    }
  }

  private List<Part> failed(Failed e) {
    inVain = e.cause();
    return missed(e.missedBy(), e.cause(), e.at());
  }

  /** They were wanted and were never rung. */
  private List<Part> missed(List<PersonId> people, Cause why, Instant at) {
    List<Part> missed = new ArrayList<>();
    for (PersonId person : people) {
      Tally tally = new Tally(Direction.RECEIVED, called, at);
      tally.ended = at;
      tally.cause = why;
      if (tallies.putIfAbsent(person, tally) == null) {
        missed.add(part(person, tally, at));
      }
    }
    return missed;
  }

  private void ruled(PersonId person, Part.Ruling ruling) {
    Tally tally = tallies.get(person);
    if (tally != null) {
      tally.ruling = ruling;
    }
  }

  /** Their parts as they are by now. */
  private List<Part> again(List<PersonId> people, Instant at) {
    return people.stream()
        .filter(person -> tallies.containsKey(person) && tallies.get(person).cause != null)
        .map(person -> part(person, tallies.get(person), at))
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
      Tally tally = new Tally(Direction.RECEIVED, each.from(), e.at());
      tally.ended = e.at();
      tally.cause =
          each.from().equals(each.to().mailboxOf()) ? each.why().cause() : Cause.FORWARDED;
      Tally known = tallies.putIfAbsent(person, tally);
      if (known != null && known.elsewhere) {
        known.ends(e.at(), each.why().cause());
      }
      ruled(person, new Part.Ruling(each.why(), each.rule(), null, each.to()));
      people.add(person);
    }
    return again(people, e.at());
  }

  private List<Part> left(ConnectionCleared e, @Nullable Call after) {
    Party party = parties.getOrDefault(e.leg(), called);
    if (answered != null) {
      hungUp(e, party, after);
    }
    Tally tally = tallies.get(party.employee());
    if (tally == null || tally.ended != null) {
      return List.of();
    }
    tally.ends(e.at(), e.cause());
    for (Tally each : tallies.values()) {
      if (each.by != null && each.by.equals(party.employee()) && each.ended == null) {
        each.ended = e.at(); // what was done in their name is done
      }
    }
    if (tally.direction == Direction.PLACED) {
      return List.of(); // the cause is known only with the end of the call
    }
    return List.of(part(party.employee(), tally, e.at()));
  }

  /** Whoever leaves a conference ends their own part; whoever leaves one other alone ends both. */
  private void hungUp(ConnectionCleared e, Party leaving, @Nullable Call after) {
    if (e.cause() == Cause.ENDED_FOR_ALL) {
      endedBy(lastToHangUp, tally -> tally == tallies.get(leaving.employee()));
    } else if (e.cause() == Cause.NORMAL) {
      lastToHangUp = leaving;
      boolean goesOn = after != null && after.conversation();
      endedBy(leaving, tally -> !goesOn || tally == tallies.get(leaving.employee()));
    }
  }

  private void endedBy(@Nullable Party leaving, Predicate<Tally> whose) {
    for (Tally tally : tallies.values()) {
      if (tally.ended == null && tally.endedBy == null && whose.test(tally)) {
        tally.endedBy = leaving;
      }
    }
  }

  private List<Part> over(CallCleared e) {
    over = true;
    for (Tally tally : tallies.values()) {
      boolean nobodyAnswered = tally.direction == Direction.PLACED && tally.answered == null;
      if (nobodyAnswered || tally.cause == null) {
        boolean atMailbox = nobodyAnswered && message != null;
        tally.cause = atMailbox ? inVain : e.cause();
      }
    }
    List<Part> all = new ArrayList<>();
    tallies.forEach((person, tally) -> all.add(part(person, tally, e.at())));
    return all;
  }

  private Part part(PersonId person, Tally tally, Instant now) {
    tally.written = true;
    Party me = new Party.Employee(tally.by == null ? person : tally.by);
    boolean placed = tally.direction == Direction.PLACED;
    Instant spoke = tally.answered;
    Instant ended = tally.ended == null ? now : tally.ended;
    Result result = result(tally, spoke);
    Duration rang =
        placed
            ? course.total(Segment.Kind.RINGING, now)
            : Duration.between(tally.began, spoke == null ? ended : spoke);
    return new Part(
        id,
        person,
        tally.direction,
        tally.other != null ? tally.other : placed ? other() : caller,
        tally.line,
        tally.began,
        ended,
        rang,
        course.talked(me, now),
        course.held(me, now),
        result,
        tally.by != null ? tally.by : result == Result.ANSWERED_ELSEWHERE ? taker() : null,
        result == Result.ANSWERED && tally.by == null ? tally.endedBy : null,
        over,
        tally.cause,
        message,
        tally.recorded,
        tally.ruling);
  }

  private @Nullable PersonId taker() {
    return answerer == null ? null : answerer.employee();
  }

  private Party other() {
    return called.group() != null && answerer != null ? answerer : called;
  }

  private static Result result(Tally tally, @Nullable Instant spoke) {
    if (spoke != null) {
      return Result.ANSWERED;
    }
    boolean placed = tally.direction == Direction.PLACED;
    return switch (tally.cause) {
      case NORMAL, CALLER_GAVE_UP -> placed ? Result.GIVEN_UP : Result.MISSED;
      case TRANSFERRED -> placed ? Result.GIVEN_UP : Result.SENT_ON;
      case NO_ANSWER, PARKED_TOO_LONG, DROPPED, ENDED_FOR_ALL, EXPIRED, LOST ->
          placed ? Result.NO_ANSWER : Result.MISSED;
      case BUSY -> placed ? Result.BUSY : Result.MISSED_BUSY;
      case DECLINED -> placed ? Result.REFUSED_BY_OTHER : Result.DECLINED;
      case ANSWERED_ELSEWHERE -> Result.ANSWERED_ELSEWHERE;
      case NOT_SIGNED_IN -> placed ? Result.NOT_SIGNED_IN : Result.MISSED_NOT_SIGNED_IN;
      case DO_NOT_DISTURB -> placed ? Result.DO_NOT_DISTURB : Result.MISSED_DO_NOT_DISTURB;
      case OFF_DUTY -> placed ? Result.OFF_DUTY : Result.MISSED_OFF_DUTY;
      case CLOSED -> placed ? Result.CLOSED : Result.MISSED_CLOSED;
      case FORWARDED -> Result.FORWARDED;
      case BLOCKED -> placed ? Result.REFUSED_BY_OTHER : Result.BLOCKED;
      case RINGS_ON -> Result.NO_ANSWER;
      case NUMBER_NOT_IN_USE -> Result.NUMBER_NOT_IN_USE;
      case LINES_BUSY -> placed ? Result.LINES_BUSY : Result.MISSED_LINES_BUSY;
      case NETWORK_FAILURE -> Result.NETWORK_FAILURE;
      case PHONE_NOT_ANSWERED -> Result.PHONE_NOT_ANSWERED;
    };
  }

  /** The course so far. */
  public List<Segment> course() {
    return course.segments();
  }

  /** The last stretches of the course, at most so many. */
  public List<Segment> lastOfCourse(int most) {
    return course.last(most);
  }

  /** How many stretches the course has. */
  public int stretches() {
    return course.size();
  }

  /** How long the call has been held by or for this employee altogether. */
  public Duration held(PersonId person, Instant now) {
    return course.held(new Party.Employee(person), now);
  }

  /** Digits sent so far, in order. */
  public String digits() {
    return digits.toString();
  }
}
