package oficina.core.state;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.MessageEnd;
import oficina.core.call.Occasion;
import oficina.core.call.Party;
import oficina.core.call.TapeEnd;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.routing.Diversion;
import oficina.core.routing.Way;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened at the exchange, in the words of ECMA-269. Everything else - what a desk
 * shows, the history, the drawn course of a call - is derived from these and from nothing else.
 */
public sealed interface ExchangeEvent {

  /** What it happened to, as the journal files it: a call, a wish, a device or a status. */
  String subject();

  Instant at();

  /** The call or wish it happened to; null when it happened to a device. */
  default @Nullable CallId inCall() {
    return null;
  }

  /** Whose device it happened to; null when it happened to a call. */
  default @Nullable PersonId deviceOf() {
    return null;
  }

  /** Who says something of themselves with it; null when it happened to something else. */
  default @Nullable PersonId statusOf() {
    return null;
  }

  /** The other subject that it changes too; null when none. All of them are replayed together. */
  default @Nullable String changesToo() {
    return null;
  }

  /** Whether its subject begins with it and is to be taken up again after a restart. */
  default boolean begins() {
    return false;
  }

  /** Whether its subject is over with it. */
  default boolean ends() {
    return false;
  }

  <R> R accept(Cases<R> cases);

  /** What is to be done for each kind of event; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(Originated event);

    R of(NetworkReached event);

    R of(Delivered event);

    R of(Asked event);

    R of(Silenced event);

    R of(Established event);

    R of(Held event);

    R of(Retrieved event);

    R of(HoldReminded event);

    R of(Muted event);

    R of(Unattended event);

    R of(Moved event);

    R of(Parked event);

    R of(SentOn event);

    R of(Routed event);

    R of(Blocked event);

    R of(Merged event);

    R of(DigitsSent event);

    R of(Failed event);

    R of(MailboxAnswered event);

    R of(Welcomed event);

    R of(RecordingBegan event);

    R of(MessageHeard event);

    R of(RecordingEnded event);

    R of(TapeStarted event);

    R of(TapeAnnounced event);

    R of(TapeRefused event);

    R of(TapeStopped event);

    R of(CallBackRequested event);

    R of(CallBackArmed event);

    R of(CallBackRings event);

    R of(CallBackAnswered event);

    R of(CallBackCleared event);

    R of(ConnectionCleared event);

    R of(CallCleared event);

    R of(DeviceCame event);

    R of(DeviceWent event);

    R of(PhoneCalled event);

    R of(PhoneProgressed event);

    R of(PhoneReleased event);

    R of(StatusSet event);

    R of(StatusOver event);
  }

  /** An event of a call or of a wish to be called back. */
  sealed interface OfCall extends ExchangeEvent {
    /** The call, or the identity of the wish. */
    CallId call();

    @Override
    default CallId inCall() {
      return call();
    }

    @Override
    default String subject() {
      return call().value();
    }
  }

  /** An event of a device. */
  sealed interface OfDevice extends ExchangeEvent {
    PersonId person();

    DeviceId device();

    @Override
    default PersonId deviceOf() {
      return person();
    }

    @Override
    default String subject() {
      return "device " + person() + " " + device();
    }
  }

