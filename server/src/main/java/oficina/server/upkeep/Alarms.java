package oficina.server.upkeep;

import jakarta.annotation.PreDestroy;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import oficina.core.people.PersonId;
import oficina.core.upkeep.Alarm;
import oficina.server.journal.JournalWriter;
import oficina.server.office.OfficeData;
import oficina.server.threads.Threads;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Tells administrators when there is something to be done about, and when there is not any more.
 */
@Component
class Alarms {
  private static final Logger LOG = LoggerFactory.getLogger(Alarms.class);
  private static final int EACH_SECONDS = 60;

  private final Installation installation;
  private final OfficeData office;
  private final Topics topics;
  private final MovableClock clock;
  private final ScheduledExecutorService thread =
      Executors.newSingleThreadScheduledExecutor(Threads.behind("alarms"));
  private Set<Alarm> told = EnumSet.noneOf(Alarm.class);

  Alarms(
      Installation installation,
      OfficeData office,
      Topics topics,
      MovableClock clock,
      JournalWriter journal) {
    this.installation = installation;
    this.office = office;
    this.topics = topics;
    this.clock = clock;
    thread.scheduleWithFixedDelay(this::look, EACH_SECONDS, EACH_SECONDS, TimeUnit.SECONDS);
    clock.onMove(() -> thread.execute(this::look));
    journal.onChange(state -> thread.execute(this::look));
  }

  /** What there is now. */
  Set<Alarm> now() {
    return installation.condition().alarms(clock.instant());
  }

  private void look() {
    try {
      Set<Alarm> now = now();
      if (now.equals(told)) {
        return;
      }
      Set<Alarm> begun = EnumSet.copyOf(now);
      begun.removeAll(told);
      told = now;
      for (PersonId administrator : office.administrators()) {
        begun.forEach(each -> topics.notice(administrator, "ALARM_" + each, Map.of()));
        topics.tell(administrator, Topic.ALARMS);
      }
      begun.forEach(each -> LOG.warn("Alarm: {}", each));
    } catch (RuntimeException e) {
      LOG.warn("How the installation stands could not be looked at", e);
    }
  }

  @PreDestroy
  void stop() {
    thread.shutdownNow();
  }
}
