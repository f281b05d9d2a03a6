package oficina.core.call;

import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;

/** Who is at one end of a call, or who was called. */
public sealed interface Party {

  /** An employee of the office, on any of their devices. */
  record Employee(PersonId id) implements Party {}

  /**
   * Somebody on the public network.
   *
   * @param number null when they withheld it
   */
  record Outside(PhoneNumber number) implements Party {}

  /** A group, as long as none of its members has answered. */
  record Members(GroupId id) implements Party {}

  /** The emergency services. */
  record Emergency(String digits) implements Party {}

  /** A park slot, which is dialled to take the call that waits there. */
  record Slot(String number) implements Party {}

  /** An internal number that belongs to nobody. */
  record Nobody(String dialled) implements Party {}

  /** The employee at this end, or null when it is not one. */
  default PersonId employee() {
    return this instanceof Employee employee ? employee.id() : null;
  }

  /** Whether both are known to be the same. Two who withhold their numbers are not. */
  default boolean isSurely(Party other) {
    return equals(other) && !(this instanceof Outside outside && outside.number() == null);
  }

  /** Whether this end occupies one of the office's outside lines. */
  default boolean usesOutsideLine() {
    return this instanceof Outside || this instanceof Emergency;
  }
}
