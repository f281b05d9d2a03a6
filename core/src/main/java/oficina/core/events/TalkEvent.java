package oficina.core.events;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;
import oficina.core.routing.Way;
import org.jspecify.annotations.Nullable;

/** What becomes of a call that somebody has taken, and how it ends. */
public sealed interface TalkEvent extends CallEvent {

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(Established event);

    R of(Held event);

    R of(Retrieved event);

    R of(HoldReminded event);

    R of(Muted event);

    R of(Unattended event);

    R of(Moved event);

    R of(Parked event);

    R of(Merged event);

    R of(DigitsSent event);

    R of(ConnectionCleared event);

    R of(CallCleared event);
  }

  /**
   * This party answered.
   *
   * @param device the employee's device; null for an outsider
   */
  record Established(CallId call, Instant at, int leg, @Nullable DeviceId device)
      implements TalkEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * This party put the others on hold.
   *
   * @param remindAt when to remind them; null for never
   */
  record Held(CallId call, Instant at, int leg, @Nullable Instant remindAt) implements TalkEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** This party speaks with the others again. */
  record Retrieved(CallId call, Instant at, int leg) implements TalkEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Somebody has been held too long by this party, who is reminded once. */
  record HoldReminded(CallId call, Instant at, int leg) implements TalkEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** This party is heard by nobody, or is heard again. */
  record Muted(CallId call, Instant at, int leg, boolean on) implements TalkEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Nobody is at this end any more: all devices are gone through which the party could speak. Or
   * somebody is there again.
   *
   * @param lostAt when the connection is given up; null when somebody is there again
   */
  record Unattended(CallId call, Instant at, int leg, @Nullable Instant lostAt)
      implements TalkEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The employee goes on with the call on another of their devices. */
  record Moved(CallId call, Instant at, int leg, DeviceId device) implements TalkEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The call waits in a park slot, for the first time or again after nobody took it back.
   *
   * @param ways where it goes, one after the other, when nobody takes it out
   */
  record Parked(CallId call, Instant at, ParkedCall parking, List<Way> ways) implements TalkEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
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
      implements TalkEvent {
    @Override
    public String changesToo() {
      return other.value();
    }

    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Digits were sent to this party.
   *
   * @param digits 0 to 9, A to D, star and number sign (RFC 4733 events), and {@code p} for a pause
   */
  record DigitsSent(CallId call, Instant at, int leg, String digits) implements TalkEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** This party is no longer in the call. */
  record ConnectionCleared(CallId call, Instant at, int leg, Cause cause) implements TalkEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The call is over; nobody is left in it. */
  record CallCleared(CallId call, Instant at, Cause cause) implements TalkEvent {
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
