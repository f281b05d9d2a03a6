package oficina.core.exchange;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;

/** What the exchange can be asked to do: services of ECMA-269, and what the network reports. */
public sealed interface Command {

  /** Asked by an employee for a call of theirs. */
  sealed interface ByPerson extends Command {
    CallId call();

    PersonId person();
  }

  /** Reported by the public network for a call it carries. */
  sealed interface ByNetwork extends Command {
    CallId call();
  }

  /**
   * Make call.
   *
   * @param call identity of the new call
   * @param to what was dialled
   * @param callerId what a called outsider is to be shown
   */
  record MakeCall(CallId call, PersonId person, DeviceId device, Dialled to, CallerId callerId)
      implements ByPerson {}

  /** Answer call. */
  record Answer(CallId call, PersonId person, DeviceId device) implements ByPerson {}

  /** Refuse a ringing call; it goes where an unanswered one would. */
  record Decline(CallId call, PersonId person) implements ByPerson {}

  /** Stop the noise of a ringing call. */
  record Silence(CallId call, PersonId person) implements ByPerson {}

  /** Clear connection: hang up. */
  record Clear(CallId call, PersonId person) implements ByPerson {}

  /** Hold call. */
  record Hold(CallId call, PersonId person) implements ByPerson {}

  /** Retrieve call; another active one is held. */
  record Retrieve(CallId call, PersonId person) implements ByPerson {}

  /** Be heard by nobody, or be heard again. */
  record Mute(CallId call, PersonId person, boolean on) implements ByPerson {}

  /** Single-step transfer: send the other party on, without speaking to the target first. */
  record PutThrough(CallId call, PersonId person, Dialled to, CallerId callerId)
      implements ByPerson {}

  /** Take back a call that was sent on, as long as nobody has answered it. */
  record PullBack(CallId call, PersonId person, DeviceId device) implements ByPerson {}

  /** Deflect: send a ringing call on without answering it. */
  record Deflect(CallId call, PersonId person, Dialled to, CallerId callerId) implements ByPerson {}

  /**
   * Consultation: hold this call and place another one to announce it.
   *
   * @param announcement identity of the new call
   */
  record Announce(
      CallId call,
      PersonId person,
      CallId announcement,
      DeviceId device,
      Dialled to,
      CallerId callerId)
      implements ByPerson {}

  /** Transfer: connect the other parties of two calls in hand and leave both. */
  record HandOver(CallId call, PersonId person, CallId other) implements ByPerson {}

  /** Conference: bring the other parties of two calls in hand together and stay. */
  record Join(CallId call, PersonId person, CallId other) implements ByPerson {}

  /**
   * Speak with one member of a conference alone, in a call of its own, until {@link Join} brings
   * both back.
   *
   * @param leg the member's connection
   * @param aside identity of the new call
   */
  record TakeAside(CallId call, PersonId person, int leg, CallId aside, DeviceId device)
      implements ByPerson {}

  /** Have a member of a conference heard by nobody, or heard again. */
  record MuteMember(CallId call, PersonId person, int leg, boolean on) implements ByPerson {}

  /** Clear connection of another member of a conference. */
  record Drop(CallId call, PersonId person, int leg) implements ByPerson {}

  /** Clear call: end a conference for everybody. */
  record EndForAll(CallId call, PersonId person) implements ByPerson {}

  /**
   * Park call.
   *
   * @param slot where; null for the next free one
   * @param forWhom whom it waits for; null for anybody
   * @param note what is to be known of it; empty when nothing
   */
  record Park(CallId call, PersonId person, String slot, PersonId forWhom, String note)
      implements ByPerson {}

  /**
   * Take the call that waits in a park slot.
   *
   * @param call the call expected there; null for whatever waits
   */
  record TakeParked(CallId call, PersonId person, DeviceId device, String slot)
      implements Command {}

  /** Go on with a call on another of one's own devices. */
  record MoveHere(CallId call, PersonId person, DeviceId device) implements ByPerson {}

  /** Call back: after a call that failed, be connected as soon as the colleague is free. */
  record RequestCallBack(CallId call, PersonId person, CallId request) implements ByPerson {}

  /** Cancel call back. */
  record CancelCallBack(CallId request, PersonId person) implements Command {}

  /** Reconnect: end the announcing call and go back to the one it announces. */
  record Reconnect(CallId call, PersonId person) implements ByPerson {}

  /**
   * Directed or group pickup: answer the call that has been ringing longest at one of these people.
   */
  record PickUp(PersonId person, DeviceId device, List<PersonId> from) implements Command {
    public PickUp {
      from = List.copyOf(from);
    }
  }

  /** Generate digits: send these to the outside party. */
  record SendDigits(CallId call, PersonId person, String digits) implements ByPerson {}

  /**
   * A call arrives from the public network.
   *
   * @param from null when the caller withheld it
   */
  record Arrive(CallId call, PhoneNumber from, PhoneNumber to) implements ByNetwork {}

  /** It rings at the outside party. */
  record NetworkRings(CallId call, int leg) implements ByNetwork {}

  /** The outside party answered. */
  record NetworkAnswers(CallId call, int leg) implements ByNetwork {}

  /** The network cannot complete the call. */
  record NetworkFails(CallId call, int leg, Cause cause) implements ByNetwork {}

  /** The outside party hung up. */
  record NetworkClears(CallId call, int leg) implements ByNetwork {}

  /** Time has passed: do what is due. */
  record Tick() implements Command {}
}
