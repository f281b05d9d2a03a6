package oficina.core.exchange;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.people.PersonId;

/**
 * Something that happened at the exchange, in the words of ECMA-269. Everything else - what a desk
 * shows, the history, the drawn course of a call - is derived from these and from nothing else.
 */
public sealed interface ExchangeEvent {
  CallId call();

  Instant at();

  /**
   * The other call or wish that it changes too; null when none. All of them are replayed together.
   */
  default CallId changesToo() {
    if (this instanceof Merged merged) {
      return merged.other();
    }
    return this instanceof CallBackRings rings ? rings.request() : null;
  }

  /** Whether something begins with it that is to be taken up again after a restart. */
  default boolean begins() {
    return this instanceof Originated
        || this instanceof CallBackRequested
        || this instanceof CallBackRings;
  }

  /** Whether what began under this identity is over with it. */
  default boolean ends() {
    return this instanceof CallCleared || this instanceof CallBackCleared;
  }

  /**
   * A call was placed by an employee, or arrived from the public network.
   *
   * @param called who was called
   * @param device the employee's device; null for an outsider
   * @param callerId what a called outsider is shown
   * @param afterAnswer digits to send once an outsider answers; empty when none
   * @param announces the call this one is placed to announce, or taken aside from; null when none
   */
  record Originated(
      CallId call,
      Instant at,
      int leg,
      Party caller,
      Party called,
      DeviceId device,
      CallerId callerId,
      String afterAnswer,
      CallId announces)
      implements ExchangeEvent {}

  /**
   * An outside line was taken and the number handed to the public network.
   *
   * @param until when the exchange gives up waiting for an answer
   */
  record NetworkReached(CallId call, Instant at, int leg, Party party, Instant until)
      implements ExchangeEvent {}

  /**
   * It rings at this party.
   *
   * @param line which line it rings on: the person's own, a group's, or the outside number
   * @param until when ringing gives up
   */
  record Delivered(CallId call, Instant at, int leg, Party party, Party line, Instant until)
      implements ExchangeEvent {}

  /** The employee asked their devices to stop ringing; the call goes on ringing unheard. */
  record Silenced(CallId call, Instant at, int leg) implements ExchangeEvent {}

  /**
   * This party answered.
   *
   * @param device the employee's device; null for an outsider
   */
  record Established(CallId call, Instant at, int leg, DeviceId device) implements ExchangeEvent {}

  /**
   * This party put the others on hold.
   *
   * @param remindAt when to remind them; null for never
   */
  record Held(CallId call, Instant at, int leg, Instant remindAt) implements ExchangeEvent {}

  /** This party speaks with the others again. */
  record Retrieved(CallId call, Instant at, int leg) implements ExchangeEvent {}

  /** Somebody has been held too long by this party, who is reminded once. */
  record HoldReminded(CallId call, Instant at, int leg) implements ExchangeEvent {}

  /** This party is heard by nobody, or is heard again. */
  record Muted(CallId call, Instant at, int leg, boolean on) implements ExchangeEvent {}

  /** The employee goes on with the call on another of their devices. */
  record Moved(CallId call, Instant at, int leg, DeviceId device) implements ExchangeEvent {}

  /** The call waits in a park slot, for the first time or again after nobody took it back. */
  record Parked(CallId call, Instant at, Call.Parking parking) implements ExchangeEvent {}

  /** The call is on its way to somebody else, who has not answered yet. */
  record SentOn(CallId call, Instant at, Call.Sent sent) implements ExchangeEvent {}

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
      implements ExchangeEvent {}

  /**
   * Digits were sent to this party.
   *
   * @param digits 0 to 9, A to D, star and number sign (RFC 4733 events), and {@code p} for a pause
   */
  record DigitsSent(CallId call, Instant at, int leg, String digits) implements ExchangeEvent {}

  /**
   * The call cannot be completed; the caller hears why until it ends.
   *
   * @param missedBy employees who were wanted and were never rung
   * @param until when the exchange hangs up
   */
  record Failed(CallId call, Instant at, Cause cause, List<PersonId> missedBy, Instant until)
      implements ExchangeEvent {}

  /**
   * Somebody wants to be connected as soon as a colleague is free.
   *
   * @param call identity of the wish; the calls it leads to have identities of their own
   * @param afterUse whether the colleague must use their telephone first, having not answered
   */
  record CallBackRequested(
      CallId call, Instant at, PersonId by, PersonId on, Instant until, boolean afterUse)
      implements ExchangeEvent {}

  /** The colleague has used their telephone: their being free counts from now on. */
  record CallBackArmed(CallId call, Instant at) implements ExchangeEvent {}

  /**
   * Both are free: it rings at whoever asked for it, and then at the colleague.
   *
   * @param call identity of the new call
   * @param request the wish it fulfils
   * @param until when ringing gives up
   */
  record CallBackRings(
      CallId call, Instant at, CallId request, int leg, Party caller, Party called, Instant until)
      implements ExchangeEvent {}

  /** Whoever asked for the call back has answered it; now it rings at the colleague. */
  record CallBackAnswered(CallId call, Instant at, int leg, DeviceId device)
      implements ExchangeEvent {}

  /**
   * The wish is no longer kept.
   *
   * @param cause NORMAL when it was fulfilled or taken back
   */
  record CallBackCleared(CallId call, Instant at, Cause cause) implements ExchangeEvent {}

  /** This party is no longer in the call. */
  record ConnectionCleared(CallId call, Instant at, int leg, Cause cause)
      implements ExchangeEvent {}

  /** The call is over; nobody is left in it. */
  record CallCleared(CallId call, Instant at, Cause cause) implements ExchangeEvent {}
}
