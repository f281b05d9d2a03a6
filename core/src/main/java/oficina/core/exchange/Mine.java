package oficina.core.exchange;

import oficina.core.call.CallId;
import oficina.core.commands.Command;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Draft;
import oficina.core.people.PersonId;
import oficina.core.services.Sending;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/** What somebody asks for a call is decided when they have a part in it. */
record Mine(Draft draft) {

  interface Service {
    @Nullable Refusal decide(Call call, Connection mine);
  }

  @Nullable Refusal decide(Command.ByPerson command, Service service) {
    Call call = draft.call(command.call());
    if (call == null) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    Connection mine = call.of(command.person());
    return mine == null ? notMine(call, command.person()) : service.decide(call, mine);
  }

  interface ServiceForTwo {
    @Nullable Refusal decide(Call call, Connection mine, CallId other);
  }

  /** Of two calls the one goes on that the other was placed for, whichever is named first. */
  @Nullable Refusal decide(Command.ByPerson command, CallId otherId, ServiceForTwo service) {
    return decide(
        command,
        (call, mine) -> {
          Call other = otherId.equals(call.heldFor()) ? draft.call(otherId) : null;
          Connection there = other == null ? null : other.of(command.person());
          return there == null
              ? service.decide(call, mine, otherId)
              : service.decide(other, there, call.id());
        });
  }

  /**
   * Somebody without a part in the call learns nothing of it, unless they have just sent it away or
   * it has just rung for them.
   */
  private static Refusal notMine(Call call, PersonId person) {
    Refusal sentAway = Sending.sentAway(call, person);
    if (sentAway != null) {
      return sentAway;
    }
    if (call.rang().contains(person)) {
      for (Connection connection : call.connections()) {
        PersonId other = connection.party().employee();
        if (other != null && connection.answered() && !connection.party().equals(call.caller())) {
          return Refusal.answeredBy(other);
        }
      }
    }
    return Refusal.of(Reason.NO_SUCH_CALL);
  }
}
