package oficina.server.voicemail;

import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import oficina.core.sound.Pcm;
import oficina.server.office.OfficeData;
import oficina.server.push.Pushes;
import oficina.server.time.MovableClock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Brings messages that are over from their files into the database, one after the other. As long as
 * the database is away they wait in their files, also for the next start.
 */
@Component
class Filing implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(Filing.class);
  private static final long RETRY_MS = 1_000;

  /** So long what was removed by mistake can still be brought back. */
  private static final Duration KEPT_AFTER_REMOVAL = Duration.ofDays(30);

  private static final int LEAST_FRAMES = 1_000 / Pcm.FRAME_MS;

  /**
   * @param kept whether it is known to be a message
   */
  private record Waiting(String place, boolean kept) {}

  private final Spool spool;
  private final MessageStore messages;
  private final Transcripts transcripts;
  private final OfficeData office;
  private final Pushes pushes;
  private final MovableClock clock;
  private final BlockingQueue<Waiting> waiting = new LinkedBlockingQueue<>();
  private volatile Thread thread;

  Filing(
      Spool spool,
      MessageStore messages,
      Transcripts transcripts,
      OfficeData office,
      Pushes pushes,
      MovableClock clock) {
    this.spool = spool;
    this.messages = messages;
    this.transcripts = transcripts;
    this.office = office;
    this.pushes = pushes;
    this.clock = clock;
  }

  /** The message recorded in this place is over and is kept. */
  void file(String place) {
    waiting.add(new Waiting(place, /* kept= */ true));
  }

  /**
   * What an earlier run of the server recorded and could not file.
   *
   * @param goOn places in which recording goes on
   */
  void fileWhatIsLeft(Set<String> goOn) {
    try {
      for (Label label : spool.labels()) {
        if (!goOn.contains(label.place())) {
          waiting.add(new Waiting(label.place(), /* kept= */ false));
        }
      }
    } catch (IOException e) {
      LOG.error("What was recorded before cannot be found", e);
    }
  }

  private void work() {
    while (thread == Thread.currentThread()) {
      try {
        Waiting next = waiting.poll(1, TimeUnit.HOURS);
        if (next == null) {
          messages.forget(clock.instant().minus(KEPT_AFTER_REMOVAL));
          continue;
        }
        while (!filed(next)) {
          Thread.sleep(RETRY_MS);
        }
      } catch (InterruptedException e) {
        return;
      } catch (IOException | RuntimeException e) {
        LOG.error("A message could not be filed; it stays in its file", e);
      }
    }
  }

  /** Whether that is done with; false when the database is away. */
  private boolean filed(Waiting what) throws IOException {
    Map<String, Label> labels =
        spool.labels().stream().collect(Collectors.toMap(Label::place, label -> label));
    Label label = labels.get(what.place());
    if (label == null) {
      return true;
    }
    byte[] sound = KeptSound.withoutTheEnd(spool.sound(what.place()));
    if (what.kept() || isMessage(sound)) {
      try {
        messages.add(label, sound);
      } catch (DataIntegrityViolationException e) {
        LOG.error("The database refuses a message; it stays in its file: {}", label, e);
        return true;
      } catch (DataAccessException | TransactionException e) {
        LOG.warn("A message waits in its file for the database: {}", e.getMessage());
        return false;
      }
      pushes.voicemailChanged(office.now().people(label.owner()));
      transcripts.look();
    }
    spool.remove(what.place());
    return true;
  }

  private static boolean isMessage(byte[] sound) {
    return KeptSound.Speech.in(KeptSound.samples(sound)).frames() >= LEAST_FRAMES;
  }

  @Override
  public void start() {
    Thread worker = new Thread(this::work, "filing");
    worker.setDaemon(true);
    thread = worker;
    worker.start();
  }

  @Override
  public void stop() {
    Thread worker = thread;
    thread = null;
    worker.interrupt();
  }

  @Override
  public boolean isRunning() {
    return thread != null;
  }
}
