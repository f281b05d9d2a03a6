package oficina.core.call;

/** Identifies one device of a person, such as a window of their browser. */
public record DeviceId(String value) {
  @Override
  public String toString() {
    return value;
  }
}
