package oficina.core.people;

/** Identifies an employee for good, also when name or extension change. */
public record PersonId(long value) implements Comparable<PersonId> {
  @Override
  public int compareTo(PersonId other) {
    return Long.compare(value, other.value);
  }

  @Override
  public String toString() {
    return Long.toString(value);
  }
}
