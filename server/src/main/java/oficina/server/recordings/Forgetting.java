package oficina.server.recordings;

import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import oficina.server.threads.Hourly;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** Forgets recordings when the office wants them no longer. Their calls stay in the history. */
@Component
class Forgetting {
  private static final Logger LOG = LoggerFactory.getLogger(Forgetting.class);

  /** So long what was removed by mistake can still be brought back. */
  private static final Duration KEPT_AFTER_REMOVAL = Duration.ofDays(1);

  /** Behind all other work: whoever moves the clock waits for no database. */
  private final Hourly hourly = new Hourly("forgetting-recordings", this::now);

  private final RecordingStore recordings;
  private final LogStore log;
  private final OfficeData office;
  private final Topics topics;
  private final MovableClock clock;

  Forgetting(
      RecordingStore recordings,
      LogStore log,
      OfficeData office,
      Topics topics,
      MovableClock clock) {
    this.recordings = recordings;
    this.log = log;
    this.office = office;
    this.topics = topics;
    this.clock = clock;
    clock.onMove(() -> hourly.soon());
  }

  /** Whatever is to be forgotten by now. */
  synchronized void now() {
    Instant now = clock.instant();
    Instant began = now.minus(office.settings().recording().kept());
    try {
      List<RecordingStore.Old> old = recordings.old(began, now.minus(KEPT_AFTER_REMOVAL), now);
      recordings.forget(old);
      Set<PersonId> owners = new HashSet<>();
      for (RecordingStore.Old each : old) {
        owners.add(each.owner());
        if (!each.removed()) {
          LogStore.About about =
              new LogStore.About(each.id(), each.owner(), each.other(), each.began());
          log.add(about, now, null, LogStore.Deed.FORGOTTEN, "");
        }
      }
      topics.tell(owners, Topic.RECORDINGS);
    } catch (DataAccessException e) {
      LOG.warn("Recordings are not forgotten now: {}", e.getMessage());
    }
  }

  /** How many would be forgotten now if they were kept as long as this. */
  long wouldGo(Duration kept) {
    Instant now = clock.instant();
    return recordings.old(now.minus(kept), Instant.EPOCH, now).stream()
        .filter(each -> !each.removed())
        .count();
  }

  @PreDestroy
  void stop() {
    hourly.stop();
  }
}
