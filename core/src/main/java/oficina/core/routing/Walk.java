package oficina.core.routing;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.office.Office;
import oficina.core.people.Group;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.routing.Station.Kind;
import oficina.core.rules.CallRules;
import oficina.core.rules.Caller;
import oficina.core.rules.Destination;
import oficina.core.rules.Moment;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;
import org.jspecify.annotations.Nullable;

/**
 * Follows what people and lines have decided about a call, from one to the next, until it rings
 * somewhere or leads nowhere. Each walk is made once. A pure function of the office, of whom a call
 * can reach now, of who calls and when; calls that ring and Try it both take it.
 */
public final class Walk {
  /** A call that has gone on so often goes round in a circle. */
  public static final int MOST_STEPS = 8;

  private final Office office;
  private final Router router;
  private final Reach reach;
  private final Caller caller;
  private final Moment now;
  private final boolean sentOn;
  private final Set<Party> passed = new LinkedHashSet<>();
  private int steps;
  private final List<Diversion> diversions = new ArrayList<>();
  private final List<Way> ways = new ArrayList<>();
  private final List<Station> stations = new ArrayList<>();

  /**
   * @param before through whose decisions the call has gone already
   * @param steps how often it has gone on already
   * @param sentOn whether a colleague has sent it: when nobody takes it, it goes back to them
   */
  public Walk(
      Router router,
      Caller caller,
      Instant now,
      List<Diversion> before,
      int steps,
      boolean sentOn) {
    this.office = router.office();
    this.router = router;
    this.reach = router.reach();
    this.caller = caller;
    this.now = office.directions().at(now);
    this.steps = steps;
    this.sentOn = sentOn;
    before.forEach(each -> passed.add(each.from()));
  }

  /** Where a call for this party leads. */
  public Lead to(Party party) {
    return lead(follow(party));
  }

  /** Where a call leads that has rung in vain at the places before this one; null at their end. */
  public @Nullable Lead ring(Way.NextRing step) {
    Route route =
        step.owner().group() == null
            ? ringFrom(step.owner(), step.place())
            : follow(step.owner()); // its caller has been welcomed
    return route == null ? null : lead(route);
  }

  /**
   * Where it leads by the rules of whom nobody's device has answered for.
   *
   * @param why nobody did
   * @return null when no rule says anything for this caller
   */
  public @Nullable Lead byRules(Party owner, Cause why) {
    Situation situation = Situation.after(why);
    Rule rule = rule(owner, situation);
    if (rule == null) {
      return null;
    }
    Route route = carryOut(rule, owner, situation, List.of());
    return route == null ? null : lead(route);
  }

  private Lead lead(Route route) {
    return new Lead(route, diversions, ways, stations);
  }

  private void found(Kind kind, Party at, @Nullable Situation situation) {
    stations.add(new Station(kind, at, situation, null, List.of(), null));
  }

  private Route follow(Party party) {
    Person person =
        party.employee() == null ? null : office.directory().person(party.employee()).orElse(null);
    if (person != null) {
      return person(person, party);
    }
    Group group =
        party.group() == null ? null : office.directory().group(party.group()).orElse(null);
    return group == null ? end(party) : line(group, party);
  }

  /** Nobody with rules: it goes there, if there is such a one. */
  private Route end(Party party) {
    Route route = router.to(party);
    Kind kind =
        route.refuses()
            ? Kind.NOT_IN_USE
            : party.mailboxOf() != null
                ? Kind.MAILBOX
                : party.takesKeys() ? Kind.ATTENDANT : Kind.GOES_OUT;
    stations.add(Station.of(kind, party));
    return route;
  }

  // --- people -----------------------------------------------------------------------------------

  private Route person(Person person, Party me) {
    List<PersonId> wanted = List.of(person.id());
    if (me.equals(caller.party())) {
      found(Kind.CIRCLE, me, null);
      return refused(Cause.BUSY, List.of()); // whoever calls cannot be rung by it
    }
    for (Situation situation : of(person, me)) {
      Rule rule = rule(me, situation);
      if (rule != null) {
        Route route = carryOut(rule, me, situation, wanted);
        if (route != null) {
          return route;
        }
      } else if (situation == Situation.BUSY && reach.takesCalls(person.id())) {
        found(Kind.NO_RULE, me, situation); // it rings softly beside the call in hand
      } else if (situation != Situation.ALWAYS) {
        found(Kind.NO_RULE, me, situation);
        return refused(situation.cause(), wanted);
      }
    }
    Route rings = ringFrom(me, 0);
    return rings == null ? refused(Cause.NOT_SIGNED_IN, wanted) : rings;
  }