  /**
   * A call was placed by an employee, or arrived from the public network.
   *
   * @param called who was called
   * @param device the employee's device; null for an outsider
   * @param callerId what a called outsider is shown
   * @param afterAnswer digits to send once an outsider answers; empty when none
   * @param announces the held call this one is placed to announce; null when none
   * @param asideOf the conference its other party is taken aside from; null when none
   * @param ways where it goes, one after the other, when nobody takes it where it is called
   * @param behalf in whose name the caller placed it; null for their own
   */
  record Originated(
      CallId call,
      Instant at,
      int leg,
      Party caller,
      Party called,
      @Nullable DeviceId device,
      CallerId callerId,
      String afterAnswer,
      @Nullable CallId announces,
      @Nullable CallId asideOf,
      List<Way> ways,
      @Nullable PersonId behalf)
      implements OfCall {

    /** In the caller's own name. */
    public Originated(
        CallId call,
        Instant at,
        int leg,
        Party caller,
        Party called,
        @Nullable DeviceId device,
        CallerId callerId,
        String afterAnswer,
        @Nullable CallId announces,
        @Nullable CallId asideOf,
        List<Way> ways) {
      this(
          call,
          at,
          leg,
          caller,
          called,
          device,
          callerId,
          afterAnswer,
          announces,
          asideOf,
          ways,
          null);
    }

    @Override
    public boolean begins() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * An outside line was taken and the number handed to the public network.
   *
   * @param until when the exchange gives up waiting for an answer
   * @param shown what the called party is shown; null when that is the caller ID of the call
   */
  record NetworkReached(
      CallId call, Instant at, int leg, Party party, Instant until, @Nullable CallerId shown)
      implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * It rings at this party.
   *
   * @param line which line it rings on: the person's own, a group's, or the outside number
   * @param until when ringing gives up
   */
  record Delivered(CallId call, Instant at, int leg, Party party, Party line, Instant until)
      implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * An outside number that stands for somebody's device has answered, and is asked for a key.
   *
   * @param until when it is given up without one
   */
  record Asked(CallId call, Instant at, int leg, Instant until) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The employee asked their devices to stop ringing; the call goes on ringing unheard. */
  record Silenced(CallId call, Instant at, int leg) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * This party answered.
   *
   * @param device the employee's device; null for an outsider
   */
  record Established(CallId call, Instant at, int leg, @Nullable DeviceId device)
      implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * This party put the others on hold.
   *
   * @param remindAt when to remind them; null for never
   */
  record Held(CallId call, Instant at, int leg, @Nullable Instant remindAt) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** This party speaks with the others again. */
  record Retrieved(CallId call, Instant at, int leg) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Somebody has been held too long by this party, who is reminded once. */
  record HoldReminded(CallId call, Instant at, int leg) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** This party is heard by nobody, or is heard again. */
  record Muted(CallId call, Instant at, int leg, boolean on) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Nobody is at this end any more: all devices are gone through which the party could speak. Or
   * somebody is there again.
   *
   * @param lostAt when the connection is given up; null when somebody is there again
   */
  record Unattended(CallId call, Instant at, int leg, @Nullable Instant lostAt) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The employee goes on with the call on another of their devices. */
  record Moved(CallId call, Instant at, int leg, DeviceId device) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The call waits in a park slot, for the first time or again after nobody took it back.
   *
   * @param ways where it goes, one after the other, when nobody takes it out
   */
  record Parked(CallId call, Instant at, Call.Parking parking, List<Way> ways) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The call is on its way to somebody else, who has not answered yet.
   *
   * @param ways where it goes, one after the other, when nobody takes it there
   */
  record SentOn(CallId call, Instant at, Call.Sent sent, List<Way> ways) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Where the call goes was decided beforehand, by the rules of people and lines.
   *
   * @param diversions through whose decisions it has gone on with this, in order
   * @param ways where it goes, one after the other, when nobody takes it there
   */
  record Routed(CallId call, Instant at, List<Diversion> diversions, List<Way> ways)
      implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Whoever called is not let through.
   *
   * @param block that says so
   * @param from from whom it is kept; empty when it is kept from a line
   */
  record Blocked(CallId call, Instant at, long block, List<PersonId> from) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Two calls became one: a party of the other call now takes part in this one, in the state it had
   * there, in the place of whoever joined them.
   *
   * @param other the call that ends with it
   * @param otherLeg the party's connection there
   * @param leg its connection here
   * @param by the employee who did it
   * @param stays whether that employee goes on taking part (conference) or not (transfer)
   */
  record Merged(
      CallId call, Instant at, CallId other, int otherLeg, int leg, PersonId by, boolean stays)
      implements OfCall {
    @Override
    public String changesToo() {
      return other.value();
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Digits were sent to this party.
   *
   * @param digits 0 to 9, A to D, star and number sign (RFC 4733 events), and {@code p} for a pause
   */
  record DigitsSent(CallId call, Instant at, int leg, String digits) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The call cannot be completed; the caller hears why until it ends.
   *
   * @param missedBy employees who were wanted and were never rung
   * @param until when the exchange hangs up
   */
  record Failed(CallId call, Instant at, Cause cause, List<PersonId> missedBy, Instant until)
      implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * A mailbox answers, and its greeting is played (Play Message of ECMA-269).
   *
   * @param occasion which greeting is played
   * @param why nobody else answers
   * @param missedBy employees who were wanted and were never rung
   * @param until when the greeting is over at the latest
   */
  record MailboxAnswered(
      CallId call,
      Instant at,
      int leg,
      Party.Mailbox mailbox,
      Occasion occasion,
      Cause why,
      List<PersonId> missedBy,
      Instant until)
      implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The caller of a line is welcomed before it rings (Play Message and collect digits of ECMA-269).
   *
   * @param until when it rings at the latest
   */
  record Welcomed(CallId call, Instant at, int leg, Party.Welcome welcome, Instant until)
      implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The greeting is over: after a tone, what the caller says is recorded (Record Message).
   *
   * @param until when the message is as long as it may be
   */
  record RecordingBegan(CallId call, Instant at, int leg, Instant until) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** So much has been said by now that the message is kept, however it ends. */
  record MessageHeard(CallId call, Instant at, int leg) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * No more is recorded.
   *
   * @param kept whether enough was said to be a message
   */
  record RecordingEnded(CallId call, Instant at, int leg, MessageEnd how, boolean kept)
      implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** What is spoken in this employee's part of the call is recorded for them from now on. */
  record TapeStarted(CallId call, Instant at, int leg) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Everybody in the call is told that it is recorded for this employee. */
  record TapeAnnounced(CallId call, Instant at, int leg) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** This party, an outsider, does not want to be recorded. */
  record TapeRefused(CallId call, Instant at, int leg) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The call is no longer recorded for this employee, who is still in it. */
  record TapeStopped(CallId call, Instant at, int leg, TapeEnd why) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Somebody wants to be connected as soon as a colleague is free.
   *
   * @param call identity of the wish; the calls it leads to have identities of their own
   * @param afterUse whether the colleague must use their telephone first, having not answered
   */
  record CallBackRequested(
      CallId call, Instant at, PersonId by, PersonId on, Instant until, boolean afterUse)
      implements OfCall {
    @Override
    public boolean begins() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The colleague has used their telephone: their being free counts from now on. */
  record CallBackArmed(CallId call, Instant at) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Both are free: it rings at whoever asked for it, and then at the colleague.
   *
   * @param call identity of the new call
   * @param request the wish it fulfils
   * @param until when ringing gives up
   */
  record CallBackRings(
      CallId call, Instant at, CallId request, int leg, Party caller, Party called, Instant until)
      implements OfCall {
    @Override
    public boolean begins() {
      return true;
    }

    @Override
    public String changesToo() {
      return request.value();
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Whoever asked for the call back has answered it; now it rings at the colleague. */
  record CallBackAnswered(CallId call, Instant at, int leg, DeviceId device) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The wish is no longer kept.
   *
   * @param cause NORMAL when it was fulfilled or taken back
   */
  record CallBackCleared(CallId call, Instant at, Cause cause) implements OfCall {
    @Override
    public boolean ends() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** This party is no longer in the call. */
  record ConnectionCleared(CallId call, Instant at, int leg, Cause cause) implements OfCall {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The call is over; nobody is left in it. */
  record CallCleared(CallId call, Instant at, Cause cause) implements OfCall {
    @Override
    public boolean ends() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A device is there from now on, or there as something else than before. */
  record DeviceCame(
      PersonId person, DeviceId device, Instant at, Device.Kind kind, boolean attended)
      implements OfDevice {
    @Override
    public boolean begins() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A device is no longer there. */
  record DeviceWent(PersonId person, DeviceId device, Instant at) implements OfDevice {
    @Override
    public boolean ends() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** An event of somebody's outside telephone. */
  sealed interface OfPhone extends ExchangeEvent {
    PersonId person();

    /** Names the outside line. */
    CallId line();

    @Override
    default PersonId deviceOf() {
      return person();
    }

    @Override
    default String subject() {
      return "phone " + person();
    }
  }

  /**
   * The public network was asked for the outside telephone of somebody's.
   *
   * @param until when waiting for it is given up
   * @param shown what it is shown
   * @param call the call for which it is wanted
   * @param places whether that call is to be placed once it is there; otherwise it moves there
   */
  record PhoneCalled(
      PersonId person,
      CallId line,
      PhoneNumber number,
      Instant at,
      Instant until,
      CallerId shown,
      CallId call,
      boolean places)
      implements OfPhone {
    @Override
    public boolean begins() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The outside telephone rings, was answered, or is there.
   *
   * @param until when waiting for it is given up; null once it is there
   */
  record PhoneProgressed(
      PersonId person, CallId line, Instant at, OutsidePhone.Stage stage, @Nullable Instant until)
      implements OfPhone {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * There is no line to the outside telephone any more.
   *
   * @param inVain the call it was wanted for and never came to; null when it did, or when nobody
   *     wants it any more
   */
  record PhoneReleased(
      PersonId person, CallId line, Instant at, Cause cause, @Nullable CallId inVain)
      implements OfPhone {
    @Override
    public boolean ends() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Something that somebody says of themselves. */
  sealed interface OfStatus extends ExchangeEvent {
    PersonId person();

    @Override
    default PersonId statusOf() {
      return person();
    }

    @Override
    default String subject() {
      return "status " + person();
    }
  }

  /**
   * Somebody says of themselves what they are.
   *
   * @param until when it undoes itself; null for when they change it
   */
  record StatusSet(
      PersonId person, Instant at, Status.Kind kind, String text, @Nullable Instant until)
      implements OfStatus {
    @Override
    public boolean begins() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Somebody says nothing of themselves any more. */
  record StatusOver(PersonId person, Instant at) implements OfStatus {
    @Override
    public boolean ends() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }
}
