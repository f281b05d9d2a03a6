package oficina.core.draft;

import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import oficina.core.routing.Called;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/** Guards that several services ask; null where nothing is refused. */
public final class Refusals {
  private Refusals() {}

  /** Refused when this person has as many calls in hand as are allowed. */
  public static @Nullable Refusal handsFull(Draft draft, PersonId person) {
    int limit = draft.settings().limits().callsInHand();
    return draft.state.inHand(person).size() >= limit
        ? Refusal.of(Reason.TOO_MANY_CALLS, limit)
        : null;
  }

  /** Refused unless it is a conversation of two. */
  public static @Nullable Refusal twoParties(Call call) {
    if (!call.conversation()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    return call.connections().size() == 2 ? null : Refusal.of(Reason.MORE_THAN_TWO);
  }

  /**
   * Refused when a text means nothing that can be called, or what the office does not want called.
   *
   * @param by who calls, or sends a call there
   */
  public static @Nullable Refusal notCallable(Draft draft, PersonId by, Dialled to) {
    Dialled.NotCallable no = to.refused();
    if (no != null) {
      return Refusal.notCallable(no);
    }
    return draft.settings().barring().bars(by, Called.party(draft.office, to).outsideNumber())
        ? Refusal.of(Reason.NUMBER_BARRED)
        : null;
  }
}
