package oficina.server.exchange;

import java.util.List;
import oficina.core.history.Part;

/** Where the exchange tells how desks look. */
public interface DeskFeed {

  /**
   * Shows these desks as they are now.
   *
   * @param parts entries of the history that are new or have changed
   */
  void publish(List<DeskView> desks, List<Part> parts);

  /** Says whether events wait for the database. */
  void behind(boolean waiting);

  boolean behind();
}
