package oficina.core.exchange;

import oficina.core.call.CallId;
import oficina.core.people.PersonId;

/** Takes an offer, as a page does. */
final class Taking {
  private Taking() {}

  /** The command by which an offer is taken, or null when it needs a further choice. */
  static Command of(Offers.Service service, Offers offers, CallId call, PersonId person) {
    CallId waits = offers.announces() != null ? offers.announces() : offers.asideOf();
    // A held call is joined with the active one; an announced one with what was placed for it.
    CallId into = waits != null ? waits : call;
    CallId with = waits != null ? call : offers.partner();
    return switch (service) {
      case ANSWER -> new Command.Answer(call, person, Scene.WINDOW);
      case DECLINE -> new Command.Decline(call, person);
      case SILENCE -> new Command.Silence(call, person);
      case HOLD -> new Command.Hold(call, person);
      case RETRIEVE -> new Command.Retrieve(call, person);
      case MUTE -> new Command.Mute(call, person, true);
      case UNMUTE -> new Command.Mute(call, person, false);
      case HAND_OVER -> new Command.HandOver(into, person, with);
      case SWAP -> new Command.Retrieve(waits, person);
      case JOIN -> new Command.Join(into, person, with);
      case RECONNECT -> new Command.Reconnect(call, person);
      case PULL_BACK -> new Command.PullBack(call, person, Scene.WINDOW);
      case MOVE_HERE -> new Command.MoveHere(call, person, Scene.WINDOW);
      case CALL_BACK -> new Command.RequestCallBack(call, person, new CallId("a wish"));
      case TO_MAILBOX -> new Command.ToMailbox(call, person);
      case RECORD -> new Command.Tape(call, person, true);
      case STOP_RECORDING -> new Command.Tape(call, person, false);
      case END_FOR_ALL -> new Command.EndForAll(call, person);
      case CLEAR -> new Command.Clear(call, person);
      case DEFLECT, TRANSFER, DIGITS, PARK, ADD -> null;
    };
  }
}
