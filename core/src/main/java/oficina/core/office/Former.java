package oficina.core.office;

import java.util.Map;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;

/**
 * Names of people and lines that are no longer of the office, for whatever still speaks of them.
 *
 * @param people empty names of those of whom nothing is known any more
 */
public record Former(Map<PersonId, String> people, Map<GroupId, String> lines) {
  public static final Former NONE = new Former(Map.of(), Map.of());

  public Former {
    people = Map.copyOf(people);
    lines = Map.copyOf(lines);
  }
}
