package oficina.server.speech;

import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import oficina.core.people.PersonId;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Has texts spoken that people have typed, so that they hear them, or others later. */
@Component
public class Previews {
  private static final int AT_ONCE = 8;
  private static final int PATIENCE_SECONDS = 30;
  private static final int TRY_AGAIN_SECONDS = 5;

  private final Speaker speaker;
  private final Set<PersonId> underWay = ConcurrentHashMap.newKeySet();
  private final Semaphore places = new Semaphore(AT_ONCE);

  Previews(Speaker speaker) {
    this.speaker = speaker;
  }

  /**
   * What a text sounds like.
   *
   * @throws Problem when it is too long to be spoken, is the second one of this person, or cannot
   *     be spoken now
   */
  public short[] spoken(PersonId by, String text) {
    if (SpokenLength.of(text).compareTo(SpokenLength.LONGEST) > 0) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "TOO_LONG_TO_SPEAK");
    }
    if (!underWay.add(by)) {
      throw Problem.tooMany("SPEAKING_ALREADY", TRY_AGAIN_SECONDS);
    }
    try {
      if (!places.tryAcquire()) {
        throw Problem.busy("SPEECH_BUSY", TRY_AGAIN_SECONDS);
      }
      try {
        return await(text);
      } finally {
        places.release();
      }
    } finally {
      underWay.remove(by);
    }
  }

  private short[] await(String text) {
    try {
      short[] samples =
          speaker
              .say(Speaker.Voice.ALDER, text, Speaker.For.PREVIEW)
              .get(PATIENCE_SECONDS, TimeUnit.SECONDS);
      if (samples.length == 0) {
        throw new Problem(HttpStatus.CONFLICT, "CANNOT_SPEAK");
      }
      return samples;
    } catch (TimeoutException e) {
      throw Problem.busy("SPEECH_BUSY", TRY_AGAIN_SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw Problem.busy("SPEECH_BUSY", TRY_AGAIN_SECONDS);
    } catch (ExecutionException e) {
      throw new IllegalStateException(e.getCause());
    }
  }
}
