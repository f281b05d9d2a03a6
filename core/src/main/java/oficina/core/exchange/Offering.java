package oficina.core.exchange;

import java.util.ArrayList;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.decision.Refusal;
import oficina.core.draft.Draft;
import oficina.core.draft.Refusals;
import oficina.core.exchange.Offers.Service;
import oficina.core.machines.Mailboxes;
import oficina.core.machines.Tapes;
import oficina.core.people.PersonId;
import oficina.core.services.CallBacks;
import oficina.core.services.Conferencing;
import oficina.core.services.Handling;
import oficina.core.services.Parking;
import oficina.core.services.Sending;
import oficina.core.services.Talking;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.OutsidePhone;
import org.jspecify.annotations.Nullable;

/** Decides what a call offers, by asking the very guards that would refuse it. */
final class Offering {
  private final Draft draft;
  private final Handling handling;
  private final Talking talking;
  private final Sending sending;
  private final Parking parking;
  private final Conferencing conferencing;
  private final CallBacks callBacks;
  private final Mailboxes mailboxes;
  private final Tapes tapes;
  private final List<Service> services = new ArrayList<>();

  Offering(Services with) {
    draft = with.then().draft();
    handling = with.handling();
    talking = with.talking();
    sending = with.sending();
    parking = with.parking();
    conferencing = with.conferencing();
    callBacks = with.callBacks();
    mailboxes = with.mailboxes();
    tapes = with.tapes();
  }

  private void offer(Service service, @Nullable Refusal refusal) {
    if (refusal == null) {
      services.add(service);
    }
  }

  Offers of(Call call, PersonId person) {
    Connection mine = call.of(person);
    if (mine == null) {
      offer(Service.PULL_BACK, sending.mayPullBack(call, person));
      return new Offers(services, null, null, null);
    }
    if (mine.rings()) {
      ringing(call, mine);
      return new Offers(services, null, null, null);
    }
    Call waits = call.heldFor() == null ? null : inHand(call.heldFor(), person);
    if (waits != null && call.asideOf() != null) {
      aside(call, mine, waits);
      return new Offers(services, null, waits.id(), null);
    }
    if (waits != null) {
      announcing(call, mine, waits);
      return new Offers(services, waits.id(), null, null);
    }
    Call partner = partner(call, mine);
    inHand(call, mine, partner);
    return new Offers(services, null, null, partner == null ? null : partner.id());
  }

  private @Nullable Call inHand(CallId id, PersonId person) {
    Call call = draft.call(id);
    return call == null || call.of(person) == null ? null : call;
  }

  private void ringing(Call call, Connection mine) {
    offer(Service.ANSWER, handling.mayAnswer(call, mine));
    offer(Service.DEFLECT, sending.mayDeflect(call, mine));
    offer(Service.DECLINE, handling.mayDecline(mine));
    offer(Service.TO_MAILBOX, mailboxes.mayTakeMessage(call, mine));
    if (!mine.silenced()) {
      offer(Service.SILENCE, handling.mayDecline(mine));
    }
  }

  /** Whether nothing can be done yet but to take it to another device: the telephone is rung. */
  private boolean isToBePlaced(Call call, Connection mine) {
    OutsidePhone phone = draft.state.outsidePhone(who(mine));
    return phone != null && phone.isToPlace(call);
  }

  private void inHand(Call call, Connection mine, @Nullable Call partner) {
    if (isToBePlaced(call, mine)) {
      offer(Service.MOVE_HERE, handling.mayMove(mine));
      services.add(Service.CLEAR);
      return;
    }
    boolean held = mine.state() == ConnectionState.HOLD;
    if (held) {
      offer(Service.RETRIEVE, talking.mayRetrieve(mine));
    } else {
      offer(Service.HOLD, talking.mayHold(call, mine));
      offer(mine.muted() ? Service.UNMUTE : Service.MUTE, talking.mayMute(call, mine));
      offer(Service.TRANSFER, Refusals.twoParties(call));
    }
    offer(Service.PARK, parking.mayPark(call));
    if (!held || mine.tape().on()) {
      record(call, mine);
    }
    if (partner != null) {
      offer(Service.JOIN, conferencing.mayJoin(call, mine, partner));
      offer(Service.HAND_OVER, sending.mayHandOver(call, mine, partner));
    }
    if (!held) {
      offer(Service.ADD, sending.mayAnnounce(call, mine));
    }
    if (call.conversation()) {
      offer(Service.MOVE_HERE, handling.mayMove(mine));
    }
    offer(Service.DIGITS, talking.maySendDigits(call, mine));
    offer(Service.CALL_BACK, callBacks.mayRequest(call, mine));
    offer(Service.TO_MAILBOX, mailboxes.mayTakeMessage(call, mine));
    offer(Service.END_FOR_ALL, Conferencing.mayEndForAll(call, mine));
    services.add(Service.CLEAR);
  }

  private void record(Call call, Connection mine) {
    boolean on = mine.tape().on();
    offer(
        on ? Service.STOP_RECORDING : Service.RECORD,
        on ? tapes.mayStop(mine) : tapes.mayStart(call, mine));
  }

  private void aside(Call call, Connection mine, Call conference) {
    offer(Service.JOIN, conferencing.mayJoin(conference, conference.of(who(mine)), call));
    swap(call, mine, conference);
    record(call, mine);
    services.add(Service.CLEAR);
  }

  private void announcing(Call call, Connection mine, Call waits) {
    if (isToBePlaced(call, mine)) {
      offer(Service.MOVE_HERE, handling.mayMove(mine));
      services.add(Service.RECONNECT);
      return;
    }
    Connection there = waits.of(who(mine));
    boolean toConference = waits.conference();
    if (toConference) {
      offer(Service.JOIN, conferencing.mayJoin(waits, there, call));
    }
    offer(Service.HAND_OVER, sending.mayHandOver(waits, there, call));
    swap(call, mine, waits);
    if (!toConference) {
      offer(Service.JOIN, conferencing.mayJoin(waits, there, call));
    }
    offer(Service.TO_MAILBOX, mailboxes.mayTakeMessage(call, mine));
    record(call, mine);
    services.add(Service.RECONNECT);
  }

  /** Speaking with the other one in turn. */
  private void swap(Call call, Connection mine, Call waits) {
    if (mine.state() == ConnectionState.HOLD) {
      offer(Service.RETRIEVE, talking.mayRetrieve(mine));
    } else if (call.conversation()) {
      offer(Service.SWAP, talking.mayRetrieve(waits.of(who(mine))));
    }
  }

  /** The other call in hand with which a held one can be joined: the one being spoken on. */
  private @Nullable Call partner(Call call, Connection mine) {
    if (mine.state() != ConnectionState.HOLD || !call.conversation()) {
      return null;
    }
    for (CallId id : draft.state.inHand(who(mine))) {
      Call other = draft.call(id);
      boolean active = other.of(who(mine)).state() == ConnectionState.CONNECTED;
      if (active
          && other.conversation()
          && other.sent() == null
          && !belongsToAnother(other, mine)) {
        return other;
      }
    }
    return null;
  }

  /** Whether one is on it for the sake of a third call, and will be back there. */
  private boolean belongsToAnother(Call call, Connection mine) {
    return call.heldFor() != null && inHand(call.heldFor(), who(mine)) != null;
  }

  private static PersonId who(Connection mine) {
    return mine.party().employee();
  }
}