  /** What this person is in now, in the order in which it matters. */
  private Set<Situation> of(Person person, Party me) {
    Set<Situation> found = EnumSet.of(Situation.ALWAYS);
    CallRules rules = office.directions().rulesOf(me);
    Status.Kind status = reach.status(person.id());
    if (status == Status.Kind.DO_NOT_DISTURB) {
      found.add(Situation.DO_NOT_DISTURB);
    }
    if (status == Status.Kind.OFF_DUTY || !rules.open(now)) {
      found.add(Situation.OFF_DUTY);
    }
    boolean here = reach.hasDevice(person.id());
    boolean othersRing =
        !rules.rings().isEmpty()
            && rules.rings().stream().anyMatch(each -> !each.who().equals(List.of(me)));
    if (status == Status.Kind.AWAY || (!here && !othersRing)) {
      found.add(Situation.NOT_THERE);
    } else if (here && (reach.onCall(person.id()) || !reach.takesCalls(person.id()))) {
      found.add(Situation.BUSY);
    }
    return found;
  }

  // --- lines ------------------------------------------------------------------------------------

  private Route line(Group group, Party line) {
    CallRules rules = office.directions().rulesOf(line);
    Set<Situation> situations = EnumSet.of(Situation.ALWAYS);
    if (!rules.open(now)) {
      situations.add(Situation.OFF_DUTY);
    }
    Route plain = router.to(line);
    if (plain instanceof Route.Refuse refuse) {
      situations.add(refuse.cause() == Cause.BUSY ? Situation.BUSY : Situation.NOT_THERE);
    }
    for (Situation situation : situations) {
      Rule rule = rule(line, situation);
      Route route = rule == null ? null : carryOut(rule, line, situation, group.members());
      if (route != null) {
        return route;
      }
      if (rule == null && situation == Situation.OFF_DUTY) {
        found(Kind.NO_RULE, line, situation);
        return refused(Cause.CLOSED, group.members());
      }
    }
    boolean taken = plain instanceof Route.Ring || plain instanceof Route.Wait;
    if (taken && rules.welcome() && !caller.inside() && steps == 0) {
      found(Kind.WELCOMED, line, null);
      ways.add(new Way(new Way.NextRing(line, 0), Way.Reason.WELCOMED));
      return new Route.Greet(new Party.Welcome(group.id()));
    }
    if (plain instanceof Route.Ring ring) {
      return ringAt(line, ring.people(), ring.time());
    }
    if (plain instanceof Route.Wait) {
      return waitAt(line, plain);
    }
    found(
        Kind.NO_RULE,
        line,
        situations.contains(Situation.BUSY) ? Situation.BUSY : Situation.NOT_THERE);
    return plain;
  }

  // --- rules ------------------------------------------------------------------------------------

  private @Nullable Rule rule(Party owner, Situation situation) {
    CallRules rules = office.directions().rulesOf(owner);
    return rules.rules().isEmpty()
        ? null
        : rules.first(situation, knownTo(owner, rules, situation), now);
  }

  /** The caller, with the companies by which this owner's rules may mean them. */
  private Caller knownTo(Party owner, CallRules rules, Situation situation) {
    return caller.number() != null && rules.askForCompany(situation)
        ? new Caller(
            caller.party(),
            caller.behalf(),
            office.directions().book().companies(caller.number(), owner.employee()))
        : caller;
  }

  /**
   * Does what a rule says.
   *
   * @return null when it is to ring all the same
   */
  private @Nullable Route carryOut(
      Rule rule, Party owner, Situation situation, List<PersonId> wanted) {
    Destination to = rule.to();
    switch (to.kind()) {
      case RING -> {
        boolean possible =
            owner.employee() == null
                || (reach.hasDevice(owner.employee()) && reach.hasRoom(owner.employee()));
        stations.add(
            new Station(Kind.RINGS_ALL_THE_SAME, owner, situation, rule.id(), List.of(), null));
        return possible ? null : refused(situation.cause(), wanted);
      }
      case REFUSE -> {
        stations.add(
            new Station(Kind.REFUSED_BY_RULE, owner, situation, rule.id(), List.of(), null));
        return refused(situation == Situation.ALWAYS ? Cause.DECLINED : situation.cause(), wanted);
      }
      default -> {
        return divert(owner, to.party(), situation, rule.id(), wanted);
      }
    }
  }

  private Route divert(
      Party from, Party to, Situation why, @Nullable Long rule, List<PersonId> wanted) {
    stations.add(new Station(Kind.SENT_BY_RULE, from, why, rule, List.of(to), null));
    if (to.mailboxOf() != null) {
      return mailbox(from, to, why, rule, wanted);
    }
    passed.add(from);
    if (passed.contains(to) || steps >= MOST_STEPS) {
      return circle(from, why, wanted);
    }
    steps++;
    diversions.add(new Diversion(from, to, why, rule));
    return follow(to);
  }

