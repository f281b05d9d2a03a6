package oficina.server.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import oficina.core.call.CallId;
import oficina.core.events.ExchangeEvent;
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

  /** Applies an event and notes what became of the calls it touches. */
  static Told of(ExchangeEvent event, ExchangeState state, Runnable apply) {
    List<CallId> ids =
        Stream.of(event.inCall() == null ? null : event.inCall().value(), event.changesToo())
            .filter(id -> id != null)
            .map(CallId::new)
            .toList();
    List<@Nullable Call> before = new ArrayList<>();
    ids.forEach(id -> before.add(state.call(id)));
    apply.run();
    List<Touched> touched = new ArrayList<>();
    for (int i = 0; i < ids.size(); i++) {
      Call after = state.call(ids.get(i));
      if (before.get(i) != null || after != null) { // a wish is no call
        touched.add(new Touched(ids.get(i), before.get(i), after));
      }
    }
    return new Told(event, touched);
  }
}
