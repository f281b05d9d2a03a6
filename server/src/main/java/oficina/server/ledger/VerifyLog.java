package oficina.server.ledger;

import java.io.PrintStream;
import oficina.core.ledger.Seal;

/**
 * Reads the log of an office from its beginning, and says whether every line is as it was written:
 * {@code ./oficina verify-log}. A program of its own, so that it needs no server.
 */
public final class VerifyLog {
  private VerifyLog() {}

  /**
   * @param args the address of the database, and its user, whose password is in OFICINA_DB_PASSWORD
   */
  public static void main(String[] args) {
    String password = System.getenv().getOrDefault("OFICINA_DB_PASSWORD", "");
    System.exit(verify(OfficeLogStore.of(args[0], args[1], password), System.out) ? 0 : 1);
  }

  static boolean verify(OfficeLogStore store, PrintStream out) {
    OfficeLogStore.Cut cut = store.cut();
    Seal.Check check = new Seal.Check(cut.number(), cut.seal());
    long[] counted = new long[2];
    store.each(
        (entry, seal) -> {
          counted[0]++;
          if (!check.follows(entry, seal)) {
            counted[1]++;
            out.printf(
                "Line %d of %s is not as it was written, or lines before it are gone.%n",
                entry.number(), entry.at());
          }
        });
    if (cut.number() > 0) {
      out.printf("Lines up to %d are gone: the office keeps them no longer.%n", cut.number());
    }
    out.printf(
        counted[1] == 0 ? "All %d lines are as they were written.%n" : "Of %d lines read.%n",
        counted[0]);
    return counted[1] == 0;
  }
}
