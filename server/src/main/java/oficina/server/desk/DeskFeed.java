package oficina.server.desk;

import java.util.List;
import oficina.core.history.Part;
import oficina.core.notices.Notice;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** Where the exchange tells how desks look. */
public interface DeskFeed {

  /**
   * What one command has changed for people to see.
   *
   * @param desks how the desks of everybody concerned look now
   * @param shelf how the park slots look now; null when none has changed
   * @param notices what people should be told once
   * @param parts entries of the history that are new or have changed
   */
  record Changes(
      List<DeskView> desks, @Nullable Shelf shelf, List<Notice> notices, List<Part> parts) {}

  /** Shows what has changed. */
  void publish(Changes changes);

  /** This person has no desk any more. */
  void forget(PersonId person);
}
