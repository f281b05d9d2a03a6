package oficina.server.cards;

import java.util.List;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import oficina.core.contacts.Comparison;
import oficina.core.contacts.Comparison.Kind;
import oficina.core.contacts.Incoming;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** A file of contacts that somebody has read in and not taken over yet, or is taking over. */
final class ReadIn {
  private final String id = UUID.randomUUID().toString();
  private final PersonId by;
  private final @Nullable PersonId owner;
  private final int wanted;
  private final AtomicInteger done = new AtomicInteger();
  private volatile List<Compared> all;
  private volatile State state = State.READ;
  private volatile boolean stopping;

  /** A card of the file, and how it stands to what there is. */
  record Compared(Incoming incoming, Comparison comparison) {}

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

  /**
   * @param owner whose own they are to be; null for the office
   */
  ReadIn(PersonId by, @Nullable PersonId owner, List<Compared> all) {
    this.by = by;
    this.owner = owner;
    this.all = all;
    this.wanted = of(Kind.NEW).size() + of(Kind.CHANGED).size() + of(Kind.DOUBTFUL).size();
  }

  String id() {
    return id;
  }

  PersonId by() {
    return by;
  }

  @Nullable PersonId owner() {
    return owner;
  }

  /** Its cards of one kind; none any more when it is over. */
  List<Compared> of(Kind kind) {
    return all.stream().filter(each -> each.comparison().kind() == kind).toList();
  }

  /** How many cards of it are kept. */
  int size() {
    return all.size();
  }

  /** How many cards can be taken over. */
  int wanted() {
    return wanted;
  }

  /** How many have been taken over, or left. */
  int done() {
    return done.get();
  }

  void advance(int by) {
    done.addAndGet(by);
  }

  State state() {
    return state;
  }

  /** Begins to be taken over; false when it has begun, or ended, already. */
  synchronized boolean begin() {
    boolean first = state == State.READ;
    if (first) {
      state = State.RUNNING;
    }
    return first;
  }

  /** Has it stopped: at once, or as soon as what is under way is there. */
  synchronized void stop() {
    stopping = true;
    if (state == State.READ) {
      end(State.CANCELLED);
    }
  }

  boolean isStopping() {
    return stopping;
  }

  /** It is over, one way or the other: its cards are not needed any more. */
  synchronized void end(State how) {
    state = how;
    all = List.of();
  }
}
