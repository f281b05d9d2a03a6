package oficina.core.events;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.PhoneStage;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** An event of somebody's outside telephone. */
public sealed interface PhoneEvent extends ExchangeEvent {

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

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(PhoneCalled event);

    R of(PhoneProgressed event);

    R of(PhoneReleased event);
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
      implements PhoneEvent {
    @Override
    public boolean begins() {
      return true;
    }

    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The outside telephone rings, was answered, or is there.
   *
   * @param until when waiting for it is given up; null once it is there
   */
  record PhoneProgressed(
      PersonId person, CallId line, Instant at, PhoneStage stage, @Nullable Instant until)
      implements PhoneEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
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
      implements PhoneEvent {
    @Override
    public boolean ends() {
      return true;
    }

    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }
}
