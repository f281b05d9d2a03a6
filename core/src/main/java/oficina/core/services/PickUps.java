package oficina.core.services;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.core.decision.Permissions;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Answering;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.jspecify.annotations.Nullable;

/** Answering a call that rings at somebody else (directed and group pickup, ECMA-269). */
public final class PickUps {
  private static final Duration JUST_NOW = Duration.ofSeconds(10);

  private final Draft draft;
  private final Answering answering;

  /** For one decision. */
  public PickUps(Consequences then) {
    draft = then.draft();
    answering = then.answering();
  }

  /** Answers the call that has rung longest at a colleague, or at anybody of the group. */
  public @Nullable Refusal pickUp(CallCommand.PickUp c) {
    List<PersonId> from =
        c.from() == null
            ? List.copyOf(Permissions.pickUpGroup(draft.office, c.person()))
            : List.of(c.from());
    if (c.from() != null && !Permissions.mayPickUp(draft.office, c.person(), c.from())) {
      return Refusal.of(Reason.NOT_IN_PICK_UP_GROUP, c.from());
    }
    Call call = longestRinging(c.person(), from);
    if (call == null) {
      return justTaken(from);
    }
    if (c.person().equals(call.caller().employee())) {
      return Refusal.of(Reason.OWN_NUMBER);
    }
    Connection mine = call.of(c.person());
    if (mine != null && !mine.rings()) {
      return Refusal.of(Reason.SAME_PARTY);
    }
    answering.join(call, c.person(), call.in(ConnectionState.ALERTING).get(0).line(), c.device());
    return null;
  }

  private @Nullable Call longestRinging(PersonId taker, List<PersonId> from) {
    return from.stream()
        .filter(person -> !person.equals(taker))
        .flatMap(person -> draft.state.inHand(person).stream().filter(id -> ringsAt(id, person)))
        .distinct()
        .map(draft::call)
        .filter(Objects::nonNull)
        .min(Comparator.comparing(PickUps::ringsSince).thenComparing(Call::id))
        .orElse(null);
  }

  /** Whoever comes a moment too late is told who was quicker. */
  private Refusal justTaken(List<PersonId> from) {
    Instant recently = draft.now.minus(JUST_NOW);
    return draft.state.beneath().calls().stream()
        .filter(call -> rangAtOneOf(call, from))
        .map(Call::lastToAnswer)
        .filter(last -> last != null && last.since().isAfter(recently))
        .max(Comparator.comparing(Connection::since).thenComparing(Connection::leg))
        .map(last -> Refusal.answeredBy(last.party().employee()))
        .orElse(Refusal.of(Reason.NOTHING_RINGS));
  }

  /** Also at whoever answers it themselves, and is in it now. */
  private static boolean rangAtOneOf(Call call, List<PersonId> people) {
    Connection last = call.lastToAnswer();
    return people.stream().anyMatch(call.rang()::contains)
        || (last != null && people.contains(last.party().employee()));
  }

  /** Not a call back: that rings at its caller, and is for nobody else. */
  private boolean ringsAt(CallId id, PersonId person) {
    Call call = draft.call(id);
    Connection there = call.of(person);
    return there.rings() && !call.ringsBackAt(there);
  }

  private static Instant ringsSince(Call call) {
    return call.in(ConnectionState.ALERTING).get(0).since();
  }
}
