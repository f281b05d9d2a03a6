package oficina.core.exchange;

import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.SendCommand;
import oficina.core.exchange.Offers.Service;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * A service that somebody asks for, whether on a screen or by the keys of a telephone.
 *
 * @param with the other of two calls in hand, for a service that concerns both; {@link Offers#with}
 *     has it
 * @param device on which they want to speak, for a service that connects them
 */
public record Asked(
    Service service, CallId call, @Nullable CallId with, PersonId by, DeviceId device) {

  /**
   * The command for it.
   *
   * @param wish the identity that a wish to be called back would get
   * @return null for a service that wants a further choice
   */
  public @Nullable Command command(CallId wish) {
    return switch (service) {
      case ANSWER -> new CallCommand.Answer(call, by, device);
      case DECLINE -> new CallCommand.Decline(call, by);
      case SILENCE -> new CallCommand.Silence(call, by);
      case HOLD -> new CallCommand.Hold(call, by);
      case RETRIEVE -> new CallCommand.Retrieve(call, by);
      case MUTE, UNMUTE -> new CallCommand.Mute(call, by, service == Service.MUTE);
      case HAND_OVER -> new SendCommand.HandOver(call, by, other());
      case SWAP -> new CallCommand.Retrieve(other(), by);
      case JOIN -> new ConferenceCommand.Join(call, by, other());
      case RECONNECT -> new SendCommand.Reconnect(call, by);
      case PULL_BACK -> new SendCommand.PullBack(call, by, device);
      case RECORD, STOP_RECORDING -> new CallCommand.Tape(call, by, service == Service.RECORD);
      case MOVE_HERE -> new CallCommand.MoveHere(call, by, device);
      case CALL_BACK -> new SendCommand.RequestCallBack(call, by, wish);
      case TO_MAILBOX -> new SendCommand.ToMailbox(call, by);
      case END_FOR_ALL -> new ConferenceCommand.EndForAll(call, by);
      case CLEAR -> new CallCommand.Clear(call, by);
      case DEFLECT, TRANSFER, DIGITS, PARK, ADD -> null;
    };
  }

  /** A call is no other call than itself, which is refused with the reason. */
  private CallId other() {
    return with == null ? call : with;
  }
}
