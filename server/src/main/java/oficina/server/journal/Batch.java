package oficina.server.journal;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import oficina.core.events.ExchangeEvent;
import oficina.core.figures.Fact;
import oficina.core.history.CallRecords;
import org.jspecify.annotations.Nullable;

/**
 * What one command led to, on its way to the database.
 *
 * @param entries its events, queued before anything is derived from them
 * @param derived what follows from them; completed whatever goes wrong in deriving it
 * @param written done once the events are durable, or the database is known to be away
 */
public record Batch(List<Entry> entries, CompletableFuture<Derived> derived, Runnable written) {

  /**
   * An event and its place in the journal.
   *
   * @param seq grows by one with each event
   * @param submission by which a request asked for it, at the first event of what it led to; null
   *     for what nobody has submitted
   */
  public record Entry(long seq, ExchangeEvent event, @Nullable String submission) {
    public Entry(long seq, ExchangeEvent event) {
      this(seq, event, null);
    }
  }

  /**
   * What follows from the events.
   *
   * @param history entries that are new or have changed; written together with the events
   * @param facts what is kept of lines that keep callers; written together with the events
   * @param tell shows everybody concerned how things are now
   */
  public record Derived(List<CallRecords.Entries> history, List<Fact> facts, Runnable tell) {
    /** Nothing but something to be shown. */
    public static Derived shown(Runnable tell) {
      return new Derived(List.of(), List.of(), tell);
    }
  }

  /** Something that is only to be shown. */
  public static Batch onlyShown(Runnable tell) {
    return new Batch(List.of(), CompletableFuture.completedFuture(Derived.shown(tell)), () -> {});
  }

  /** Nothing, for whoever wants to know when all before it is written. */
  public static Batch nothing(Runnable written) {
    Derived nothing = Derived.shown(() -> {});
    return new Batch(List.of(), CompletableFuture.completedFuture(nothing), written);
  }
}
