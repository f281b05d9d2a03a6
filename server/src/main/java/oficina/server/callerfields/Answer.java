package oficina.server.callerfields;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the office's own address has said of a caller.
 *
 * @param trouble why it has said nothing; null when it has answered
 */
record Answer(List<Entry> entries, @Nullable Trouble trouble) {
  /** Something that is known of a caller, in the words of the office. */
  record Entry(String name, String value) {}

  /** Why an address has said nothing. */
  enum Trouble {
    /** It took longer than it may, or too much is asked of it at once. */
    SLOW,
    /** It could not be reached, or answered with an error. */
    FAILED,
    /** What it said is not a JSON object of names and values. */
    WRONG
  }

  static Answer not(Trouble why) {
    return new Answer(List.of(), why);
  }
}
