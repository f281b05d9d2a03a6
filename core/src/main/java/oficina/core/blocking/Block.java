package oficina.core.blocking;

import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * A caller, or many of them, who are not let through.
 *
 * @param owner to whom they are not let through; null for nobody in the office
 * @param number the number in E.164, or how it begins; empty for withheld ones
 * @param note why; empty when nothing was said
 */
public record Block(
    long id, @Nullable PersonId owner, Kind kind, String number, Answer answer, String note) {

  /** What is blocked. */
  public enum Kind {
    NUMBER,
    /** All numbers that begin so. */
    BEGINNING,
    /** Everybody who does not show their number. */
    WITHHELD
  }

  /** What a blocked caller hears. */
  public enum Answer {
    BUSY,
    NOT_IN_USE,
    /** A sentence: calls from this number are not taken. */
    REFUSED,
    /** It rings on, and nobody hears it. */
    RINGS_ON,
    /** They can leave a message, which is kept apart. */
    VOICEMAIL
  }
}
