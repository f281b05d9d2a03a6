package oficina.core.draft;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.MessageEnd;
import oficina.core.events.CallBackEvent;
import oficina.core.events.MachineEvent;
import oficina.core.events.TalkEvent;
import oficina.core.state.Call;
import oficina.core.state.Connection;

/** How parties leave a call and calls end, and what becomes of whoever is left. */
public final class Clearing {
  private final Draft draft;
  private final Onward onward;

  Clearing(Draft draft, Onward onward) {
    this.draft = draft;
    this.onward = onward;
  }

  /** This party is no longer in the call, whatever becomes of the others. */
  public void clear(CallId call, Connection leaving, Cause cause) {
    boolean taken = cause == Cause.ANSWERED_ELSEWHERE;
    stopRecording(
        call, draft.call(call).leg(leaving.leg()), taken ? MessageEnd.TAKEN : MessageEnd.HUNG_UP);
    draft.emit(new TalkEvent.ConnectionCleared(call, draft.now, leaving.leg(), cause));
  }

  /** It rings at no member of the line any more, and its caller waits there no longer. */
  public void leaveLine(Call call, Cause why) {
    call.connections().stream()
        .filter(each -> each.rings() || each.party().waitsAt() != null)
        .forEach(each -> clear(call.id(), each, why));
  }

  /** What a mailbox records is over, if it records. */
  public void stopRecording(CallId call, Connection mailbox, MessageEnd how) {
    if (mailbox.records()) {
      boolean kept = mailbox.taking() == Connection.Taking.MESSAGE;
      draft.emit(new MachineEvent.RecordingEnded(call, draft.now, mailbox.leg(), how, kept));
    }
  }

  /** A party leaves, or will not come; whoever can no longer speak with anybody is let go. */
  public void gone(Call call, Connection leaving, Cause cause) {
    boolean nextIsRung = call.waits() && leaving.rings() && cause != Cause.DECLINED;
    clear(call.id(), leaving, nextIsRung ? Cause.NOT_TAKEN : cause);
    CallId callBack = call.callBack();
    if (call.ringsBackAt(leaving) && callBack != null && draft.state.callBack(callBack) != null) {
      draft.emit(new CallBackEvent.CallBackCleared(callBack, draft.now, cause));
    }
    Call left = draft.call(call.id());
    if (left.conversation() || left.keepsPlace()) {
      return; // who keeps their place is called back, by this member or another
    }
    boolean somebodyThere = left.connections().stream().anyMatch(Connection::answered);
    boolean somebodyWanted = left.connections().stream().anyMatch(c -> !c.answered());
    if (somebodyThere && somebodyWanted) {
      return;
    }
    boolean onItsWay = left.sent() != null || left.answered() == null;
    if (somebodyThere && left.failure() == null && onItsWay) {
      onward.goOn(left, cause, List.of());
      return;
    }
    boolean cutOff = cause == Cause.LOST || cause == Cause.NETWORK_FAILURE;
    Cause ended = cutOff ? cause : Cause.NORMAL;
    end(left, somebodyThere || left.answered() != null ? ended : Cause.CALLER_GAVE_UP);
  }

  /**
   * The call is over for everybody.
   *
   * @param cause why; of one that could not be completed, that reason stands instead
   */
  public void end(Call call, Cause cause) {
    for (Connection connection : call.connections()) {
      clear(call.id(), connection, cause);
    }
    Cause why = call.failure() == null ? cause : call.failure().cause();
    draft.emit(new TalkEvent.CallCleared(call.id(), draft.now, why));
  }
}
