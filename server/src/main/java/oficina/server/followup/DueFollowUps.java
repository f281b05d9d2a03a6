package oficina.server.followup;

import jakarta.annotation.PreDestroy;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import oficina.core.history.ToReturn;
import oficina.core.people.PersonId;
import oficina.server.followup.FollowUpStore.FollowUp;
import oficina.server.people.Parties;
import oficina.server.threads.Threads;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/** Tells people when something they have to do has become due. */
@Component
class DueFollowUps {
  private static final Logger LOG = LoggerFactory.getLogger(DueFollowUps.class);

  /** Nobody plans by the second. */
  private static final int LOOKS_EVERY_S = 10;

  private final FollowUpStore followUps;
  private final Parties parties;
  private final Topics topics;
  private final MovableClock clock;
  private final ScheduledExecutorService work =
      Executors.newSingleThreadScheduledExecutor(Threads.named("follow-ups"));

  DueFollowUps(FollowUpStore followUps, Parties parties, Topics topics, MovableClock clock) {
    this.followUps = followUps;
    this.parties = parties;
    this.topics = topics;
    this.clock = clock;
    work.scheduleWithFixedDelay(this::look, LOOKS_EVERY_S, LOOKS_EVERY_S, TimeUnit.SECONDS);
    clock.onMove(() -> work.execute(this::look));
  }

  /**
   * Something is to be done that was not, or at another time.
   *
   * @param people who is to see it
   */
  void changed(Collection<PersonId> people) {
    topics.tell(people, Topic.FOLLOW_UPS);
    work.execute(this::look);
  }

  private void look() {
    try {
      for (FollowUp due : followUps.takeDue(clock.instant())) {
        String name =
            due.other() == null ? "" : parties.name(ToReturn.partyOf(due.other()), due.assignee());
        topics.notice(due.assignee(), "FOLLOW_UP_DUE", Map.of("what", due.what(), "name", name));
        topics.tell(List.of(due.assignee()), Topic.FOLLOW_UPS);
      }
    } catch (DataAccessException | TransactionException e) {
      LOG.warn("What is due is not told now: {}", e.getMessage());
    }
  }

  @PreDestroy
  void stop() {
    work.shutdownNow();
  }
}
