package oficina.core.people;

import java.time.Duration;
import java.util.List;
import java.util.Set;
import oficina.core.numbers.PhoneNumber;
import org.jspecify.annotations.Nullable;

/**
 * People who are rung together under one number; whoever answers first gets the call.
 *
 * @param number public number that rings the group; null when it has none
 * @param mailbox whether messages can be left for it
 * @param resting those of the members who do not take part at present
 */
public record Group(
    GroupId id,
    String name,
    String extension,
    @Nullable PhoneNumber number,
    List<PersonId> members,
    Duration ringTime,
    boolean mailbox,
    Set<PersonId> resting) {
  public Group {
    members = List.copyOf(members);
    resting = Set.copyOf(resting);
  }

  /** The members who are rung. */
  public List<PersonId> takingPart() {
    return members.stream().filter(member -> !resting.contains(member)).toList();
  }
}
