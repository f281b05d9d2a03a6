package oficina.core.events;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.people.PersonId;

/** What becomes of a wish to be called back. */
public sealed interface CallBackEvent extends CallEvent {

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(CallBackRequested event);

    R of(CallBackArmed event);

    R of(CallBackRings event);

    R of(CallBackAnswered event);

    R of(CallBackCleared event);
  }

  /**
   * Somebody wants to be connected as soon as a colleague is free.
   *
   * @param call identity of the wish; the calls it leads to have identities of their own
   * @param afterUse whether the colleague must use their telephone first, having not answered
   */
  record CallBackRequested(
      CallId call, Instant at, PersonId by, PersonId on, Instant until, boolean afterUse)
      implements CallBackEvent {
    @Override
    public boolean begins() {
      return true;
    }

    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The colleague has used their telephone: their being free counts from now on. */
  record CallBackArmed(CallId call, Instant at) implements CallBackEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
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
      implements CallBackEvent {
    @Override
    public boolean begins() {
      return true;
    }

    @Override
    public String changesToo() {
      return request.value();
    }

    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Whoever asked for the call back has answered it; now it rings at the colleague. */
  record CallBackAnswered(CallId call, Instant at, int leg, DeviceId device)
      implements CallBackEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The wish is no longer kept.
   *
   * @param cause NORMAL when it was fulfilled or taken back
   */
  record CallBackCleared(CallId call, Instant at, Cause cause) implements CallBackEvent {
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
