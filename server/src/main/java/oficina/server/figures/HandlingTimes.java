package oficina.server.figures;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import oficina.core.people.GroupId;
import oficina.core.queueing.Queue;
import oficina.server.office.OfficeData;
import oficina.server.threads.Threads;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/**
 * How long calls of each line take, with finishing: the mean of the last ones. Read anew once a
 * minute while somebody asks, and nobody who asks waits for the database.
 */
@Component
public class HandlingTimes {
  private static final Logger LOG = LoggerFactory.getLogger(HandlingTimes.class);
  private static final Duration FRESH = Duration.ofMinutes(1);

  private final DayStore days;
  private final OfficeData office;
  private final Clock clock;
  private final Map<GroupId, Duration> talked = new ConcurrentHashMap<>();
  private final Map<GroupId, Instant> read = new ConcurrentHashMap<>();
  private final ExecutorService reading = Threads.one(1, Threads.beside("handling-times"));

  HandlingTimes(DayStore days, OfficeData office, Clock clock) {
    this.days = days;
    this.office = office;
    this.clock = clock;
  }

  /** Of this line; null as long as it has served nobody. */
  public @Nullable Duration of(GroupId line) {
    Instant now = clock.instant();
    Instant before = read.get(line);
    if (before == null || now.isAfter(before.plus(FRESH))) {
      read.put(line, now);
      refresh(line);
    }
    Duration talk = talked.get(line);
    Queue queue = office.now().directions().queue(line);
    return talk == null || queue == null ? talk : talk.plus(queue.finishing());
  }

  private void refresh(GroupId line) {
    try {
      reading.execute(() -> read(line));
    } catch (RejectedExecutionException e) {
      read.remove(line); // asked for once more by whoever asks next
    }
  }

  private void read(GroupId line) {
    try {
      Duration mean = days.meanTalk(line);
      if (mean != null) {
        talked.put(line, mean);
      }
    } catch (DataAccessException e) {
      LOG.debug("How long calls take is not known now: {}", e.getMessage());
    }
  }
}
