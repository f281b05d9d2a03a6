package oficina.core.machines;

import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.MachineCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Machines;
import oficina.core.draft.Onward;
import oficina.core.draft.Reachability;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.QueueEvent;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Group;
import oficina.core.queueing.Place;
import oficina.core.queueing.Queue;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/**
 * What whoever waits chooses by a key: a message, to go elsewhere, or to hang up, keep the place
 * and be called back in turn. Then the call goes on without them: it rings at the member who is
 * free, and when that one answers, they are called. Not reached, they are tried once more.
 */
public final class Returning {
  /** So long somebody keeps their place who has hung up. */
  private static final Duration LONGEST = Duration.ofHours(4);

  /** Whoever was not reached is tried again after so long. */
  private static final Duration AGAIN = Duration.ofMinutes(5);

  private static final int TRIES = 1;

  private final Draft draft;
  private final Reachability reach;
  private final Machines machines;
  private final Onward onward;
  private final Clearing clearing;

  /** For one decision. */
  public Returning(Consequences then) {
    draft = then.draft();
    reach = then.reach();
    machines = then.machines();
    onward = then.onward();
    clearing = then.clearing();
  }

  /** Does what the caller has chosen, if the line offers it. */
  public @Nullable Refusal choose(MachineCommand.WaiterChooses c) {
    Call call = draft.call(c.call());
    Connection music = call == null ? null : call.leg(c.leg());
    if (music == null || music.party().waitsAt() == null || !call.waits()) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    Queue queue = draft.office.directions().queue(call.place().line());
    Queue.Choices offered = queue == null ? Queue.Choices.NONE : queue.choices();
    return switch (c.choice()) {
      case KEEP -> offered.keep() ? keep(call, music) : Refusal.of(Reason.NO_SUCH_CALL);
      case MESSAGE -> offered.message() ? message(call, music) : Refusal.of(Reason.NO_SUCH_CALL);
      case ELSEWHERE -> offered.elsewhere() ? elsewhere(call) : Refusal.of(Reason.NO_SUCH_CALL);
    };
  }

  private @Nullable Refusal keep(Call call, Connection music) {
    Connection caller = call.opposite(music.leg());
    PhoneNumber number = caller == null ? null : caller.party().outsideNumber();
    if (number == null || call.keepsPlace()) {
      return Refusal.of(Reason.NOBODY_THERE); // nobody knows where to call
    }
    draft.emit(
        new QueueEvent.PlaceKept(
            call.id(), draft.now, music.leg(), number, draft.now.plus(LONGEST)));
    clearing.clear(call.id(), caller, Cause.NORMAL);
    return null;
  }

  private @Nullable Refusal message(Call call, Connection music) {
    Party line = new Party.Members(call.place().line());
    if (!draft.office.hasMailbox(line)) {
      return Refusal.of(Reason.NO_MAILBOX);
    }
    letGo(call);
    clearing.clear(call.id(), music, Cause.NO_ANSWER);
    machines.takeMessage(
        draft.call(call.id()),
        new Party.Mailbox(line),
        Cause.NO_ANSWER,
        machines.takingPart(line.group()));
    return null;
  }

  private @Nullable Refusal elsewhere(Call call) {
    letGo(call);
    clearing.clear(call.id(), call.standIn(), Cause.NO_ANSWER);
    onward.goOn(draft.call(call.id()), Cause.NO_ANSWER, machines.takingPart(call.place().line()));
    return null;
  }

  /** It rings at nobody any more. */
  private void letGo(Call call) {
    call.connections().stream()
        .filter(Connection::rings)
        .forEach(each -> clearing.clear(call.id(), each, Cause.NOT_TAKEN));
  }

  /** After everything that happens: whoever kept their place is called, or tried another time. */
  public void followUp() {
    Set<CallId> touched = new LinkedHashSet<>();
    for (ExchangeEvent event : draft.events()) {
      if (event instanceof TalkEvent.Established || event instanceof TalkEvent.ConnectionCleared) {
        touched.add(event.inCall());
      }
    }
    for (CallId id : touched) {
      Call call = draft.call(id);
      if (call != null && call.keepsPlace() && !call.waits()) {
        goOn(call);
      }
    }
  }

  private void goOn(Call call) {
    boolean member =
        call.connections().stream()
            .anyMatch(each -> each.answered() && each.party().employee() != null);
    boolean called = call.connections().stream().anyMatch(each -> each.party().usesOutsideLine());
    boolean justAnswered = draft.state.beneath().call(call.id()).waits();
    if (member && justAnswered && !reach.linesBusy()) {
      calls(call);
    } else if (!member || !called) {
      notReached(call);
    }
  }

  private void calls(Call call) {
    Place place = call.place();
    PhoneNumber shown =
        draft.office.directory().group(place.line()).map(Group::number).orElse(null);
    draft.emit(
        new ReachEvent.NetworkReached(
            call.id(),
            draft.now,
            call.nextLeg(),
            new Party.Outside(place.kept().number()),
            draft.now.plus(draft.settings().times().networkPatience()),
            new CallerId(shown == null ? draft.office.identity().mainNumber() : shown)));
  }

  private void notReached(Call call) {
    if (call.place().kept().tries() >= TRIES) {
      givesUp(call);
      return;
    }
    for (Connection each : call.connections()) {
      clearing.clear(call.id(), each, Cause.NORMAL);
    }
    Instant from = draft.now.plus(AGAIN);
    machines.queueAgain(draft.call(call.id()), from);
  }

  /** Nobody will try any more: each member has them to call back. */
  void givesUp(Call call) {
    onward.fail(call.id(), Cause.NO_ANSWER, List.copyOf(machines.takingPart(call.place().line())));
    clearing.end(draft.call(call.id()), Cause.NO_ANSWER);
  }
}
