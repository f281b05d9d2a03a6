package oficina.server.ending;

import java.time.Instant;
import java.util.function.IntSupplier;
import oficina.core.office.Settings.Kept;

/** How something ends that is kept for a time. */
public interface Ending {
  /** What it is a part of. */
  Kept what();

  /** How many would go that are older than this; 0 for what merely goes with something else. */
  long count(Instant before);

  /**
   * Has all of it go that is older than this, in portions, so that nobody waits for it.
   *
   * @return how many went
   */
  long end(Instant before);

  /**
   * Goes on as long as there is a whole portion.
   *
   * @param size of a portion
   * @param portion has one go, and says how many that were
   * @return how many went in all
   */
  static long inPortions(int size, IntSupplier portion) {
    long gone = 0;
    int some;
    do {
      some = portion.getAsInt();
      gone += some;
    } while (some == size);
    return gone;
  }
}
