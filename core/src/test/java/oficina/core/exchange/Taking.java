package oficina.core.exchange;

import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.SendCommand;
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
      case ANSWER -> new CallCommand.Answer(call, person, Scene.WINDOW);
      case DECLINE -> new CallCommand.Decline(call, person);
      case SILENCE -> new CallCommand.Silence(call, person);
      case HOLD -> new CallCommand.Hold(call, person);
      case RETRIEVE -> new CallCommand.Retrieve(call, person);
      case MUTE -> new CallCommand.Mute(call, person, true);
      case UNMUTE -> new CallCommand.Mute(call, person, false);
      case HAND_OVER -> new SendCommand.HandOver(into, person, with);
      case SWAP -> new CallCommand.Retrieve(waits, person);
      case JOIN -> new ConferenceCommand.Join(into, person, with);
      case RECONNECT -> new SendCommand.Reconnect(call, person);
      case PULL_BACK -> new SendCommand.PullBack(call, person, Scene.WINDOW);
      case MOVE_HERE -> new CallCommand.MoveHere(call, person, Scene.WINDOW);
      case CALL_BACK -> new SendCommand.RequestCallBack(call, person, new CallId("a wish"));
      case TO_MAILBOX -> new SendCommand.ToMailbox(call, person);
      case RECORD -> new CallCommand.Tape(call, person, true);
      case STOP_RECORDING -> new CallCommand.Tape(call, person, false);
      case END_FOR_ALL -> new ConferenceCommand.EndForAll(call, person);
      case CLEAR -> new CallCommand.Clear(call, person);
      case DEFLECT, TRANSFER, DIGITS, PARK, ADD -> null;
    };
  }
}
