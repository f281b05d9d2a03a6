package oficina.core.register;

import java.util.List;

/**
 * Somebody as a line of the register says it.
 *
 * @param signInName the name they sign in with
 * @param role as {@link oficina.core.people.Role} calls it, in small letters
 * @param directNumber public number that rings them, in E.164; empty for none
 * @param mail address at which they are written to; empty for none
 */
public record PersonEntry(
    String name,
    String signInName,
    String role,
    String extension,
    String directNumber,
    String team,
    String site,
    String mail) {

  /** The same with another direct number, or that one written in another way. */
  public PersonEntry withNumber(String number) {
    return new PersonEntry(name, signInName, role, extension, number, team, site, mail);
  }

  /** In the order of {@link PeopleFile#COLUMNS}. */
  List<String> values() {
    return List.of(name, signInName, role, extension, directNumber, team, site, mail);
  }
}
