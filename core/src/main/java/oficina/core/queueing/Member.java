package oficina.core.queueing;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.call.CallId;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * Somebody as a member of lines.
 *
 * @param rests lines for which they are not rung at present
 * @param finishing what they write down after a call for a queue; null when they do not
 * @param missed how many calls for queues they have not taken, one after the other
 * @param rung when they were last rung for a queue; null when they never were
 * @param idle since when they have no call for a queue; null when they never had one
 * @param taken when they took calls for queues, the last {@value #REMEMBERED} of them
 */
public record Member(
    Map<GroupId, Rest> rests,
    @Nullable Finishing finishing,
    int missed,
    @Nullable Instant rung,
    @Nullable Instant idle,
    List<Instant> taken) {
  static final int REMEMBERED = 200;

  /** Somebody of whom nothing is known yet. */
  public static final Member NEW = new Member(Map.of(), null, 0, null, null, List.of());

  /**
   * That somebody does not take part.
   *
   * @param reason from the office's list; empty when none was given
   * @param by who has decided it; null when the exchange has
   */
  public record Rest(Instant since, String reason, @Nullable PersonId by) {}

  /** That somebody writes down what a call was about. */
  public record Finishing(GroupId line, CallId call, Instant since, Instant until) {}

  /** They are rung for this line no longer. */
  public Member resting(GroupId line, Rest rest) {
    Map<GroupId, Rest> all = new HashMap<>(rests);
    all.put(line, rest);
    return new Member(Map.copyOf(all), finishing, 0, rung, idle, taken);
  }

  /** They are rung for it again. */
  public Member takingPart(GroupId line) {
    Map<GroupId, Rest> all = new HashMap<>(rests);
    all.remove(line);
    return new Member(Map.copyOf(all), finishing, 0, rung, idle, taken);
  }

  /** They write something down, or null when they are done. */
  public Member finishing(@Nullable Finishing now) {
    return new Member(rests, now, missed, rung, idle, taken);
  }

  /** They have not taken a call for a queue. */
  public Member missing() {
    return new Member(rests, finishing, missed + 1, rung, idle, taken);
  }

  /** They are rung for a queue. */
  public Member rungAt(Instant at) {
    return new Member(rests, finishing, missed, at, idle, taken);
  }

  /** They are done with a call for a queue. */
  public Member idleFrom(Instant at) {
    return new Member(rests, finishing, missed, rung, at, taken);
  }

  /** They have taken one. */
  public Member taking(Instant at) {
    List<Instant> all = new ArrayList<>(taken);
    all.add(at);
    List<Instant> last = List.copyOf(all.subList(Math.max(0, all.size() - REMEMBERED), all.size()));
    return new Member(rests, finishing, 0, rung, idle, last);
  }
}
