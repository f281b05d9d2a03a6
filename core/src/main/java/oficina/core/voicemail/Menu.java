package oficina.core.voicemail;

import java.util.ArrayList;
import java.util.List;
import oficina.core.voicemail.Say.Words;
import org.jspecify.annotations.Nullable;

/**
 * What whoever listens to their messages by telephone is told, and what the keys they press lead
 * to. Each key can be pressed while something is said, which it cuts short.
 *
 * <p>Not safe for use by several threads.
 */
public final class Menu {
  private static final char ENTER = '#';
  private static final int MOST_TRIES = 3;
  private static final int MOST_DIGITS = 12;

  private enum Stage {
    EXTENSION,
    PIN,
    MESSAGES,
    RECORDING,
    OVER
  }

  /** What is to be done, beyond saying something. */
  public enum Deed {
    /** Ask whether the PIN is that of the mailbox. */
    CHECK_PIN,
    /** The message at hand has been heard. */
    HEARD,
    DELETE,
    /** Go on with the message at hand, slower. */
    SLOWER,
    /** Go on with the message at hand, faster. */
    FASTER,
    /** Connect with whoever left the message at hand. */
    CALL_BACK,
    /** Listen to a new greeting, until {@link #KEEP_GREETING}. */
    RECORD_GREETING,
    KEEP_GREETING,
    END
  }

  /**
   * What follows.
   *
   * @param say one after the other, in the place of whatever is being said
   */
  public record Step(List<Say> say, List<Deed> deeds) {
    public Step {
      say = List.copyOf(say);
      deeds = List.copyOf(deeds);
    }

    private static Step of(Say... what) {
      return new Step(List.of(what), List.of());
    }
  }

  private final StringBuilder typed = new StringBuilder();
  private final boolean extensionKnown;
  private Stage stage;
  private String extension = "";
  private String pin = "";
  private int tries;
  private int messages;
  private int at;

  /**
   * @param extension whose messages they are; null when that has to be said first
   */
  public Menu(@Nullable String extension) {
    extensionKnown = extension != null;
    if (extension != null) {
      this.extension = extension;
    }
    stage = extensionKnown ? Stage.PIN : Stage.EXTENSION;
  }

  /** Whose mailbox is asked for; empty as long as that is not known. */
  public String extension() {
    return extension;
  }

  /** What was entered last as the PIN. */
  public String pin() {
    return pin;
  }

  /** Which message is at hand, counted from 0. */
  public int at() {
    return at;
  }

  /** What is said first. */
  public Step begin() {
    return Step.of(stage == Stage.PIN ? Words.ENTER_PIN : Words.ENTER_EXTENSION);
  }

  /**
   * A key was pressed.
   *
   * @param key 0 to 9, star or number sign
   */
  public Step key(char key) {
    return switch (stage) {
      case EXTENSION, PIN -> typed(key);
      case MESSAGES -> ordered(key);
      case RECORDING -> {
        stage = Stage.MESSAGES;
        yield new Step(List.of(Words.GREETING_KEPT, Words.CHOICES), List.of(Deed.KEEP_GREETING));
      }
      case OVER -> Step.of();
    };
  }

  private Step typed(char key) {
    if (key != ENTER) {
      if (typed.length() < MOST_DIGITS) {
        typed.append(key);
      }
      return Step.of();
    }
    String entered = typed.toString();
    typed.setLength(0);
    if (stage == Stage.EXTENSION) {
      extension = entered;
      stage = Stage.PIN;
      return Step.of(Words.ENTER_PIN);
    }
    pin = entered;
    return new Step(List.of(), List.of(Deed.CHECK_PIN));
  }

  /** The PIN was wrong, or nobody has that extension: which of the two is not told. */
  public Step wrongPin() {
    pin = "";
    if (++tries == MOST_TRIES) {
      return end(Words.TOO_MANY_TRIES);
    }
    if (!extensionKnown) {
      stage = Stage.EXTENSION;
    }
    return Step.of(Words.WRONG_PIN, stage == Stage.PIN ? Words.ENTER_PIN : Words.ENTER_EXTENSION);
  }

  /**
   * The PIN was right.
   *
   * @param fresh how many messages are new
   * @param all how many there are, the new ones first
   */
  public Step open(int fresh, int all) {
    pin = "";
    stage = Stage.MESSAGES;
    messages = all;
    List<Say> say = new ArrayList<>(List.of(new Say.Count(fresh, all)));
    return message(say, List.of());
  }

  private Step message(List<Say> before, List<Deed> deeds) {
    List<Say> say = new ArrayList<>(before);
    List<Deed> all = new ArrayList<>(deeds);
    if (at < messages) {
      say.addAll(List.of(new Say.Head(at), new Say.Sound(at), Words.CHOICES));
      all.add(Deed.HEARD);
    } else {
      say.addAll(List.of(Words.NO_MORE, Words.CHOICES_WITHOUT));
    }
    return new Step(say, all);
  }

  private Step ordered(char key) {
    boolean there = at < messages;
    switch (key) {
      case '1':
        return message(List.of(), List.of());
      case '2':
        at = Math.min(messages, at + 1);
        return message(List.of(), List.of());
      case '3':
        if (there) {
          // The deed speaks of the message that was at hand; whoever carries it out drops it first.
          messages--;
          return message(List.of(Words.DELETED), List.of(Deed.DELETE));
        }
        break;
      case '4':
        if (there) {
          return new Step(List.of(), List.of(Deed.CALL_BACK));
        }
        break;
      case '5', '6':
        if (there) {
          return new Step(List.of(), List.of(key == '5' ? Deed.SLOWER : Deed.FASTER));
        }
        break;
      case '9':
        stage = Stage.RECORDING;
        return new Step(List.of(Words.SPEAK_GREETING), List.of(Deed.RECORD_GREETING));
      case '0':
        return end(Words.GOODBYE);
      default:
        break;
    }
    return Step.of(there ? Words.CHOICES : Words.CHOICES_WITHOUT);
  }

  /** Whoever left the message cannot be called. */
  public Step cannotCallBack() {
    return Step.of(Words.CANNOT_CALL, Words.CHOICES);
  }

  /** Nobody has pressed anything for long. */
  public Step idle() {
    return end(Words.GOODBYE);
  }

  private Step end(Words last) {
    stage = Stage.OVER;
    return new Step(List.of(last), List.of(Deed.END));
  }
}
