package oficina.server.queues;

import java.time.Duration;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import oficina.core.queueing.Queue;

/**
 * Listens for the number of theirs that a caller is asked for: it ends with the hash key, with as
 * many digits as it has, or with silence; the star begins it anew.
 */
final class AskedNumber {
  private static final Duration BETWEEN_KEYS = Duration.ofSeconds(5);
  private static final Duration BEFORE_THE_FIRST = Duration.ofSeconds(8);

  private static final char ENOUGH = '#';
  private static final char ANEW = '*';

  private final Queue.Question question;
  private final Runnable ask;
  private final Consumer<String> given;
  private final BiConsumer<Duration, Runnable> later;
  private final StringBuilder digits = new StringBuilder();
  private int heard;
  private boolean askedAgain;
  private boolean over;

  /**
   * Asks at once.
   *
   * @param ask says the question, and then calls {@link #asked}
   * @param given takes what was given, once; empty when nothing was
   * @param later runs something when so long has passed
   */
  AskedNumber(
      Queue.Question question,
      Runnable ask,
      Consumer<String> given,
      BiConsumer<Duration, Runnable> later) {
    this.question = question;
    this.ask = ask;
    this.given = given;
    this.later = later;
  }

  /** The question has been said. */
  void asked() {
    await(BEFORE_THE_FIRST);
  }

  /** The caller has pressed these keys. */
  void pressed(String keys) {
    heard++;
    for (char key : keys.toCharArray()) {
      if (key == ANEW) {
        digits.setLength(0);
      } else if (key != ENOUGH) {
        digits.append(key);
      }
      if (key == ENOUGH || digits.length() >= question.digits()) {
        end();
        return;
      }
    }
    await(BETWEEN_KEYS);
  }

  private void await(Duration time) {
    int before = heard;
    later.accept(
        time,
        () -> {
          if (heard == before) {
            silent();
          }
        });
  }

  private void silent() {
    if (digits.isEmpty() && !askedAgain && !over) {
      askedAgain = true;
      ask.run();
    } else {
      end();
    }
  }

  private void end() {
    if (!over) {
      over = true;
      given.accept(digits.toString());
    }
  }
}
