package oficina.server.retention;

import jakarta.annotation.PreDestroy;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import oficina.core.office.Settings.Keeping;
import oficina.core.office.Settings.Kept;
import oficina.server.ending.Ending;
import oficina.server.office.OfficeData;
import oficina.server.threads.Hourly;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/** Carries out once a day, early by the office's clocks, how long the office keeps things. */
@Component
class Retention {
  private static final Logger LOG = LoggerFactory.getLogger(Retention.class);

  private final List<Ending> endings;
  private final OfficeData office;
  private final MovableClock clock;
  private final Topics topics;
  private final Hourly hourly = new Hourly("retention", this::onceADay);
  private @Nullable LocalDate lastDone;

  Retention(List<Ending> endings, OfficeData office, MovableClock clock, Topics topics) {
    this.endings = endings;
    this.office = office;
    this.clock = clock;
    this.topics = topics;
    clock.onMove(hourly::soon);
  }

  /** How many of each would go now, if things were kept as long as this. */
  Map<Kept, Long> wouldGo(Keeping keeping) {
    Map<Kept, Long> count = new EnumMap<>(Kept.class);
    for (Ending each : endings) {
      Instant before = before(keeping, each.what());
      count.merge(each.what(), before == null ? 0L : each.count(before), Long::sum);
    }
    return count;
  }

  private @Nullable Instant before(Keeping keeping, Kept what) {
    return keeping.of(what) == null ? null : clock.instant().minus(keeping.of(what));
  }

  /** The first hour of a day does it; so does a server that was not running then. */
  private void onceADay() {
    LocalDate today = LocalDate.ofInstant(clock.instant(), office.now().identity().zone());
    if (!today.equals(lastDone)) {
      now();
      lastDone = today;
    }
  }

  private void now() {
    Keeping keeping = office.settings().keeping();
    long gone = 0;
    for (Ending each : endings) {
      Instant before = before(keeping, each.what());
      gone += before == null ? 0 : ended(each, before);
    }
    if (gone > 0) {
      LOG.info("{} things were kept long enough and are gone", gone);
      for (Topic topic : List.of(Topic.HISTORY, Topic.TO_RETURN, Topic.VOICEMAIL, Topic.NOTES)) {
        topics.tellAll(topic);
      }
    }
  }

  /** What cannot go now keeps nothing else back, and goes another night. */
  private static long ended(Ending each, Instant before) {
    try {
      return each.end(before);
    } catch (DataAccessException | TransactionException e) {
      LOG.warn("{} older than it is kept stays for another day", each.what(), e);
      return 0;
    }
  }

  @PreDestroy
  void stop() {
    hourly.stop();
  }
}
