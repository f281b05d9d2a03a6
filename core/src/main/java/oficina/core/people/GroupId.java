package oficina.core.people;

/** Identifies a group of people who are rung together. */
public record GroupId(long value) {
  @Override
  public String toString() {
    return Long.toString(value);
  }
}
