package oficina.core.services;

import java.time.Duration;
import java.util.List;
import oficina.core.blocking.Block;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Machines;
import oficina.core.draft.Onward;
import oficina.core.events.ReachEvent;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.core.routing.Station;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/** Keeps callers out who are blocked. */
public final class Blocking {
  /** So long somebody lets it ring who does not know that nobody hears it. */
  private static final Duration RINGS_ON = Duration.ofMinutes(3);

  private final Draft draft;
  private final Machines machines;
  private final Onward onward;

  /** For one decision. */
  public Blocking(Consequences then) {
    draft = then.draft();
    machines = then.machines();
    onward = then.onward();
  }

  /**
   * Keeps the caller out when they are blocked, and says whether they are. The emergency services
   * are let through: for a while after somebody has called them, nobody is kept out.
   */
  public boolean keepsOut(Call call, @Nullable PhoneNumber from) {
    PersonId wanted = call.called().employee();
    Block block =
        draft.state.calledForHelp(draft.now)
            ? null
            : draft.office.directions().blocks().find(from, wanted);
    Station.Kind found = block == null ? Station.Kind.NOT_BLOCKED : Station.Kind.BLOCKED;
    Long rule = block == null ? null : block.id();
    draft.found(new Station(found, call.called(), null, rule, List.of(), null));
    if (block == null) {
      return false;
    }
    List<PersonId> kept = wanted == null ? List.of() : List.of(wanted);
    draft.emit(new ReachEvent.Blocked(call.id(), draft.now, block.id(), kept));
    answer(draft.call(call.id()), block);
    return true;
  }

  private void answer(Call call, Block block) {
    switch (block.answer()) {
      case BUSY -> onward.fail(call.id(), Cause.BUSY, List.of());
      case NOT_IN_USE -> onward.fail(call.id(), Cause.NUMBER_NOT_IN_USE, List.of());
      case REFUSED -> onward.fail(call.id(), Cause.BLOCKED, List.of());
      case RINGS_ON ->
          draft.emit(
              new ReachEvent.Failed(
                  call.id(), draft.now, Cause.RINGS_ON, List.of(), draft.now.plus(RINGS_ON)));
      case VOICEMAIL -> {
        if (draft.office.hasMailbox(call.called())) {
          Party.Mailbox mailbox = new Party.Mailbox(call.called());
          draft.found(Station.Kind.MAILBOX, mailbox);
          machines.takeMessage(call, mailbox, Cause.BLOCKED, List.of());
        } else {
          onward.fail(call.id(), Cause.BLOCKED, List.of());
        }
      }
    }
  }
}
