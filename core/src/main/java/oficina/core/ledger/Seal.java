package oficina.core.ledger;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;

/**
 * What each line of the log carries of all lines before it: SHA-256 (FIPS 180-4) over the seal of
 * the line before and everything the line says, each part with its length before it. Whoever
 * changes a line, or takes one out, would have to seal all that follow anew.
 */
public final class Seal {
  /** What the first line follows. */
  public static final String BEGINNING = "0".repeat(64);

  private Seal() {}

  /** The seal of a line, in hexadecimal digits. */
  public static String of(String before, Entry entry) {
    Entry.Deed deed = entry.deed();
    List<String> parts =
        List.of(
            before,
            Long.toString(entry.number()),
            entry.at().toString(),
            entry.who() == null ? "" : Long.toString(entry.who().value()),
            entry.name(),
            entry.origin(),
            deed.kind().name(),
            deed.about(),
            deed.what(),
            deed.before(),
            deed.after());
    StringBuilder whole = new StringBuilder();
    parts.forEach(part -> whole.append(part.length()).append(':').append(part));
    try {
      MessageDigest sha = MessageDigest.getInstance("SHA-256");
      return HexFormat.of()
          .formatHex(sha.digest(whole.toString().getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e); // every Java has it
    }
  }

  /**
   * Goes through a log from its beginning, or from where it was cut off, and finds the first line
   * that is not as it was written.
   */
  public static final class Check {
    private String before;
    private long number;

    /**
     * @param number of the line before the first; 0 at the beginning
     * @param before its seal; {@link #BEGINNING} at the beginning
     */
    public Check(long number, String before) {
      this.number = number;
      this.before = before;
    }

    /**
     * Takes in the next line.
     *
     * @return whether it is the one that follows, and as it was written
     */
    public boolean follows(Entry entry, String seal) {
      boolean whole = entry.number() == number + 1 && seal.equals(Seal.of(before, entry));
      number = entry.number();
      before = seal;
      return whole;
    }
  }
}
