package oficina.core.call;

/**
 * Identifies a call for good. Comes in with the command that begins the call, so that a run can be
 * replayed exactly.
 */
public record CallId(String value) implements Comparable<CallId> {
  @Override
  public int compareTo(CallId other) {
    return value.compareTo(other.value);
  }

  @Override
  public String toString() {
    return value;
  }
}
