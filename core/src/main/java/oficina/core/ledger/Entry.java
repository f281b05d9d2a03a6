package oficina.core.ledger;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * One line of the office's log.
 *
 * @param number in the order of the log, from 1 and without a gap
 * @param who has done it; null when that is nobody of the office, or the server itself
 * @param name with which they have signed in; empty for nobody
 * @param origin the network address it came from; empty when it came from none
 */
public record Entry(
    long number, Instant at, @Nullable PersonId who, String name, String origin, Deed deed) {

  /** What can be done that is written down. */
  public enum Kind {
    SIGNED_IN,
    /** Somebody gave a wrong password. */
    SIGN_IN_FAILED,
    /** Somebody was signed out everywhere, by somebody else. */
    SIGNED_OUT,
    /** Somebody was given a new password, or has chosen one. */
    PASSWORD,
    ADDED,
    CHANGED,
    REMOVED,
    /** Something was saved as a file. */
    SAVED
  }

  /**
   * What was done.
   *
   * @param about whom or what it concerns, by name
   * @param what which part of it; empty for the whole
   * @param before as it was; empty when it was nothing
   * @param after as it is; empty when it is nothing
   */
  public record Deed(Kind kind, String about, String what, String before, String after) {
    private static final int LONGEST = 400;

    public Deed {
      about = cut(about);
      what = cut(what);
      before = cut(before);
      after = cut(after);
    }

    /** Something of which no part is meant. */
    public static Deed of(Kind kind, String about) {
      return new Deed(kind, about, "", "", "");
    }

    private static String cut(String text) {
      String kept = text.length() > LONGEST ? text.substring(0, LONGEST - 1) + "…" : text;
      // Half a letter, cut or typed, would come back from the database as another one.
      return new String(kept.getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8);
    }
  }
}
