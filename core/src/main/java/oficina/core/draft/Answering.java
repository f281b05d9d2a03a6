package oficina.core.draft;

import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.jspecify.annotations.Nullable;

/** How parties come to speak with each other, and leave whom they spoke with before. */
public final class Answering {
  private final Draft draft;
  private final Clearing clearing;

  Answering(Draft draft, Clearing clearing) {
    this.draft = draft;
    this.clearing = clearing;
  }

  /** This party puts the others on hold, and is reminded of it after a time. */
  public void hold(Call call, Connection mine) {
    draft.emit(
        new TalkEvent.Held(
            call.id(),
            draft.now,
            mine.leg(),
            draft.now.plus(draft.settings().times().holdReminder())));
  }

  /** Whoever turns to another call leaves the one they were speaking on in good order. */
  public void holdActive(PersonId person) {
    for (CallId id : draft.state.inHand(person)) {
      Call call = draft.call(id);
      Connection connection = call.of(person);
      if (connection.state() != ConnectionState.CONNECTED) {
        continue;
      }
      if (call.failure() != null || call.mailbox() != null) {
        // Nobody is there to be held: the tone has told its reason, the message is over.
        clearing.gone(call, connection, Cause.NORMAL);
      } else {
        hold(call, connection);
      }
    }
  }

  /**
   * This party answers; wherever else the call rings, it stops.
   *
   * @param device where; null for whoever is no employee
   */
  public void establish(Call call, Connection answering, @Nullable DeviceId device) {
    draft.emit(new TalkEvent.Established(call.id(), draft.now, answering.leg(), device));
    for (Connection other : call.connections()) {
      if (!other.answered() && other.leg() != answering.leg()) {
        clearing.clear(call.id(), other, Cause.ANSWERED_ELSEWHERE);
      }
    }
  }

  /**
   * This employee takes part from now on, whether it rings at them or not.
   *
   * @param line whose call it is
   */
  public void join(Call call, PersonId person, @Nullable Party line, DeviceId device) {
    holdActive(person);
    if (call.of(person) == null) {
      Party me = new Party.Employee(person);
      draft.emit(
          new ReachEvent.Delivered(call.id(), draft.now, call.nextLeg(), me, line, draft.now));
    }
    Call ringing = draft.call(call.id());
    establish(ringing, ringing.of(person), device);
  }
}
