package oficina.core.people;

import java.time.Duration;
import java.util.List;
import oficina.core.numbers.PhoneNumber;
import org.jspecify.annotations.Nullable;

/**
 * People who are rung together under one number; whoever answers first gets the call.
 *
 * @param number public number that rings the group; null when it has none
 * @param mailbox whether messages can be left for it
 */
public record Group(
    GroupId id,
    String name,
    String extension,
    @Nullable PhoneNumber number,
    List<PersonId> members,
    Duration ringTime,
    boolean mailbox) {
  public Group {
    members = List.copyOf(members);
  }
}
