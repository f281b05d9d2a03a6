package oficina.core.numbers;

import com.google.i18n.phonenumbers.NumberParseException;
import com.google.i18n.phonenumbers.PhoneNumberUtil;
import com.google.i18n.phonenumbers.PhoneNumberUtil.PhoneNumberFormat;
import com.google.i18n.phonenumbers.Phonenumber;
import com.google.i18n.phonenumbers.Phonenumber.PhoneNumber.CountryCodeSource;
import com.google.i18n.phonenumbers.ShortNumberInfo;
import com.google.i18n.phonenumbers.geocoding.PhoneNumberOfflineGeocoder;
import java.util.List;
import java.util.Locale;

/**
 * The country the office telephones from: how its numbers are written, which short numbers are
 * emergencies there, and where a number belongs.
 *
 * @param code ISO 3166-1 alpha-2, for example {@code GB}
 */
public record Region(String code) {
  private static final PhoneNumberUtil NUMBERS = PhoneNumberUtil.getInstance();

  /** All countries whose numbering is known, by code. */
  public static List<String> all() {
    return NUMBERS.getSupportedRegions().stream().sorted().toList();
  }

  /** Whether these digits reach the emergency services of this country. */
  public boolean isEmergency(String digits) {
    return ShortNumberInfo.getInstance().isEmergencyNumber(digits, code);
  }

  /** Whether these digits are a short number that can be telephoned here, as they are. */
  public boolean isShort(String digits) {
    try {
      Phonenumber.PhoneNumber number = NUMBERS.parse(digits, code);
      ShortNumberInfo shortNumbers = ShortNumberInfo.getInstance();
      return shortNumbers.isValidShortNumberForRegion(number, code)
          && !shortNumbers.isSmsServiceForRegion(number, code);
    } catch (NumberParseException e) {
      return false;
    }
  }

  /** What is dialled before a national number, 0 in many countries; empty where nothing is. */
  public String nationalPrefix() {
    String prefix = NUMBERS.getNddPrefixForRegion(code, /* stripNonDigits= */ true);
    return prefix == null ? "" : prefix;
  }

  /** Whether digits begin as only numbers outside the town do: with a prefix of this country. */
  public boolean prefixed(String digits) {
    String national = nationalPrefix();
    return (!national.isEmpty() && digits.startsWith(national)) || abroad(digits);
  }

  private boolean abroad(String digits) {
    try {
      return NUMBERS.parseAndKeepRawInput(digits, code).getCountryCodeSource()
          == CountryCodeSource.FROM_NUMBER_WITH_IDD;
    } catch (NumberParseException e) {
      return e.getErrorType() == NumberParseException.ErrorType.TOO_SHORT_AFTER_IDD;
    }
  }

  /** Whether these digits are a whole national number as they are. */
  public boolean isWhole(String digits) {
    try {
      return NUMBERS.isValidNumber(NUMBERS.parse(digits, code));
    } catch (NumberParseException e) {
      return false;
    }
  }

  /**
   * The beginning of numbers, as somebody here writes it, in E.164.
   *
   * @return empty when it is none
   */
  public String beginning(String typed) {
    String digits = typed.replaceAll("[^0-9+]", "");
    String national = nationalPrefix();
    if (digits.startsWith("+")) {
      return digits.matches("\\+[1-9][0-9]{1,14}") ? digits : "";
    }
    if (abroad(digits)) {
      return "+" + digits.substring(2);
    }
    boolean prefixed = !national.isEmpty() && digits.startsWith(national);
    String rest = prefixed ? digits.substring(national.length()) : digits;
    return rest.isEmpty() ? "" : "+" + NUMBERS.getCountryCodeForRegion(code) + rest;
  }

  /**
   * The same of numbers that are to be barred: without the prefix that whole numbers have here, it
   * is that of short ones.
   */
  public String beginningToBar(String typed) {
    String digits = typed.replaceAll("[^0-9+]", "");
    boolean whole =
        nationalPrefix().isEmpty()
            || digits.startsWith("+")
            || digits.startsWith(nationalPrefix())
            || abroad(digits);
    return whole ? beginning(typed) : digits;
  }

  /** The beginning of numbers, in E.164 or of short ones, as somebody here writes it. */
  public String showBeginning(String beginning) {
    String country = "+" + NUMBERS.getCountryCodeForRegion(code);
    return beginning.startsWith(country)
        ? nationalPrefix() + beginning.substring(country.length())
        : beginning;
  }

  /**
   * The number as people here write it: nationally when it is of this country, otherwise
   * internationally (ITU-T E.123).
   */
  public String show(PhoneNumber number) {
    if (number.isShort()) {
      return number.e164();
    }
    Phonenumber.PhoneNumber parsed = parse(number);
    boolean domestic = parsed.getCountryCode() == NUMBERS.getCountryCodeForRegion(code);
    return NUMBERS.format(
        parsed, domestic ? PhoneNumberFormat.NATIONAL : PhoneNumberFormat.INTERNATIONAL);
  }

  /** Town or country the number belongs to, in this language; empty when unknown. */
  public String place(PhoneNumber number, Locale language) {
    if (number.isShort()) {
      return "";
    }
    return PhoneNumberOfflineGeocoder.getInstance()
        .getDescriptionForNumber(parse(number), language, code);
  }

  private Phonenumber.PhoneNumber parse(PhoneNumber number) {
    try {
      return NUMBERS.parse(number.e164(), null);
    } catch (NumberParseException e) {
      throw new IllegalArgumentException("not an E.164 number: " + number, e);
    }
  }
}
