package oficina.core.services;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.call.PhoneStage;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Onward;
import oficina.core.draft.Reachability;
import oficina.core.events.PhoneEvent;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.Device;
import oficina.core.state.OutsidePhone;
import org.jspecify.annotations.Nullable;

/**
 * Telephones outside that people use as one of their devices, to place calls and to go on with
 * them. Such a telephone is rung first. Whoever answers presses a key, so that the mailbox of a
 * mobile telephone never swallows a call; then the other party is rung, or the call moves there.
 * The line is kept as long as its person has a call in hand there.
 */
public final class OutsidePhones {
  private final Draft draft;
  private final Reachability reach;
  private final Onward onward;
  private final Clearing clearing;
  private final Talking talking;
  private final Devices devices;

  /** For one decision. */
  public OutsidePhones(Consequences then, Talking talking, Devices devices) {
    draft = then.draft();
    reach = then.reach();
    onward = then.onward();
    clearing = then.clearing();
    this.talking = talking;
    this.devices = devices;
  }

  /**
   * Refused when a call cannot be had there.
   *
   * @param with whom they would speak with there; null when that is settled already
   */
  public @Nullable Refusal mayUse(PersonId person, @Nullable Party with) {
    PhoneNumber number =
        draft.office.directory().person(person).map(Person::outsidePhone).orElse(null);
    if (number == null) {
      return Refusal.of(Reason.NO_OUTSIDE_PHONE);
    }
    if (draft.settings().barring().bars(person, number)) {
      return Refusal.of(Reason.NUMBER_BARRED);
    }
    if (with != null && number.equals(with.outsideNumber())) {
      return Refusal.of(Reason.OWN_NUMBER);
    }
    OutsidePhone phone = draft.state.outsidePhone(person);
    if (phone != null) {
      return phone.isThere() ? null : Refusal.of(Reason.PHONE_RINGS);
    }
    return reach.linesBusy() ? Refusal.of(Reason.NO_LINE_TO_PHONE) : null;
  }

  /** Refused when a service that rings nowhere first is wanted there, and nobody is there. */
  public @Nullable Refusal mustBeThere(PersonId person, DeviceId device) {
    return !device.isOutside() || isThere(person) ? null : Refusal.of(Reason.PHONE_NOT_THERE);
  }

  /** Whether this person is at their telephone outside. */
  public boolean isThere(PersonId person) {
    OutsidePhone phone = draft.state.outsidePhone(person);
    return phone != null && phone.isThere();
  }

  /** Where somebody calls for help: at once, and not by ringing themselves first. */
  public DeviceId atOnce(PersonId person, DeviceId device) {
    if (!device.isOutside() || isThere(person)) {
      return device;
    }
    List<Device> devices = draft.state.devices(person);
    return devices.stream()
        .filter(Device::attended)
        .findFirst()
        .or(() -> devices.stream().findFirst())
        .map(Device::id)
        .orElse(device);
  }

  /** The telephone that is rung for this call, as long as nobody is there; null when none is. */
  public @Nullable OutsidePhone awaited(PersonId person, Call call) {
    OutsidePhone phone = draft.state.outsidePhone(person);
    return phone != null && !phone.isThere() && phone.concerns(call) ? phone : null;
  }

  /** Rings there for a conversation that is to go on there. */
  public @Nullable Refusal ringToMove(PersonId person, Call call) {
    Refusal refusal =
        call.conversation()
            ? mayUse(person, call.otherFor(person))
            : Refusal.of(Reason.NOT_ANSWERED);
    if (refusal == null) {
      ring(person, call.id(), /* places= */ false);
    }
    return refusal;
  }

  /** Rings there, for a call to be placed or to be moved there. */
  public void ring(PersonId person, CallId call, boolean places) {
    PhoneNumber number = draft.office.directory().person(person).orElseThrow().outsidePhone();
    draft.emit(
        new PhoneEvent.PhoneCalled(
            person,
            new CallId(call.value() + "@" + draft.now.toEpochMilli()),
            number,
            draft.now,
            draft.now.plus(draft.settings().times().networkPatience()),
            draft.office.callerId(person, CallerIdChoice.DIRECT),
            call,
            places));
  }

  // --- what the network reports -----------------------------------------------------------------

