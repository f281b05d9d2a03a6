package oficina.core.call;

import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** Identifies one device of a person, such as a window of their browser. */
public record DeviceId(String value) {
  /** The outside telephone that somebody has named as one of their devices. */
  public static final DeviceId OUTSIDE = new DeviceId("outside");

  /** The telephone of whoever stands in for a colleague; the pages know it by this name too. */
  public static final DeviceId STAND_IN = new DeviceId("stand-in");

  /** How telephones on desks are named, with the owner behind it. */
  private static final String TELEPHONE = "phone-";

  /** The telephone on the desk of this person, whoever uses it. */
  public static DeviceId telephoneOf(PersonId owner) {
    return new DeviceId(TELEPHONE + owner);
  }

  /** On whose desk it stands; null when it is no telephone on a desk. */
  public @Nullable PersonId telephoneOwner() {
    String number = value.startsWith(TELEPHONE) ? value.substring(TELEPHONE.length()) : "";
    return number.matches("[0-9]{1,18}") ? new PersonId(Long.parseLong(number)) : null;
  }

  /** Whether it is reached over an outside line. */
  public boolean isOutside() {
    return equals(OUTSIDE);
  }

  /** Whether a window of a browser can have this name: it is that of no other kind of device. */
  public boolean isWindow() {
    return !isOutside() && !equals(STAND_IN) && telephoneOwner() == null;
  }

  @Override
  public String toString() {
    return value;
  }
}
