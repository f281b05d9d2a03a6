package oficina.server.recordings;

import java.time.Duration;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.recordings.LogStore.Deed;
import oficina.server.recordings.RecordingStore.Recording;
import oficina.server.time.MovableClock;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Who may hear a recording, and what is written down of it. */
@Component
class Hearing {
  /** Nothing is kept or handed on for longer from now. */
  static final Duration LONGEST = Duration.ofDays(3_660);

  private final RecordingStore recordings;
  private final LogStore log;
  private final MovableClock clock;

  Hearing(RecordingStore recordings, LogStore log, MovableClock clock) {
    this.recordings = recordings;
    this.log = log;
    this.clock = clock;
  }

  static Problem none() {
    return new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_RECORDING");
  }

  /** One that this person may hear: their own, or handed to them for now. */
  Recording may(Employee me, long id) {
    return recordings.one(id, me.id(), clock.instant()).orElseThrow(Hearing::none);
  }

  /** One that was recorded for this person. */
  Recording own(Employee me, long id) {
    Recording recording = may(me, id);
    if (recording.sharedUntil() != null) {
      throw new Problem(HttpStatus.FORBIDDEN, "RECORDING_OF_OTHER");
    }
    return recording;
  }

  void log(Recording of, Employee by, Deed deed, String about) {
    log.add(about(of), clock.instant(), by.id(), deed, about);
  }

  /** Whoever goes on with it has done it once. */
  void logOnce(Recording of, Employee by, Deed deed) {
    log.addOnce(about(of), clock.instant(), by.id(), deed);
  }

  private static LogStore.About about(Recording of) {
    return new LogStore.About(of.id(), of.owner(), of.other(), of.began());
  }
}
