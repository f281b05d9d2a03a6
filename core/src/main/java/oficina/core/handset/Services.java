package oficina.core.handset;

import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.SendCommand;
import oficina.core.exchange.Asked;
import oficina.core.exchange.Offers.Service;
import oficina.core.numbers.Dialled;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.jspecify.annotations.Nullable;

/** The services of the exchange as a telephone asks for them. */
record Services(Hand hand) {

  private PersonId me() {
    return hand.me();
  }

  private Dialled dialled(String number) {
    return hand.around().exchange().office().plan().interpret(number);
  }

  /** What a service that needs no further choice asks for; null for one that does. */
  @Nullable Command command(Call call, Service service) {
    return new Asked(service, call.id(), hand.offers(call).with(), me(), hand.device())
        .command(hand.around().newCall());
  }

  Command place(String number, @Nullable GroupId line) {
    return new CallCommand.MakeCall(
        hand.around().newCall(), me(), hand.device(), dialled(number), null, line, null);
  }

  Command putThrough(CallId call, String number) {
    return new SendCommand.PutThrough(call, me(), dialled(number), null, null);
  }

  Command announce(CallId call, String number) {
    return new SendCommand.Announce(
        call, me(), hand.around().newCall(), hand.device(), dialled(number), null);
  }

  Command deflect(CallId call, String number) {
    return new SendCommand.Deflect(call, me(), dialled(number), null);
  }

  /**
   * @param slot empty for the next free one
   */
  Command park(CallId call, String slot) {
    return new SendCommand.Park(call, me(), slot.isEmpty() ? null : slot, null, "");
  }

  /** Whoever waits in a slot for somebody else is taken all the same: one has pressed its key. */
  Command takeParked(String slot) {
    return new SendCommand.TakeParked(null, me(), hand.device(), slot, /* evenForOthers= */ true);
  }

  /**
   * @param from null for one's pickup group
   */
  Command pickUp(@Nullable PersonId from) {
    return new CallCommand.PickUp(me(), hand.device(), from);
  }

  /** Keys for whoever listens to them in this call. */
  Command digits(Call call, char digit) {
    return new CallCommand.SendDigits(call.id(), me(), String.valueOf(digit));
  }

  /**
   * Leaves the call that is spoken on here. Whoever announces somebody hands them over by it; when
   * nobody is there to take them they stay on hold, and are not suddenly heard through the speaker.
   */
  Command hangUp(Call active) {
    boolean announces = hand.offers(active).announces() != null;
    return announces && hand.offers(active, Service.HAND_OVER)
        ? command(active, Service.HAND_OVER)
        : new CallCommand.Clear(active.id(), me());
  }

  /** What the key of a line does that several people answer: takes what rings there. */
  @Nullable Command takeFrom(Party line) {
    for (Call call : hand.calls()) {
      Connection mine = call.of(me());
      if (mine.rings() && line.equals(mine.line())) {
        return command(call, Service.ANSWER);
      }
    }
    return null;
  }

  /**
   * What the key of one's own line asks for: it answers what rings, takes here what is spoken
   * elsewhere, and goes on with whoever is held.
   *
   * @return null when there is nothing of these
   */
  @Nullable Command own() {
    Call ringing = hand.ringing();
    Call active = hand.active();
    if (ringing != null) {
      return command(ringing, Service.ANSWER);
    }
    if (active != null) {
      return hand.isHere(active) ? null : command(active, Service.MOVE_HERE);
    }
    return hand.calls().stream()
        .filter(each -> each.of(me()).state() == ConnectionState.HOLD)
        .findFirst()
        .map(held -> command(held, Service.RETRIEVE))
        .orElse(null);
  }
}
