package oficina.server.ending;

import java.time.Instant;
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
}
