package oficina.core.people;

/** Identifies a group of people who are rung together. */
public record GroupId(long value) implements Comparable<GroupId> {
  @Override
  public int compareTo(GroupId other) {
    return Long.compare(value, other.value);
  }

  @Override
  public String toString() {
    return Long.toString(value);
  }
}
