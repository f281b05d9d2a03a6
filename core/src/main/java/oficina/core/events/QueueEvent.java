package oficina.core.events;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.core.queueing.Place;
import oficina.core.queueing.Queue;
import org.jspecify.annotations.Nullable;

/** What happens to a call that waits at a line until somebody is free. */
public sealed interface QueueEvent extends CallEvent {

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(Queued event);

    R of(NumberGiven event);

    R of(Widened event);

    R of(PlaceKept event);
  }

  /**
   * A line keeps the caller (Queued of ECMA-269).
   *
   * @param since since when they have waited, at lines before this one included
   * @param priority the higher, the sooner they are served
   * @param why they are served before others; null when they are not
   * @param wanted members who take part: whoever gives up is to be called back by one of them
   * @param until when they are kept no longer
   * @param due when more members are asked, or they are kept no longer; or no number is waited for
   *     any more
   * @param kept that they were to be called back and were not reached; null when they wait
   *     themselves
   * @param given the number of theirs that they have keyed in; empty when they have given none
   * @param asked whether they are asked for one now, and wait only then
   */
  record Queued(
      CallId call,
      Instant at,
      int leg,
      Party.Queue queue,
      Instant since,
      int priority,
      Queue.@Nullable Why why,
      List<PersonId> wanted,
      Instant until,
      Instant due,
      Place.@Nullable Kept kept,
      String given,
      boolean asked)
      implements QueueEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * They have keyed in the number of theirs that they were asked for, and wait from now on
   * (DigitsCollected of ECMA-269).
   *
   * @param leg the connection of the voice that has asked
   * @param digits empty when they have given none
   * @param until when they are kept no longer
   * @param due when more members are asked, or they are kept no longer
   */
  record NumberGiven(CallId call, Instant at, int leg, String digits, Instant until, Instant due)
      implements QueueEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * They have waited for so long that more members are asked, or that they are kept no longer than
   * it rings.
   *
   * @param due when still more are, or they are kept no longer; null when it rings for the last
   *     time
   */
  record Widened(CallId call, Instant at, int leg, @Nullable Instant due) implements QueueEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The caller will hang up, keeps their place and is called back in turn.
   *
   * @param leg the connection of the music
   * @param number at which they are called back
   * @param until when nobody will any more
   */
  record PlaceKept(CallId call, Instant at, int leg, PhoneNumber number, Instant until)
      implements QueueEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }
}
