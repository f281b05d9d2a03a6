package oficina.server.voicemail;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import oficina.core.history.ToReturn;
import oficina.server.office.OfficeData;
import oficina.server.push.Pushes;
import oficina.server.speech.SpeechException;
import oficina.server.speech.Transcriber;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** Has messages written down, one after the other, when there is nothing more urgent. */
@Component
class Transcripts implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(Transcripts.class);

  /** What was left by an earlier run, or while the database was away, is found again so often. */
  private static final long LOOK_SECONDS = 30;

  private final MessageStore messages;
  private final Transcriber transcriber;
  private final OfficeData office;
  private final Pushes pushes;
  private final Semaphore wanted = new Semaphore(1);
  private volatile Thread thread;

  Transcripts(MessageStore messages, Transcriber transcriber, OfficeData office, Pushes pushes) {
    this.messages = messages;
    this.transcriber = transcriber;
    this.office = office;
    this.pushes = pushes;
  }

  /** There is a new message. */
  void look() {
    wanted.release();
  }

  private void work() {
    while (thread == Thread.currentThread()) {
      try {
        if (wanted.tryAcquire(LOOK_SECONDS, TimeUnit.SECONDS)) {
          wanted.drainPermits();
        }
        Optional<Long> next = messages.toTranscribe();
        while (next.isPresent() && thread == Thread.currentThread()) {
          writeDown(next.get());
          next = messages.toTranscribe();
        }
      } catch (InterruptedException e) {
        return;
      } catch (DataAccessException e) {
        LOG.debug("Messages are not written down now: {}", e.getMessage());
      } catch (RuntimeException e) {
        LOG.error("A message could not be written down", e);
      }
    }
  }

  private void writeDown(long id) {
    MessageStore.TranscriptState state = MessageStore.TranscriptState.NONE;
    List<Transcriber.Word> words = List.of();
    if (transcriber.able()) {
      try {
        words = transcriber.listen(KeptSound.samples(messages.sound(id)));
        state = MessageStore.TranscriptState.DONE;
      } catch (SpeechException e) {
        if (thread != Thread.currentThread()) {
          return; // the server stops; it is done by the next run
        }
        LOG.warn("Message {} is not written down: {}", id, e.getMessage());
      }
    }
    String mailbox = messages.transcribed(id, state, words);
    pushes.voicemailChanged(office.now().people(ToReturn.partyOf(mailbox)));
  }

  @Override
  public void start() {
    Thread worker = new Thread(this::work, "transcripts");
    worker.setDaemon(true);
    worker.setPriority(Thread.MIN_PRIORITY);
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
