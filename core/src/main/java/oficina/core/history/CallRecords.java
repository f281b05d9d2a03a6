package oficina.core.history;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.call.CallId;
import oficina.core.events.CallBackEvent;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.TalkEvent;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/**
 * The records of all calls in progress, kept by following the exchange's events. Yields the history
 * entries: a part is yielded when it is over and once more, unchanged in identity, when the whole
 * call is, so that a missed call shows at once and its course is complete in the end.
 */
public final class CallRecords {
  private final Map<CallId, CallRecord> records = new HashMap<>();

  /**
   * What is to be written of a call.
   *
   * @param course the course of the whole call so far, the same for everybody who had a part in it
   * @param parts entries, each replacing an earlier one of the same call and person
   */
  public record Entries(CallId call, List<Segment> course, List<Part> parts) {}

  /**
   * Takes in one event, after the exchange has applied it.
   *
   * @param state in which the event has been applied
   * @return what is to be written; null when nothing
   */
  public @Nullable Entries follow(ExchangeEvent event, CallsNow state) {
    return event.accept(new Following(state));
  }

  /** Where a call is looked up as it is now. */
  public interface CallsNow {
    /** The call, or null when it is over. */
    @Nullable Call call(CallId id);
  }

  private final class Following implements FewEvents<@Nullable Entries> {
    private final CallsNow state;

    Following(CallsNow state) {
      this.state = state;
    }

    @Override
    public @Nullable Entries otherwise(ExchangeEvent event) {
      return event.inCall() == null ? null : record(event.inCall(), event);
    }

    private @Nullable Entries record(CallId call, ExchangeEvent event) {
      CallRecord record = records.computeIfAbsent(call, CallRecord::new);
      List<Part> parts = record.follow(event, state.call(call));
      return parts.isEmpty() ? null : new Entries(call, record.course(), parts);
    }

    // A wish is nothing to remember until it leads to a call.

    @Override
    public @Nullable Entries of(CallBackEvent.CallBackRequested event) {
      return null;
    }

    @Override
    public @Nullable Entries of(CallBackEvent.CallBackArmed event) {
      return null;
    }

    @Override
    public @Nullable Entries of(CallBackEvent.CallBackCleared event) {
      return null;
    }

    @Override
    public @Nullable Entries of(TalkEvent.Merged event) {
      records
          .computeIfAbsent(event.call(), CallRecord::new)
          .takeOver(event, records.get(event.other()));
      return record(event.call(), event);
    }

    @Override
    public @Nullable Entries of(TalkEvent.CallCleared event) {
      Entries entries = record(event.call(), event);
      records.remove(event.call());
      return entries;
    }
  }

  /** The record of a call in progress, or null. */
  public @Nullable CallRecord of(CallId call) {
    return records.get(call);
  }
}
