package oficina.server.keeping;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import oficina.core.contacts.SpokenNames;
import oficina.core.people.PersonId;
import oficina.server.contacts.Contacts;
import oficina.server.keeping.Dictation.Piece;
import oficina.server.office.OfficeData;
import oficina.server.speech.SpeechException;
import oficina.server.speech.Transcriber;
import oficina.server.speech.Transcriber.Word;
import oficina.server.threads.Threads;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/**
 * Has sound written down, one piece after the other, when there is nothing more urgent: messages
 * first, which somebody waits for, and recordings, which are long, between them.
 */
@Component
public class Transcripts implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(Transcripts.class);

  /** What was left by an earlier run, or while the database was away, is found again so often. */
  private static final long LOOK_SECONDS = 30;

  /** The more there are, the more often one of them is heard in the place of another word. */
  private static final int NAMES = 400;

  private final List<Dictation> dictations;
  private final Transcriber transcriber;
  private final OfficeData office;
  private final Contacts contacts;
  private final Semaphore wanted = new Semaphore(1);
  private final Map<Dictation, Progress> progress = new HashMap<>();
  private volatile @Nullable Thread thread;

  /** What is being written down of one dictation: a start of the server later it begins anew. */
  private static final class Progress {
    final long id;
    final List<Piece> pieces;
    final List<List<Word>> words = new ArrayList<>();
    int done;

    Progress(long id, List<Piece> pieces) {
      this.id = id;
      this.pieces = pieces;
    }

    void add(Piece piece, List<Word> more) {
      while (words.size() <= piece.channel()) {
        words.add(new ArrayList<>());
      }
      int offset = piece.second() * 1_000;
      for (Word word : more) {
        words
            .get(piece.channel())
            .add(new Word(word.text(), word.from() + offset, word.to() + offset, word.doubtful()));
      }
      done++;
    }
  }

  /**
   * @param dictations the most urgent first
   */
  Transcripts(
      List<Dictation> dictations, Transcriber transcriber, OfficeData office, Contacts contacts) {
    this.dictations = dictations;
    this.transcriber = transcriber;
    this.office = office;
    this.contacts = contacts;
  }

  /** There is something new. */
  public void look() {
    wanted.release();
  }

  private void work() {
    while (thread == Thread.currentThread()) {
      try {
        if (wanted.tryAcquire(LOOK_SECONDS, TimeUnit.SECONDS)) {
          wanted.drainPermits();
        }
        while (thread == Thread.currentThread() && onePiece()) {
          Thread.yield();
        }
      } catch (InterruptedException e) {
        return;
      } catch (DataAccessException e) {
        LOG.debug("Nothing is written down now: {}", e.getMessage());
      } catch (RuntimeException e) {
        LOG.error("Something could not be written down", e);
      }
    }
  }

  /** Writes down the next piece of the most urgent; false when there is none. */
  private boolean onePiece() {
    for (Dictation dictation : dictations) {
      Optional<Long> next = dictation.next();
      if (next.isPresent()) {
        goOn(dictation, next.get());
        return true;
      }
    }
    return false;
  }

  private void goOn(Dictation dictation, long id) {
    if (!transcriber.able()) {
      dictation.written(id, null);
      return;
    }
    Progress now = progress.get(dictation);
    if (now == null || now.id != id) {
      now = new Progress(id, dictation.pieces(id));
      progress.put(dictation, now);
    }
    try {
      if (now.done < now.pieces.size()) {
        Piece piece = now.pieces.get(now.done);
        now.add(piece, transcriber.listen(dictation.samples(piece), names(dictation, id)));
      }
      if (now.done >= now.pieces.size()) {
        progress.remove(dictation);
        dictation.written(id, now.words);
      }
    } catch (SpeechException e) {
      if (thread == Thread.currentThread()) { // else the server stops; the next run does it
        LOG.warn("{} is not written down: {}", id, e.getMessage());
        progress.remove(dictation);
        dictation.written(id, null);
      }
    }
  }

  private List<String> names(Dictation dictation, long id) {
    PersonId reader = dictation.reader(id).orElse(null);
    return contacts.ask(book -> SpokenNames.of(office.now(), book, reader, NAMES));
  }

  @Override
  public void start() {
    Thread worker = Threads.behind("transcripts").newThread(this::work);
    thread = worker;
    worker.start();
  }

  @Override
  public void stop() {
    Thread worker = thread;
    thread = null;
    if (worker != null) {
      worker.interrupt();
    }
  }

  @Override
  public boolean isRunning() {
    return thread != null;
  }
}
