package oficina.core.exchange;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Settings;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import org.jspecify.annotations.Nullable;

/** What the exchange can be asked to do: services of ECMA-269, and what the network reports. */
public sealed interface Command {

  /** What is to be done for each kind of command; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(MakeCall command);

    R of(Answer command);

    R of(Decline command);

    R of(Silence command);

    R of(Clear command);

    R of(Hold command);

    R of(Retrieve command);

    R of(Mute command);

    R of(PutThrough command);

    R of(PullBack command);

    R of(Deflect command);

    R of(Announce command);

    R of(HandOver command);

    R of(Join command);

    R of(TakeAside command);

    R of(MuteMember command);

    R of(Drop command);

    R of(EndForAll command);

    R of(Park command);

    R of(TakeParked command);

    R of(MoveHere command);

    R of(RequestCallBack command);

    R of(CancelCallBack command);

    R of(Reconnect command);

    R of(PickUp command);

    R of(TakeOver command);

    R of(SendDigits command);

    R of(ToMailbox command);

    R of(TakeFromMailbox command);

    R of(Tape command);

    R of(GreetingOver command);

    R of(MessageSounds command);

    R of(CallerSilent command);

    R of(AttendantClears command);

    R of(WelcomeOver command);

    R of(WelcomeConnects command);

    R of(AttendantConnects command);

    R of(Arrive command);

    R of(NetworkRings command);

    R of(NetworkAnswers command);

    R of(NetworkFails command);

    R of(NetworkClears command);

    R of(NetworkKeys command);

    R of(Tick command);

    R of(DeviceComes command);

    R of(DeviceGoes command);

    R of(LendDevice command);

    R of(SetStatus command);

    R of(Leave command);
  }

  <R> R accept(Cases<R> cases);

  /** Asked by an employee for a call that they have a part in. */
  sealed interface ByPerson extends Command {
    CallId call();

    PersonId person();
  }

  /** What is done at a device of the person. */
  sealed interface AtDevice extends Command {
    PersonId person();

    DeviceId device();
  }

  /** The same, where a telephone outside can be that device: it is rung first. */
  sealed interface RingsOutside extends AtDevice {}

  /** Reported by the public network for a call that it carries. */
  sealed interface ByNetwork extends Command {
    CallId call();

    /** The connection of the outside party. */
    int leg();
  }

