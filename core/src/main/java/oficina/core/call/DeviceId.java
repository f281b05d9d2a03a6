package oficina.core.call;

/** Identifies one device of a person, such as a window of their browser. */
public record DeviceId(String value) {
  /** The outside telephone that somebody has named as one of their devices. */
  public static final DeviceId OUTSIDE = new DeviceId("outside");

  /** Whether it is reached over an outside line. */
  public boolean isOutside() {
    return equals(OUTSIDE);
  }

  @Override
  public String toString() {
    return value;
  }
}
