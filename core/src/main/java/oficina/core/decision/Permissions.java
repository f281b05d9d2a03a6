package oficina.core.decision;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import oficina.core.call.Party;
import oficina.core.events.ParkedCall;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.people.Role;
import oficina.core.people.Status;
import oficina.core.queueing.Queue;
import oficina.core.state.ExchangeState;

/**
 * Who may do what with calls that are not in their hand, and with the office. What one does with
 * one's own calls needs no permission, and of others' calls nobody learns anything but what is said
 * here (docs/permissions.md).
 */
public final class Permissions {
  private Permissions() {}

  /** Those whose ringing calls this person takes: their team, their groups, whom they act for. */
  public static Set<PersonId> pickUpGroup(Office office, PersonId person) {
    Set<PersonId> all = new LinkedHashSet<>(office.directory().teamOf(person));
    all.addAll(office.delegations().principalsOf(person));
    for (GroupId group : office.directory().groupsOf(person)) {
      office.directory().group(group).ifPresent(each -> all.addAll(each.members()));
    }
    all.remove(person);
    return all;
  }

  /** Whether this person may take a call that rings at the other. */
  public static boolean mayPickUp(Office office, PersonId person, PersonId from) {
    return office.settings().pickUp() == Settings.PickUp.ANYBODY
        || pickUpGroup(office, person).contains(from);
  }

  /** Whether this person leads the line: has others rest, and takes callers out of turn. */
  public static boolean mayLead(Office office, GroupId line, PersonId person) {
    Queue queue = office.directions().queue(line);
    return queue != null && queue.leads().contains(person);
  }

  /** Whether this person may see what the line has done, and each of its members. */
  public static boolean maySeeFigures(Office office, GroupId line, PersonId person, Role role) {
    return mayAdminister(role)
        || mayLead(office, line, person)
        || office.directory().groupsOf(person).contains(line);
  }

  /** Whether this person may call in the name of the other. */
  public static boolean mayActFor(Office office, PersonId person, PersonId principal) {
    return office.delegations().actsFor(person, principal);
  }

  /**
   * Whether this person may use the other's desk telephone while they are absent: anybody may, but
   * of whoever has named delegates (a meeting room, say) only those.
   */
  public static boolean mayUsePhoneOf(Office office, PersonId person, PersonId owner) {
    List<PersonId> delegates = office.directions().rulesOf(new Party.Employee(owner)).delegates();
    return delegates.isEmpty() || delegates.contains(person);
  }

  /**
   * Whether somebody is at their own telephone, which nobody else takes then: they have a window
   * open, and have not said that they are away or not to be disturbed.
   */
  public static boolean isAtTelephone(ExchangeState state, PersonId owner) {
    Status status = state.status(owner);
    return state.hasWindow(owner) && (status == null || status.kind().takesCalls());
  }

  /** Whether this person takes a parked call without being asked once more. */
  public static boolean takesUnasked(ParkedCall parked, PersonId person) {
    return parked.forWhom() == null || concerns(parked, person);
  }

  /**
   * Whether this person reads the note of a parked call. Who waits, where, for whom and how long is
   * seen by the whole office.
   */
  public static boolean mayReadNote(Office office, ParkedCall parked, PersonId person) {
    GroupId frontDesk = office.settings().frontDesk();
    return parked.forWhom() == null
        || concerns(parked, person)
        || (frontDesk != null && office.directory().groupsOf(person).contains(frontDesk));
  }

  private static boolean concerns(ParkedCall parked, PersonId person) {
    return person.equals(parked.forWhom()) || person.equals(parked.by());
  }

  /** Whether this person hears the messages in this mailbox: their own, or one of their groups. */
  public static boolean mayHear(Office office, Party owner, PersonId person) {
    return person.equals(owner.employee())
        || (owner.group() != null && office.directory().groupsOf(person).contains(owner.group()));
  }

  /** Whether anybody can be signed in as somebody who is this. */
  public static boolean maySignIn(Role role) {
    return role != Role.ROOM;
  }

  /** Whether somebody may change who belongs to the office. */
  public static boolean mayAdminister(Role role) {
    return role == Role.ADMINISTRATOR;
  }

  /**
   * Whether somebody may have simulated subscribers call in by themselves: it disturbs everybody.
   */
  public static boolean maySwitchCallers(Role role) {
    return role == Role.ADMINISTRATOR;
  }

  /** Whether this person may call out on the line: they belong to it, and it has a number. */
  public static boolean mayCallOn(Office office, GroupId line, PersonId person) {
    return office
        .directory()
        .group(line)
        .map(group -> group.number() != null && group.members().contains(person))
        .orElse(false);
  }
}
