package oficina.core.queueing;

import java.time.Instant;
import java.util.List;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * The place of a call at a line that keeps callers. It goes with the call through every hand.
 *
 * @param since since when they have waited, at lines before this one included
 * @param entered since when at this one
 * @param ends when they are kept no longer
 * @param priority the higher, the sooner they are served
 * @param why they are served before others; null when they are not
 * @param wanted members who took part when they came
 * @param stage how far it has come
 * @param left when they stopped waiting; null as long as they wait
 * @param by the employee who answered; null as long as none has
 * @param kept that the caller has hung up and is called back in turn; null when they wait
 *     themselves
 * @param given the number of theirs that they have keyed in; empty when they have given none
 */
public record Place(
    GroupId line,
    Instant since,
    Instant entered,
    Instant ends,
    int priority,
    Queue.@Nullable Why why,
    List<PersonId> wanted,
    Stage stage,
    @Nullable Instant left,
    @Nullable PersonId by,
    @Nullable Kept kept,
    String given) {

  /**
   * That somebody keeps their place and is called back.
   *
   * @param number at which
   * @param from not before this
   * @param tries how often they were called in vain
   */
  public record Kept(PhoneNumber number, Instant from, int tries) {}

  /** How far somebody has come who came to wait. */
  public enum Stage {
    /** They are asked for a number of theirs. */
    ASKED,
    WAITING,
    /** Somebody has answered. */
    ANSWERED,
    /** They went elsewhere. */
    LEFT
  }

  /** Whether they still wait. */
  public boolean waits() {
    return stage == Stage.WAITING;
  }

  /** Whether they are asked for a number before they wait. */
  public boolean isAsked() {
    return stage == Stage.ASKED;
  }

  /** They have given a number, or none, and wait from now on. */
  public Place giving(String digits, Instant at, Instant until) {
    return new Place(
        line, since, at, until, priority, why, wanted, Stage.WAITING, left, by, kept, digits);
  }

  /** Somebody has answered; null when that is no employee. */
  public Place answered(@Nullable PersonId employee, Instant at) {
    return waits() ? over(Stage.ANSWERED, at, employee) : this;
  }

  /** They go elsewhere. */
  public Place left(Instant at) {
    return waits() || isAsked() ? over(Stage.LEFT, at, null) : this;
  }

  private Place over(Stage now, Instant at, @Nullable PersonId who) {
    return new Place(line, since, entered, ends, priority, why, wanted, now, at, who, kept, given);
  }

  /** They have hung up, and keep their place until then. */
  public Place keeping(Kept by, Instant until) {
    return new Place(
        line, since, entered, until, priority, why, wanted, stage, left, this.by, by, given);
  }

  /** They were reached, or nobody will try any more. */
  public Place notKept() {
    return new Place(
        line, since, entered, ends, priority, why, wanted, stage, left, by, null, given);
  }
}
