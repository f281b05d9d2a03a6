package oficina.core.call;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import oficina.core.people.Directory;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;

/**
 * Who in the office has something of their own, as a mailbox, rules, blocks and lists: an employee,
 * or the members of a group. Each has one key, by which all of it is kept.
 */
public final class Owner {
  private static final Pattern KEY = Pattern.compile("[pg][0-9]{1,12}");

  private Owner() {}

  /** The key of an employee. */
  public static String key(PersonId person) {
    return "p" + person;
  }

  /** The key of a group. */
  public static String key(GroupId group) {
    return "g" + group;
  }

  /**
   * The key of an owner.
   *
   * @throws IllegalArgumentException when this party is neither an employee nor a group
   */
  public static String key(Party owner) {
    if (owner.employee() != null) {
      return key(owner.employee());
    }
    if (owner.group() == null) {
      throw new IllegalArgumentException(owner + " owns nothing");
    }
    return key(owner.group());
  }

  /** The keys of all that concerns a person: their own, and those of their groups. */
  public static List<String> keysFor(PersonId person, Directory directory) {
    List<String> keys = new ArrayList<>(List.of(key(person)));
    directory.groupsOf(person).forEach(group -> keys.add(key(group)));
    return keys;
  }

  /** Whether this is the key of an owner, be there such a one or not. */
  public static boolean isKey(String text) {
    return KEY.matcher(text).matches();
  }

  /**
   * Whose key this is.
   *
   * @throws IllegalArgumentException when it is none
   */
  public static Party of(String key) {
    if (!isKey(key)) {
      throw new IllegalArgumentException("no key of an owner: " + key);
    }
    long id = Long.parseLong(key.substring(1));
    return key.charAt(0) == 'p'
        ? new Party.Employee(new PersonId(id))
        : new Party.Members(new GroupId(id));
  }
}
