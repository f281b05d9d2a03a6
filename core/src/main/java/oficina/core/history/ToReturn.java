package oficina.core.history;

import java.util.ArrayList;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Directory;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * The rule of calls to return. A missed call puts its caller on the list of whoever was called: of
 * the group or the colleague on whose line it came in, otherwise of the person. An outside number
 * leaves every list as soon as anybody in the office has spoken with it; a colleague leaves one's
 * own list once one has spoken with them oneself, and a group's list once one of its members has on
 * its line.
 */
public final class ToReturn {
  private ToReturn() {}

  /**
   * What an entry of the history changes in the lists.
   *
   * @param list whose list the caller is put on, or taken from; null for everybody's
   * @param caller who is to be called back
   * @param missed whether they are put on it, or taken off
   */
  public record Change(@Nullable String list, String caller, boolean missed) {}

  /** The change, or null when it concerns no list. */
  public static @Nullable Change of(Part part) {
    String caller = key(part.other());
    if (caller == null || caller.equals(listOf(part.person()))) {
      return null;
    }
    String list =
        part.line() != null && part.line().group() != null
            ? listOf(part.line())
            : listOf(part.person());
    if (part.result().missed()) {
      boolean others = part.line() != null && part.line().employee() != null;
      return new Change(others ? listOf(part.line().employee()) : list, caller, true);
    }
    if (part.result() != Part.Result.ANSWERED) {
      return null;
    }
    return new Change(part.other().usesOutsideLine() ? null : list, caller, false);
  }

  /** How the list of a person is called. */
  public static String listOf(PersonId person) {
    return "p" + person;
  }

  /** How the list of a group's line is called. */
  public static String listOf(Party line) {
    return "g" + line.group();
  }

  /** How the list of a person or a group's line is called. */
  public static String listOfOwner(Party owner) {
    return owner.employee() != null ? listOf(owner.employee()) : listOf(owner);
  }

  /** Everybody's lists that concern a person: their own, and those of their groups. */
  public static List<String> listsOf(PersonId person, Directory directory) {
    List<String> lists = new ArrayList<>(List.of(listOf(person)));
    for (GroupId group : directory.groupsOf(person)) {
      lists.add(listOf(new Party.Members(group)));
    }
    return lists;
  }

  /** Who is meant by a caller's key or a list's name: a person, a group, an outside number. */
  public static Party partyOf(String key) {
    return switch (key.charAt(0)) {
      case 'p' -> new Party.Employee(new PersonId(Long.parseLong(key.substring(1))));
      case 'g' -> new Party.Members(new GroupId(Long.parseLong(key.substring(1))));
      default -> new Party.Outside(new PhoneNumber(key));
    };
  }

  /**
   * What identifies somebody when one looks for calls with the same: an E.164 number, or the list
   * of a person; null when there is no telling.
   */
  public static @Nullable String key(Party party) {
    if (party.employee() != null) {
      return listOf(party.employee());
    }
    return party.outsideNumber() == null ? null : party.outsideNumber().e164();
  }
}
