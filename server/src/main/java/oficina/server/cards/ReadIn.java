package oficina.server.cards;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import oficina.core.contacts.Comparison;
import oficina.core.contacts.Incoming;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * A file of contacts that somebody has read in and not taken over yet, or is taking over.
 *
 * @param owner whose own they are to be; null for the office
 */
record ReadIn(
    String id,
    PersonId by,
    @Nullable PersonId owner,
    List<Compared> all,
    AtomicInteger done,
    Progress progress) {

  /** A card of the file, and how it stands to what there is. */
  record Compared(Incoming incoming, Comparison comparison) {}

  /** How far it is. */
  static final class Progress {
    private volatile State state = State.READ;

    State state() {
      return state;
    }

    void state(State next) {
      state = next;
    }
  }

  /** What is being done with it. */
  enum State {
    READ,
    RUNNING,
    /** Everything that was wanted is there. */
    DONE,
    /** What was there by then stays. */
    CANCELLED,
    /** The database took no more. */
    FAILED
  }

  static ReadIn of(PersonId by, @Nullable PersonId owner, List<Compared> all) {
    return new ReadIn(
        UUID.randomUUID().toString(),
        by,
        owner,
        new ArrayList<>(all),
        new AtomicInteger(),
        new Progress());
  }

  List<Compared> of(Comparison.Kind kind) {
    return all.stream().filter(each -> each.comparison().kind() == kind).toList();
  }
}
