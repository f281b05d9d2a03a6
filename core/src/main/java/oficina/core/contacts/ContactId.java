package oficina.core.contacts;

/** Identity of a contact. */
public record ContactId(long value) {
  @Override
  public String toString() {
    return Long.toString(value);
  }
}
