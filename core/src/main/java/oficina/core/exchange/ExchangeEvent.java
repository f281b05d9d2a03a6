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
   * A call was placed by an employee, or arrived from the public network.
   *
   * @param called who was called
   * @param device the employee's device; null for an outsider
   * @param callerId what a called outsider is shown
   * @param afterAnswer digits to send once an outsider answers; empty when none
   * @param announces the held call this one is placed to announce; null when it is for none
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

  /** This party is no longer in the call. */
  record ConnectionCleared(CallId call, Instant at, int leg, Cause cause)
      implements ExchangeEvent {}

  /** The call is over; nobody is left in it. */
  record CallCleared(CallId call, Instant at, Cause cause) implements ExchangeEvent {}
}
