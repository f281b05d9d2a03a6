package oficina.server.blocks;

import jakarta.annotation.PreDestroy;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import oficina.core.call.Owner;
import oficina.core.call.Party;
import oficina.core.events.ReachEvent;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Told;
import oficina.server.exchange.Turn;
import oficina.server.threads.Threads;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/** Notes each attempt of somebody who is blocked. */
@Component
class Attempts implements ExchangeListener {
  private static final Logger LOG = LoggerFactory.getLogger(Attempts.class);

  private final BlockStore store;
  private final Topics topics;
  private final ExecutorService work =
      Executors.newSingleThreadExecutor(Threads.named("blocked-calls"));

  Attempts(BlockStore store, Topics topics, ExchangeLoop loop) {
    this.store = store;
    this.topics = topics;
    loop.listen(this);
  }

  @Override
  public Turn turn() {
    return Turn.NOTES;
  }

  @Override
  public void happened(Told told) {
    if (told.event() instanceof ReachEvent.Blocked e && told.after() != null) {
      Call call = told.after();
      work.execute(() -> note(e, call));
    }
  }

  private void note(ReachEvent.Blocked e, Call call) {
    Party called = call.called();
    String number =
        call.caller().outsideNumber() == null ? "" : call.caller().outsideNumber().e164();
    try {
      PersonId person = called.employee();
      boolean theirs = person != null && store.one(person, e.block()).isPresent();
      if (!theirs && store.one(null, e.block()).isEmpty()) {
        return; // taken away meanwhile: nobody is left whom it concerns
      }
      store.attempted(
          new BlockStore.Attempt(
              e.block(),
              theirs ? person : null,
              call.id().value(),
              number,
              called.employee() == null && called.group() == null ? "" : Owner.key(called),
              e.at()));
      topics.tellAll(Topic.RULES);
    } catch (DataAccessException | TransactionException lost) {
      LOG.warn("That a blocked caller tried is not noted: {}", lost.getMessage());
    }
  }

  @PreDestroy
  void stop() {
    work.shutdown();
  }
}
