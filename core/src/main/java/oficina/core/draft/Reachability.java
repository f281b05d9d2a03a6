package oficina.core.draft;

import java.util.List;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.routing.Reach;
import oficina.core.routing.Router;
import oficina.core.routing.Walk;
import oficina.core.rules.Caller;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import oficina.core.state.Standing;

/** Who can be reached at this moment, and where a call would lead. */
public final class Reachability {
  /** No connection has this number. */
  private static final int NOBODY = 0;

  private final Draft draft;
  private final ExchangeState state;

  Reachability(Draft draft) {
    this.draft = draft;
    state = draft.state;
  }

  private boolean takesCalls(PersonId person) {
    return state.inHand(person).isEmpty()
        || (draft.office.directory().person(person).map(Person::callWaiting).orElse(false)
            && hasRoom(person));
  }

  /** Whether this person has answered any call they have in hand. */
  public boolean onCall(PersonId person) {
    for (CallId id : state.inHand(person)) {
      if (draft.call(id).of(person).answered()) {
        return true;
      }
    }
    return false;
  }

  /** Whether this person has fewer calls in hand than are allowed. */
  public boolean hasRoom(PersonId person) {
    return state.inHand(person).size() < draft.settings().limits().callsInHand();
  }

  /**
   * Whether a call for this line may ring at this member: they take part, and are not finishing.
   */
  public boolean freeFor(GroupId line, PersonId member) {
    return state.queues().takesPart(member, line)
        && state.queues().member(member).finishing() == null
        && idle(member);
  }

  /** Members who take part in a line, whether they are free or not. */
  public List<PersonId> takingPart(GroupId line) {
    return draft.office.directory().group(line).map(Group::members).orElse(List.of()).stream()
        .filter(member -> state.queues().takesPart(member, line))
        .toList();
  }

  private Status.Kind status(PersonId person) {
    Status said = state.status(person);
    boolean over = said == null || (said.until() != null && !said.until().isAfter(draft.now));
    return over ? Status.Kind.FREE : said.kind();
  }

  /** Whether this person has a device that would ring and nothing to do with any call. */
  public boolean idle(PersonId person) {
    return !state.devices(person).isEmpty()
        && state.inHand(person).isEmpty()
        && status(person).takesCalls();
  }

  /** Whether no outside line is left. */
  public boolean linesBusy() {
    return state.outsideLinesTaken() >= draft.settings().limits().outsideLines();
  }

  /** Where this call can go; whoever is in it already is not rung. */
  public Router router(Call inProgress) {
    return new Router(
        draft.office,
        new Reach() {
          @Override
          public boolean hasDevice(PersonId person) {
            return !state.devices(person).isEmpty();
          }

          @Override
          public boolean takesCalls(PersonId person) {
            return Reachability.this.takesCalls(person) && inProgress.of(person) == null;
          }

          @Override
          public boolean onCall(PersonId person) {
            return Reachability.this.onCall(person);
          }

          @Override
          public boolean hasRoom(PersonId person) {
            return Reachability.this.hasRoom(person) && inProgress.of(person) == null;
          }

          @Override
          public boolean takesPart(PersonId person, GroupId line) {
            return state.queues().takesPart(person, line);
          }

          @Override
          public int waitingAt(GroupId line) {
            return state.queues().waitingAt(line).size();
          }

          @Override
          public Status.Kind status(PersonId person) {
            return Reachability.this.status(person);
          }
        });
  }

  /** Follows what people and lines have decided about this call. */
  public Walk walk(Call call) {
    return walk(call, call.sent() != null);
  }

  /** The same for when a colleague sends it on. */
  public Walk walkSentOn(Call call) {
    return walk(call, true);
  }

  private Walk walk(Call call, boolean sentOn) {
    Connection waiting = call.opposite(NOBODY);
    Party caller = waiting == null ? call.caller() : waiting.party();
    Standing.OnItsWay way = call.standing().onItsWay();
    return new Walk(
        router(call),
        new Caller(caller, caller.equals(call.caller()) ? call.behalf() : null, Set.of()),
        draft.now,
        way.diversions(),
        way.steps(),
        sentOn);
  }
}