  /** The network says that it rings there. */
  public void rings(OutsidePhone phone) {
    if (phone.stage() == PhoneStage.SETTING_UP) {
      progress(phone, PhoneStage.RINGING, phone.due());
    }
  }

  /** The network says that somebody or something has answered there, who is asked for the key. */
  public void answers(OutsidePhone phone) {
    if (phone.stage() == PhoneStage.SETTING_UP || phone.stage() == PhoneStage.RINGING) {
      progress(phone, PhoneStage.ASKED, draft.now.plus(TakingByKey.PATIENCE));
    }
  }

  /** Keys were pressed there: to come to it, or in the call that is had there. */
  public void keys(OutsidePhone phone, String digits) {
    if (phone.stage() == PhoneStage.ASKED && TakingByKey.takes(digits)) {
      progress(phone, PhoneStage.THERE, null);
      comesTo(phone);
    } else if (phone.isThere()) {
      Call call = phone.speaksIn(draft.state);
      if (call != null) {
        talking.sendDigits(call, call.of(phone.person()), digits);
      }
    }
  }

  private void progress(OutsidePhone phone, PhoneStage stage, @Nullable Instant until) {
    draft.emit(
        new PhoneEvent.PhoneProgressed(phone.person(), phone.line(), draft.now, stage, until));
  }

  /** Whoever pressed the key turns to the call for which they were rung. */
  private void comesTo(OutsidePhone phone) {
    Call call = draft.call(phone.call());
    Connection mine = call.of(phone.person());
    if (!phone.places()) {
      talking.move(call, mine, DeviceId.OUTSIDE);
    }
    if (mine.state() == ConnectionState.HOLD) {
      talking.retrieve(call, mine);
    }
    if (phone.places()) {
      place(draft.call(call.id()));
    }
  }

  /** Places a call that waited for it. Whoever has gone to a mailbox meanwhile is there already. */
  public void place(Call call) {
    if (call.connections().size() > 1) {
      return;
    }
    onward.follow(call.id(), reach.walk(call).to(call.called()), List.of(), call.callerId());
  }

  /** Nobody is to come there any more; the call stays where it is. */
  public void giveUp(OutsidePhone phone) {
    release(phone, Cause.NORMAL, null);
  }

  /**
   * The line is gone, or nobody came to it in time. Whoever hangs up there ends the call in which
   * they speak; a line that fails leaves it to be taken at another device.
   */
  public void gone(OutsidePhone phone, Cause cause) {
    Call wanted = phone.isThere() ? null : draft.call(phone.call());
    if (phone.isThere() && cause == Cause.NORMAL) {
      Call call = phone.speaksIn(draft.state);
      if (call != null) {
        clearing.gone(call, call.of(phone.person()), Cause.NORMAL);
      }
    }
    if (wanted != null && phone.isToPlace(wanted)) {
      onward.fail(wanted.id(), Cause.PHONE_NOT_ANSWERED, List.of());
    }
    release(phone, cause, wanted == null ? null : wanted.id());
  }

  private void release(OutsidePhone phone, Cause cause, @Nullable CallId inVain) {
    draft.emit(
        new PhoneEvent.PhoneReleased(phone.person(), phone.line(), draft.now, cause, inVain));
    devices.lookAfterCalls(phone.person(), DeviceId.OUTSIDE);
  }

  // --- what follows from everything else --------------------------------------------------------

  /** After everything that happens: lets go of telephones that nobody needs any more. */
  public void letGo() {
    for (OutsidePhone phone : draft.state.outsidePhones()) {
      if (!needed(phone)) {
        giveUp(phone);
      }
    }
  }

  private boolean needed(OutsidePhone phone) {
    if (phone.isThere()) {
      return draft.state.inHand(phone.person()).stream()
          .anyMatch(id -> phone.concerns(draft.call(id)));
    }
    Call call = draft.call(phone.call());
    Connection mine = call == null ? null : call.of(phone.person());
    boolean goesOn = mine != null && mine.answered() && call.failure() == null;
    return goesOn && (phone.places() || call.conversation());
  }

  /** Has happen what is due by now. */
  public void timeIsUp() {
    for (OutsidePhone phone : draft.state.outsidePhones()) {
      if (phone.due() != null && !phone.due().isAfter(draft.now)) {
        gone(phone, Cause.NO_ANSWER);
      }
    }
  }
}
