package oficina.core.queueing;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;

/**
 * What the calls of the last day leave behind when they are over: whose turn it is, and who has
 * waited before. After a restart it is known from what was kept of them.
 *
 * @param taken calls that members took, in the order in which they were answered
 * @param came numbers that came to wait, in the order in which they came
 */
public record Lately(List<Taken> taken, List<Came> came) {
  /** Nothing that is asked of the past reaches further back. */
  public static final Duration REACH = Duration.ofDays(1);

  /** A member took a call for a line and is done with it. */
  public record Taken(PersonId member, Instant answered, Instant ended) {}

  /** A number came to wait at a line. */
  public record Came(GroupId line, PhoneNumber number, Instant at) {}
}
