package oficina.server.queues;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import oficina.core.people.Group;
import oficina.core.seen.QueueUse;
import oficina.core.state.ExchangeState;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Turn;
import oficina.server.figures.PresenceStore;
import oficina.server.figures.PresenceStore.Slot;
import oficina.server.threads.Threads;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/**
 * Notes each minute who is there for which line: what their time on calls is a part of (occupancy).
 * What the database does not take now is kept, and written with the next minute.
 */
@Component
class Presence implements ExchangeListener {
  private static final Logger LOG = LoggerFactory.getLogger(Presence.class);
  private static final Duration MINUTE = Duration.ofMinutes(1);

  /** With the database away for longer than that, minutes are lost. */
  private static final int MOST_KEPT = 100_000;

  private final ExchangeLoop loop;
  private final QueueBoard board;
  private final PresenceStore store;
  private final Map<Slot, Integer> unwritten = new ConcurrentHashMap<>();
  private final ExecutorService writing = Threads.one(1, Threads.behind("presence"));

  Presence(ExchangeLoop loop, QueueBoard board, PresenceStore store) {
    this.loop = loop;
    this.board = board;
    this.store = store;
    loop.listen(this);
  }

  @Override
  public Turn turn() {
    return Turn.NOTES;
  }

  @Override
  public void takenUp(ExchangeState state) {
    loop.later(MINUTE, this::look);
  }

  private void look() {
    Instant now = loop.now();
    for (Group line : board.lines()) {
      for (QueueUse.Standing each : board.now(line).members()) {
        if (each.state().isThere() && unwritten.size() < MOST_KEPT) {
          unwritten.merge(
              Slot.at(line.id(), each.person(), now), Slot.minute(now), (one, two) -> one | two);
        }
      }
    }
    try {
      writing.execute(this::write);
    } catch (RejectedExecutionException e) {
      LOG.debug("Still writing who was there"); // the next minute writes it all
    }
    loop.later(MINUTE, this::look);
  }

  private void write() {
    Map<Slot, Integer> now = Map.copyOf(unwritten);
    try {
      store.add(now);
      now.forEach(unwritten::remove);
    } catch (DataAccessException e) {
      LOG.debug("Who was there is written later: {}", e.getMessage());
    }
  }
}
