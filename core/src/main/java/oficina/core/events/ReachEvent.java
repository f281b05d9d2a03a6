package oficina.core.events;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.core.routing.Diversion;
import oficina.core.routing.Way;
import org.jspecify.annotations.Nullable;

/** How a call begins and comes to whoever is to take it, or to nobody. */
public sealed interface ReachEvent extends CallEvent {

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(Originated event);

    R of(NetworkReached event);

    R of(Delivered event);

    R of(Asked event);

    R of(Silenced event);

    R of(Routed event);

    R of(SentOn event);

    R of(Blocked event);

    R of(Failed event);
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
      implements ReachEvent {

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
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
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
      implements ReachEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
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
      implements ReachEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * An outside number that stands for somebody's device has answered, and is asked for a key.
   *
   * @param until when it is given up without one
   */
  record Asked(CallId call, Instant at, int leg, Instant until) implements ReachEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The employee asked their devices to stop ringing; the call goes on ringing unheard. */
  record Silenced(CallId call, Instant at, int leg) implements ReachEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
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
      implements ReachEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The call is on its way to somebody else, who has not answered yet.
   *
   * @param ways where it goes, one after the other, when nobody takes it there
   */
  record SentOn(CallId call, Instant at, SentCall sent, List<Way> ways) implements ReachEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Whoever called is not let through.
   *
   * @param block that says so
   * @param from from whom it is kept; empty when it is kept from a line
   */
  record Blocked(CallId call, Instant at, long block, List<PersonId> from) implements ReachEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
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
      implements ReachEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }
}
