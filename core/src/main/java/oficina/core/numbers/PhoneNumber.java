package oficina.core.numbers;

/**
 * A public telephone number in the international form of ITU-T E.164: a plus sign and at most 15
 * digits, without separators. Short numbers, which have no such form, are digits alone and mean
 * what they mean in the country of the office.
 *
 * @param e164 for example {@code +441914980100} or {@code 116123}
 */
public record PhoneNumber(String e164) {
  public PhoneNumber {
    if (!e164.matches("\\+[0-9]{3,15}|[0-9]{2,8}")) {
      throw new IllegalArgumentException("not an E.164 number: " + e164);
    }
  }

  /** Whether it is a short number of the country of the office. */
  public boolean isShort() {
    return !e164.startsWith("+");
  }

  @Override
  public String toString() {
    return e164;
  }
}
