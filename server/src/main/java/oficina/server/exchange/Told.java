package oficina.server.exchange;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.events.ExchangeEvent;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.ExchangeState;
import org.jspecify.annotations.Nullable;

/**
 * An event that has happened.
 *
 * @param calls those it touched: its own first, then the one out of which a party came
 */
public record Told(ExchangeEvent event, List<Touched> calls) {

  /**
   * A call that an event has touched.
   *
   * @param before as it was until then; null when it began with the event
   * @param after as it was from then on; null when it ended with the event
   */
  public record Touched(CallId id, @Nullable Call before, @Nullable Call after) {}

  /** The event's own call as it was afterwards; null when it is over or the event concerns none. */
  public @Nullable Call after() {
    return calls.isEmpty() ? null : calls.get(0).after();
  }

  /** Everybody of the office who has to do with it, or had until then. */
  public Set<PersonId> people() {
    Set<PersonId> people = new LinkedHashSet<>();
    for (Touched call : calls) {
      if (call.before() != null) {
        people.addAll(call.before().employees());
      }
      if (call.after() != null) {
        people.addAll(call.after().employees());
      }
    }
    if (event.deviceOf() != null) {
      people.add(event.deviceOf());
    }
    if (event.statusOf() != null) {
      people.add(event.statusOf());
    }
    return people;
  }

  /** Applies an event and notes what became of the calls it touches. */
  static Told of(ExchangeEvent event, ExchangeState state, Runnable apply) {
    CallId own = event.inCall();
    CallId other = event.changesToo() == null ? null : new CallId(event.changesToo());
    Call ownBefore = own == null ? null : state.call(own);
    Call otherBefore = other == null ? null : state.call(other);
    apply.run();
    List<Touched> touched = new ArrayList<>(2);
    touch(own, ownBefore, state, touched);
    touch(other, otherBefore, state, touched);
    return new Told(event, touched);
  }

  /** A wish and a device have names too, and are no calls. */
  private static void touch(
      @Nullable CallId id, @Nullable Call before, ExchangeState state, List<Touched> touched) {
    Call after = id == null ? null : state.call(id);
    if (before != null || after != null) {
      touched.add(new Touched(id, before, after));
    }
  }
}
