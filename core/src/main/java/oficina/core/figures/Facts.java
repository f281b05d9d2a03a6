package oficina.core.figures;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.MemberEvent;
import oficina.core.events.TalkEvent;
import oficina.core.people.PersonId;
import oficina.core.queueing.Member;
import oficina.core.queueing.Place;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import org.jspecify.annotations.Nullable;

/** Finds in the events of the exchange all that is kept of lines that keep callers. */
public final class Facts {
  private final Waits waits = new Waits();

  /** Goes on with what is in progress already, after a restart. */
  public void takeUp(ExchangeState state) {
    state.calls().forEach(waits::takeUp);
  }

  /**
   * What has become a fact with an event.
   *
   * @param before the state in which it has not been applied yet
   */
  public List<Fact> follow(ExchangeEvent event, ExchangeState before) {
    List<Fact> facts = new ArrayList<>(1);
    Call call = event.inCall() == null ? null : before.call(event.inCall());
    add(facts, waits.follow(event, call));
    if (event instanceof TalkEvent.ConnectionCleared gone && call != null) {
      add(facts, served(call, call.leg(gone.leg()), gone));
    }
    if (event instanceof MemberEvent.FinishingEnded done) {
      Member.Finishing was = before.queues().member(done.person()).finishing();
      add(
          facts,
          new Finished(
              was.line(), done.person(), was.since(), Duration.between(was.since(), done.at())));
    }
    return facts;
  }

  private static void add(List<Fact> facts, @Nullable Fact fact) {
    if (fact != null) {
      facts.add(fact);
    }
  }

  private static @Nullable Served served(
      Call call, Connection gone, TalkEvent.ConnectionCleared event) {
    Place place = call.place();
    PersonId person = gone.party().employee();
    if (place == null || person == null || !person.equals(place.by())) {
      return null;
    }
    return new Served(
        call.id(), place.line(), person, place.left(), Duration.between(place.left(), event.at()));
  }
}