  /**
   * Make call.
   *
   * @param call identity of the new call
   * @param to what was dialled
   * @param callerId what a called outsider is to be shown; null for what the person has chosen
   * @param line the line it goes out on, whose number is shown instead; null for none
   * @param behalf the colleague in whose name it is placed; null for one's own
   */
  record MakeCall(
      CallId call,
      PersonId person,
      DeviceId device,
      Dialled to,
      @Nullable CallerIdChoice callerId,
      @Nullable GroupId line,
      @Nullable PersonId behalf)
      implements ByPerson, RingsOutside {

    /** On one's own line, in one's own name. */
    public MakeCall(
        CallId call,
        PersonId person,
        DeviceId device,
        Dialled to,
        @Nullable CallerIdChoice callerId) {
      this(call, person, device, to, callerId, null, null);
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Answer call. */
  record Answer(CallId call, PersonId person, DeviceId device) implements ByPerson, AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Refuse a ringing call; it goes where an unanswered one would. */
  record Decline(CallId call, PersonId person) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Stop the noise of a ringing call. */
  record Silence(CallId call, PersonId person) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Clear connection: hang up. */
  record Clear(CallId call, PersonId person) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Hold call. */
  record Hold(CallId call, PersonId person) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Retrieve call; another active one is held. */
  record Retrieve(CallId call, PersonId person) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Be heard by nobody, or be heard again. */
  record Mute(CallId call, PersonId person, boolean on) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Single-step transfer: send the other party on, without speaking to the target first.
   *
   * @param unanswered where it goes when nobody takes it there; null for what the office has set
   */
  record PutThrough(
      CallId call,
      PersonId person,
      Dialled to,
      @Nullable CallerIdChoice callerId,
      Settings.@Nullable Unanswered unanswered)
      implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Take back a call that was sent on, as long as nobody has answered it. */
  record PullBack(CallId call, PersonId person, DeviceId device) implements ByPerson, AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Deflect: send a ringing call on without answering it. */
  record Deflect(CallId call, PersonId person, Dialled to, @Nullable CallerIdChoice callerId)
      implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

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
      @Nullable CallerIdChoice callerId)
      implements ByPerson, RingsOutside {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Transfer: connect the other parties of two calls in hand and leave both. */
  record HandOver(CallId call, PersonId person, CallId other) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Conference: bring the other parties of two calls in hand together and stay. */
  record Join(CallId call, PersonId person, CallId other) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Speak with one member of a conference alone, in a call of its own, until {@link Join} brings
   * both back.
   *
   * @param leg the member's connection
   * @param aside identity of the new call
   */
  record TakeAside(CallId call, PersonId person, int leg, CallId aside, DeviceId device)
      implements ByPerson, AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Have a member of a conference heard by nobody, or heard again. */
  record MuteMember(CallId call, PersonId person, int leg, boolean on) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Clear connection of another member of a conference. */
  record Drop(CallId call, PersonId person, int leg) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Clear call: end a conference for everybody. */
  record EndForAll(CallId call, PersonId person) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Park call.
   *
   * @param slot where; null for the next free one
   * @param forWhom whom it waits for; null for anybody
   * @param note what is to be known of it; empty when nothing
   */
  record Park(
      CallId call, PersonId person, @Nullable String slot, @Nullable PersonId forWhom, String note)
      implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Take the call that waits in a park slot.
   *
   * @param call the call expected there; null for whatever waits
   * @param evenForOthers whether it is wanted even if it is meant for somebody else
   */
  record TakeParked(
      @Nullable CallId call, PersonId person, DeviceId device, String slot, boolean evenForOthers)
      implements AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Go on with a call on another of one's own devices. */
  record MoveHere(CallId call, PersonId person, DeviceId device) implements ByPerson, RingsOutside {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Call back: after a call that failed, be connected as soon as the colleague is free. */
  record RequestCallBack(CallId call, PersonId person, CallId request) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Cancel call back. */
  record CancelCallBack(CallId request, PersonId person) implements Command {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Reconnect: end the announcing call and go back to the one it announces. */
  record Reconnect(CallId call, PersonId person) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Directed or group pickup: answer the call that has been ringing longest there.
   *
   * @param from at whom it rings; null for one's pickup group
   */
  record PickUp(PersonId person, DeviceId device, @Nullable PersonId from) implements AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Answer, or go on with, a call that rings at somebody or is held by them for whom one acts, or
   * who has it in one's own name.
   */
  record TakeOver(CallId call, PersonId person, DeviceId device) implements AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Generate digits: send these to the outside party. */
  record SendDigits(CallId call, PersonId person, String digits) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Have a mailbox take a message: for oneself, of a call that rings here; of whom one has called
   * in vain; or from the caller one has announced, for whom one wanted to hand them over to.
   */
  record ToMailbox(CallId call, PersonId person) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Speak with a caller who is leaving a message for oneself, or for a group of one's own. */
  record TakeFromMailbox(CallId call, PersonId person, DeviceId device) implements AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Start or stop recording one's part in a call. */
  record Tape(CallId call, PersonId person, boolean on) implements ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Reported by what plays greetings and records messages, for a mailbox in a call. */
  sealed interface ByMailbox extends Command {
    CallId call();

    /** The connection of the mailbox. */
    int leg();
  }

  /** The greeting has been played. */
  record GreetingOver(CallId call, int leg) implements ByMailbox {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** As much has been said by now as makes a message. */
  record MessageSounds(CallId call, int leg) implements ByMailbox {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Nothing has been said for so long that no more is expected. */
  record CallerSilent(CallId call, int leg) implements ByMailbox {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Whoever was welcomed to a line has dialled nothing that is of use; it rings there now. */
  record WelcomeOver(CallId call, int leg) implements Command {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Whoever was welcomed to a line has dialled an extension. */
  record WelcomeConnects(CallId call, int leg, Dialled to) implements Command {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The voice that reads messages out has said its last word. */
  record AttendantClears(CallId call, int leg) implements Command {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The voice that reads messages out connects whoever listens with somebody who left one.
   *
   * @param owner whose messages they are
   */
  record AttendantConnects(CallId call, int leg, PersonId owner, Dialled to) implements Command {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * A call arrives from the public network.
   *
   * @param from null when the caller withheld it
   */
  record Arrive(CallId call, @Nullable PhoneNumber from, PhoneNumber to) implements Command {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** It rings at the outside party. */
  record NetworkRings(CallId call, int leg) implements ByNetwork {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The outside party answered. */
  record NetworkAnswers(CallId call, int leg) implements ByNetwork {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The network cannot complete the call. */
  record NetworkFails(CallId call, int leg, Cause cause) implements ByNetwork {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The outside party hung up. */
  record NetworkClears(CallId call, int leg) implements ByNetwork {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The outside party pressed keys. */
  record NetworkKeys(CallId call, int leg, String digits) implements ByNetwork {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * A device of this person is there from now on.
   *
   * @param attended whether somebody is known to be at it
   */
  record DeviceComes(PersonId person, DeviceId device, DeviceKind kind, boolean attended)
      implements Command {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A device of this person is no longer there. */
  record DeviceGoes(PersonId person, DeviceId device) implements Command {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A device is somebody else's from now on, if nobody is on a call at it. */
  record LendDevice(DeviceId device, PersonId from, PersonId to) implements Command {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Says of oneself what one is. Free, and nothing more, is to say nothing.
   *
   * @param text in one's own words; empty for none
   * @param until when it undoes itself; null for when one changes it
   */
  record SetStatus(PersonId person, Status.Kind kind, String text, @Nullable Instant until)
      implements Command {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Somebody is no longer of the office: their calls, wishes and devices end. */
  record Leave(PersonId person) implements Command {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Time has passed: do what is due. */
  record Tick() implements Command {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }
}