  private Route mailbox(
      Party from, Party to, Situation why, @Nullable Long rule, List<PersonId> wanted) {
    if (router.to(to).refuses()) {
      stations.add(Station.of(Kind.NOT_IN_USE, to));
      return refused(why.cause(), wanted);
    }
    diversions.add(new Diversion(from, to, why, rule));
    stations.add(new Station(Kind.MAILBOX, to, why, null, List.of(), null));
    Cause cause = why == Situation.OFF_DUTY && from.group() != null ? Cause.CLOSED : why.cause();
    return new Route.TakeMessage((Party.Mailbox) to, cause, wanted);
  }

  /** Rules of several people make a circle: whoever calls speaks with the front desk. */
  private Route circle(Party from, Situation why, List<PersonId> wanted) {
    stations.add(new Station(Kind.CIRCLE, from, why, null, List.of(), null));
    Route frontDesk = router.toFrontDesk();
    if (frontDesk instanceof Route.Ring ring && !passed.contains(ring.line())) {
      diversions.add(new Diversion(from, ring.line(), why, null));
      return ringAt(ring.line(), ring.people(), ring.time());
    }
    if (frontDesk instanceof Route.Wait wait) {
      Party line = new Party.Members(wait.queue().line());
      if (!passed.contains(line)) {
        diversions.add(new Diversion(from, line, why, null));
        return waitAt(line, frontDesk);
      }
    }
    return refused(why.cause(), wanted);
  }

  private Route refused(Cause cause, List<PersonId> wanted) {
    return new Route.Refuse(cause, wanted);
  }

  // --- waiting and ringing
  // ----------------------------------------------------------------------------------

  /** A line keeps the caller, and its rules say where they go when nobody takes the call. */
  private Route waitAt(Party line, Route wait) {
    Duration longest = office.directions().queue(line.group()).longestWait();
    stations.add(new Station(Kind.WAITS, line, null, null, List.of(), longest));
    if (!sentOn) {
      ways.add(Ways.byRules(line));
    }
    return wait;
  }

  private Route ringAt(Party line, List<PersonId> people, Duration time) {
    List<Party> who = people.stream().<Party>map(Party.Employee::new).toList();
    stations.add(new Station(Kind.RINGS, line, null, null, who, time));
    if (!sentOn) {
      ways.add(Ways.byRules(line));
    }
    return new Route.Ring(people, line, time, /* outside= */ List.of());
  }

  /** It rings at the first place, from this one on, at which it would; null when at none. */
  private @Nullable Route ringFrom(Party owner, int first) {
    List<CallRules.Ring> places = office.directions().rulesOf(owner).rings();
    if (places.isEmpty()) {
      Person alone =
          first > 0 || owner.employee() == null
              ? null
              : office.directory().person(owner.employee()).orElse(null);
      return alone == null || !reach.hasDevice(alone.id())
          ? null
          : ringAt(owner, List.of(alone.id()), alone.ringTime());
    }
    for (int place = first; place < places.size(); place++) {
      CallRules.Ring ring = places.get(place);
      Set<PersonId> people = new LinkedHashSet<>();
      List<Party> outside = new ArrayList<>();
      for (Party each : ring.who()) {
        if (each.usesOutsideLine()) {
          outside.add(each);
        } else if (each.employee() != null && rings(each.employee(), owner)) {
          people.add(each.employee());
        } else if (each.group() != null) {
          people.addAll(router.free(each.group()));
        }
      }
      if (!people.isEmpty() || !outside.isEmpty()) {
        return ringTogether(owner, people, outside, places, place);
      }
    }
    return null;
  }

  private boolean rings(PersonId person, Party owner) {
    // That the owner does not take calls has been looked at before: a rule may let some through.
    return person.equals(owner.employee())
        ? reach.hasDevice(person) && reach.hasRoom(person)
        : reach.rings(person);
  }

  private Route ringTogether(
      Party owner,
      Set<PersonId> people,
      List<Party> outside,
      List<CallRules.Ring> places,
      int place) {
    List<Party> who = new ArrayList<>();
    people.forEach(person -> who.add(new Party.Employee(person)));
    who.addAll(outside);
    Duration time = places.get(place).time();
    stations.add(new Station(Kind.RINGS, owner, null, null, who, time));
    if (place + 1 < places.size()) {
      ways.add(new Way(new Way.NextRing(owner, place + 1), Way.Reason.BY_RULE));
    }
    if (!sentOn) {
      ways.add(Ways.byRules(owner));
    }
    return new Route.Ring(List.copyOf(people), owner, time, outside);
  }
}
