package oficina.core.numbers;

/**
 * A public telephone number in the international form of ITU-T E.164: a plus sign and at most 15
 * digits, without separators.
 *
 * @param e164 for example {@code +441914980100}
 */
public record PhoneNumber(String e164) {
  public PhoneNumber {
    if (!e164.matches("\\+[0-9]{3,15}")) {
      throw new IllegalArgumentException("not an E.164 number: " + e164);
    }
  }

  @Override
  public String toString() {
    return e164;
  }
}
