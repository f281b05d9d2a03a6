package oficina.core.register;

import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Somebody as a line of the register says it.
 *
 * @param signInName the name they sign in with
 * @param role as {@link oficina.core.people.Role} calls it, in small letters
 * @param directNumber public number that rings them, in E.164; empty for none
 * @param mail address at which they are written to; empty for none
 * @param mobile their mobile number, in E.164; empty for none
 */
public record PersonEntry(
    String name,
    String signInName,
    String role,
    String extension,
    String directNumber,
    String team,
    String site,
    String mail,
    String mobile) {
  /** What a name to sign in with is made of. */
  public static final String SIGN_IN_NAMES = "[a-z0-9.-]{1,60}";

  /** What an extension is made of. */
  public static final String EXTENSIONS = "[0-9]{2,6}";

  /** Letters of a name at most. */
  public static final int LONGEST_NAME = 120;

  /** Letters of a team or a site at most. */
  public static final int LONGEST_PLACE = 80;

  /** The same with its numbers written in another way. */
  public PersonEntry writing(UnaryOperator<String> number) {
    return new PersonEntry(
        name,
        signInName,
        role,
        extension,
        directNumber.isEmpty() ? "" : number.apply(directNumber),
        team,
        site,
        mail,
        mobile.isEmpty() ? "" : number.apply(mobile));
  }

  /** In the order of {@link PeopleFile#COLUMNS}. */
  List<String> values() {
    return List.of(name, signInName, role, extension, directNumber, team, site, mail, mobile);
  }
}
