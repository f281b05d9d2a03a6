package oficina.core.history;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.call.CallId;
import oficina.core.exchange.Call;
import oficina.core.exchange.ExchangeEvent;

/**
 * The records of all calls in progress, kept by following the exchange's events. Yields the history
 * entries: a part is yielded when it is over and once more, unchanged in identity, when the whole
 * call is, so that a missed call shows at once and its course is complete in the end.
 */
public final class CallRecords {
  private final Map<CallId, CallRecord> records = new HashMap<>();

  /**
   * Takes in one event, after the exchange has applied it.
   *
   * @param after the call as it is now; null when the event ended it
   * @return entries to write, each replacing an earlier one of the same call and person
   */
  public List<Part> follow(ExchangeEvent event, Call after) {
    if (after == null && !(event instanceof ExchangeEvent.CallCleared)) {
      return List.of(); // of a wish to be called back: nothing to remember until it leads to a call
    }
    CallRecord record = records.computeIfAbsent(event.call(), CallRecord::new);
    if (event instanceof ExchangeEvent.Merged merged) {
      record.takeOver(merged, records.get(merged.other()));
    }
    List<Part> parts = record.follow(event, after);
    if (event instanceof ExchangeEvent.CallCleared) {
      records.remove(event.call());
    }
    return parts;
  }

  /** The record of a call in progress, or null. */
  public CallRecord of(CallId call) {
    return records.get(call);
  }
}
