package oficina.core.machines;

import java.time.Duration;
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
import oficina.core.draft.Queueing;
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
  private final Queueing queueing;
  private final Onward onward;
  private final Clearing clearing;

  /** For one decision. */
  public Returning(Consequences then) {
    draft = then.draft();
    reach = then.reach();
    machines = then.machines();
    queueing = then.queueing();
    onward = then.onward();
    clearing = then.clearing();
  }

  /** Does what the caller has chosen, if the line offers it. */
  public @Nullable Refusal choose(MachineCommand.WaiterChooses c) {
    Call call = draft.call(c.call());
    Connection music = call == null ? null : call.leg(c.leg());
    if (music == null || music.party().waitsAt() == null || !call.waits() || call.keepsPlace()) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    Queue queue = draft.office.directions().queue(call.place().line());
    Queue.Choices offered = queue == null ? Queue.Choices.NONE : queue.choices();
    return switch (c.choice()) {
      case KEEP -> offered.keep() ? keep(call, music) : Refusal.of(Reason.NO_SUCH_CALL);
      case MESSAGE -> offered.message() ? message(call) : Refusal.of(Reason.NO_SUCH_CALL);
      case ELSEWHERE -> offered.elsewhere() ? elsewhere(call) : Refusal.of(Reason.NO_SUCH_CALL);
    };
  }

  /** Has somebody wait who has given the number they were asked for. */
  public @Nullable Refusal given(MachineCommand.CallerGives c) {
    Call call = draft.call(c.call());
    Connection music = call == null ? null : call.leg(c.leg());
    if (music == null || music.party().waitsAt() == null || !call.place().isAsked()) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    queueing.given(call, music, c.digits());
    return null;
  }

  private @Nullable Refusal keep(Call call, Connection music) {
    Connection caller = call.opposite(music.leg());
    PhoneNumber number = caller == null ? null : caller.party().outsideNumber();
    if (number == null) {
      return Refusal.of(Reason.NOBODY_THERE); // nobody knows where to call
    }
    draft.emit(
        new QueueEvent.PlaceKept(
            call.id(), draft.now, music.leg(), number, draft.now.plus(LONGEST)));
    clearing.clear(call.id(), caller, Cause.NORMAL);
    return null;
  }

  private @Nullable Refusal message(Call call) {
    Party line = new Party.Members(call.place().line());
    if (!draft.office.hasMailbox(line)) {
      return Refusal.of(Reason.NO_MAILBOX);
    }
    clearing.leaveLine(call, Cause.NO_ANSWER);
    machines.takeMessage(
        draft.call(call.id()),
        new Party.Mailbox(line),
        Cause.NO_ANSWER,
        reach.takingPart(line.group()));
    return null;
  }

  private @Nullable Refusal elsewhere(Call call) {
    clearing.leaveLine(call, Cause.NO_ANSWER);
    onward.goOn(draft.call(call.id()), Cause.NO_ANSWER, reach.takingPart(call.place().line()));
    return null;
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
    if (member && justAnswered && reach.linesBusy()) {
      tryAgain(call, call.place().kept().tries()); // they were not called: that is no try
    } else if (member && justAnswered) {
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
    tryAgain(call, call.place().kept().tries() + 1);
  }

  private void tryAgain(Call call, int tries) {
    for (Connection each : call.connections()) {
      clearing.clear(call.id(), each, Cause.NORMAL);
    }
    queueing.again(
        draft.call(call.id()),
        new Place.Kept(call.place().kept().number(), draft.now.plus(AGAIN), tries));
  }

  /** Nobody will try any more: each member has them to call back. */
  void givesUp(Call call) {
    onward.fail(call.id(), Cause.NO_ANSWER, List.copyOf(reach.takingPart(call.place().line())));
    clearing.end(draft.call(call.id()), Cause.NO_ANSWER);
  }
}
