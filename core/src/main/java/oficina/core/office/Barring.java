package oficina.core.office;

import java.util.List;
import java.util.Set;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * Numbers outside that the office does not want called, as those that cost much or are abroad.
 * Calls for help are never among them.
 *
 * @param beginnings of numbers, in E.164, or of short numbers as they are dialled
 * @param exempt who may call them all the same
 */
public record Barring(List<String> beginnings, Set<PersonId> exempt) {
  public static final Barring NONE = new Barring(List.of(), Set.of());

  public Barring {
    beginnings = List.copyOf(beginnings);
    exempt = Set.copyOf(exempt);
  }

  /**
   * Whether calls may not go there.
   *
   * @param by who calls, or whose call is sent there; null for a line
   * @param number null for whoever is not outside
   */
  public boolean bars(@Nullable PersonId by, @Nullable PhoneNumber number) {
    return number != null
        && (by == null || !exempt.contains(by))
        && beginnings.stream().anyMatch(number.e164()::startsWith);
  }
}
