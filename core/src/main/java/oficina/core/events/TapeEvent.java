package oficina.core.events;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.TapeEnd;

/** What happens to the recording of a call. */
public sealed interface TapeEvent extends CallEvent {

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(TapeStarted event);

    R of(TapeAnnounced event);

    R of(TapeRefused event);

    R of(TapeStopped event);
  }

  /** What is spoken in this employee's part of the call is recorded for them from now on. */
  record TapeStarted(CallId call, Instant at, int leg) implements TapeEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Everybody in the call is told that it is recorded for this employee. */
  record TapeAnnounced(CallId call, Instant at, int leg) implements TapeEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** This party, an outsider, does not want to be recorded. */
  record TapeRefused(CallId call, Instant at, int leg) implements TapeEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The call is no longer recorded for this employee, who is still in it. */
  record TapeStopped(CallId call, Instant at, int leg, TapeEnd why) implements TapeEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }
}
