package oficina.core.numbers;

import com.google.i18n.phonenumbers.NumberParseException;
import com.google.i18n.phonenumbers.PhoneNumberMatch;
import com.google.i18n.phonenumbers.PhoneNumberUtil;
import com.google.i18n.phonenumbers.PhoneNumberUtil.Leniency;
import com.google.i18n.phonenumbers.PhoneNumberUtil.PhoneNumberFormat;
import com.google.i18n.phonenumbers.Phonenumber;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import oficina.core.numbers.Dialled.Why;
import org.jspecify.annotations.Nullable;

/**
 * Decides what a typed or pasted text would call: an extension, a public number in any notation, an
 * emergency number, or nothing, with the reason.
 *
 * @param region where the office is; numbers without a country code are read as of this country
 * @param accessCode digit that used to be dialled for an outside line; understood when typed out of
 *     habit, never needed
 * @param own the numbers of the office itself
 */
public record DialPlan(Region region, String accessCode, Own own) {

  /** The numbers of the office itself, which reach somebody without going out. */
  public interface Own {
    /** Whether this is an extension of somebody or something in the office. */
    boolean isExtension(String digits);

    /** Digits of the longest extension. */
    int longestExtension();

    /** The extension that has this public number as well; null when it is not one of ours. */
    @Nullable String extensionOf(PhoneNumber number);
  }

  private static final PhoneNumberUtil NUMBERS = PhoneNumberUtil.getInstance();

  /** A number, then the pauses and digits to send after the answer. */
  private static final Pattern WITH_PAUSES =
      Pattern.compile("([+0-9()\\[\\]/.\\s\\p{Pd}]*?[0-9])\\s*([,;pwPW][,;pwPW0-9#*\\s]*)");

  /** Habit dies hard: a pause after the access code, to wait for an outside line. */
  private static final Pattern PAUSE_AFTER_ACCESS_CODE =
      Pattern.compile("^([0-9])\\s*[,;pwPW]+\\s*(?=[0+])");

  /** A plus sign and fifteen digits. */
  private static final int LONGEST_E164 = 16;

  /** Digits of the longest number that can be dialled only within one town. */
  private static final int LONGEST_LOCAL = 8;

  private static final Pattern TEL_ADDRESS =
      Pattern.compile("(?i)tel:([^;]+)((?:;[^;=]+(?:=[^;]*)?)*)");
  private static final Pattern POSTD = Pattern.compile("(?i);(postd|ext)=([^;]+)");
  private static final Pattern ONLY_NUMBER =
      Pattern.compile("[+0-9()\\[\\]/.\\s\\p{Pd}\u2060\u200b]*");

  /** A number that is spelled: digits first, then a word on the keys. */
  private static final Pattern SPELLED =
      Pattern.compile("\\+?[0-9][0-9()\\s\\p{Pd}]{2,}[A-Za-z][A-Za-z0-9\\s\\p{Pd}]{2,}");

  /** The office has no extensions yet, or they are of no concern. */
  private static final Own NOTHING =
      new Own() {
        @Override
        public boolean isExtension(String digits) {
          return false;
        }

        @Override
        public int longestExtension() {
          return 0;
        }

        @Override
        public @Nullable String extensionOf(PhoneNumber number) {
          return null;
        }
      };

  /**
   * The whole public number that somebody in this country has written.
   *
   * @return null when it is none: too short, too long, without its area code
   */
  public static @Nullable PhoneNumber publicNumber(Region region, String typed) {
    PhoneNumber number = new DialPlan(region, "", NOTHING).outsideNumber(typed);
    return number == null || number.isShort() ? null : number;
  }

  /** The outside number that this text would call; null when it would call none. */
  public @Nullable PhoneNumber outsideNumber(String typed) {
    return interpret(typed) instanceof Dialled.Outside outside ? outside.number() : null;
  }

  /**
   * What this text would call.
   *
   * @param typed anything a person can type or paste; never null
   */
  public Dialled interpret(String typed) {
    String text = typed.strip();
    if (text.isEmpty()) {
      return Dialled.no(Why.EMPTY, "");
    }
    if (text.length() > Dialled.LONGEST_TEXT) {
      return Dialled.no(Why.TOO_LONG, text.substring(0, 20) + "…");
    }
    Matcher tel = TEL_ADDRESS.matcher(text);
    if (tel.matches()) {
      Matcher after = POSTD.matcher(tel.group(2));
      String digits = "";
      if (after.find()) {
        digits = (after.group(1).equalsIgnoreCase("ext") ? "p" : "") + after.group(2);
      }
      try {
        return number(
            URLDecoder.decode(tel.group(1).replace("+", "%2B"), StandardCharsets.UTF_8),
            afterAnswer(digits));
      } catch (IllegalArgumentException e) {
        return Dialled.no(Why.NOT_A_NUMBER, text);
      }
    }
    text = PAUSE_AFTER_ACCESS_CODE.matcher(text).replaceFirst("$1 ");
    Matcher pauses = WITH_PAUSES.matcher(text);
    if (pauses.matches()) {
      return number(pauses.group(1), afterAnswer(pauses.group(2)));
    }
    return number(text, "");
  }

  private Dialled number(String text, String afterAnswer) {
    if (!ONLY_NUMBER.matcher(text).matches()) {
      return SPELLED.matcher(text).matches()
          ? outside(text, afterAnswer, false)
          : foundIn(text, afterAnswer);
    }
    String digits = text.replaceAll("[^0-9]", "");
    if (digits.isEmpty()) {
      return Dialled.no(Why.NOT_A_NUMBER, text);
    }
    boolean international = text.contains("+");
    if (!international) {
      if (own.isExtension(digits)) {
        return new Dialled.Internal(digits);
      }
      if (region.isEmergency(digits)) {
        return new Dialled.Emergency(digits);
      }
      if (region.isShort(digits)) {
        return new Dialled.Outside(new PhoneNumber(digits), afterAnswer, false);
      }
    }
    boolean accessCodeTyped = accessCodeTyped(text, digits);
    if (accessCodeTyped) {
      String rest = digits.substring(accessCode.length());
      if (region.isEmergency(rest)) {
        return new Dialled.Emergency(rest);
      }
      if (region.isShort(rest)) {
        return new Dialled.Outside(new PhoneNumber(rest), afterAnswer, true);
      }
      return outside(
          text.substring(text.indexOf(accessCode) + accessCode.length()), afterAnswer, true);
    }
    if (!international && digits.length() <= own.longestExtension() && !region.prefixed(digits)) {
      return Dialled.no(Why.UNKNOWN_EXTENSION, digits);
    }
    return outside(text, afterAnswer, false);
  }

  /**
   * The access code counts as typed when what follows it can only be a complete outside number: one
   * with its national or international prefix, one that is whole where no prefix is dialled, a
   * short or an emergency number.
   */
  private boolean accessCodeTyped(String text, String digits) {
    if (accessCode.isEmpty()
        || !digits.startsWith(accessCode)
        || text.stripLeading().startsWith("+")) {
      return false;
    }
    String rest = digits.substring(accessCode.length());
    return region.prefixed(rest)
        || text.contains("+")
        || region.isEmergency(rest)
        || region.isShort(rest)
        || (region.nationalPrefix().isEmpty() && region.isWhole(rest) && !region.isWhole(digits));
  }

  private Dialled outside(String text, String afterAnswer, boolean accessCodeDropped) {
    try {
      Phonenumber.PhoneNumber parsed = NUMBERS.parse(text, region.code());
      return switch (NUMBERS.isPossibleNumberWithReason(parsed)) {
        case IS_POSSIBLE ->
            lacksAreaCode(text, parsed)
                ? Dialled.no(Why.AREA_CODE_MISSING, text)
                : result(parsed, afterAnswer, accessCodeDropped);
        case IS_POSSIBLE_LOCAL_ONLY ->
            Dialled.no(prefixed(text) ? Why.TOO_SHORT : Why.AREA_CODE_MISSING, text);
        case INVALID_COUNTRY_CODE -> Dialled.no(Why.UNKNOWN_COUNTRY, text);
        case TOO_SHORT -> Dialled.no(Why.TOO_SHORT, text);
        case TOO_LONG -> Dialled.no(Why.TOO_LONG, text);
        case INVALID_LENGTH -> Dialled.no(Why.TOO_SHORT, text);
      };
    } catch (NumberParseException e) {
      return Dialled.no(
          switch (e.getErrorType()) {
            case INVALID_COUNTRY_CODE -> Why.UNKNOWN_COUNTRY;
            case TOO_LONG -> Why.TOO_LONG;
            case TOO_SHORT_AFTER_IDD, TOO_SHORT_NSN -> Why.TOO_SHORT;
            case NOT_A_NUMBER -> Why.NOT_A_NUMBER;
          },
          text);
    }
  }

  /** Some countries have short national numbers; without a prefix such a one is a local number. */
  private boolean lacksAreaCode(String text, Phonenumber.PhoneNumber parsed) {
    return !region.nationalPrefix().isEmpty()
        && !prefixed(text)
        && !NUMBERS.isValidNumber(parsed)
        && NUMBERS.getNationalSignificantNumber(parsed).length() <= LONGEST_LOCAL;
  }

  private boolean prefixed(String text) {
    return text.contains("+") || region.prefixed(text.replaceAll("[^0-9]", ""));
  }

  /** A pasted text: the one number in it, wherever it stands. */
  private Dialled foundIn(String text, String afterAnswer) {
    Map<String, Phonenumber.PhoneNumber> found = new LinkedHashMap<>();
    for (PhoneNumberMatch match :
        NUMBERS.findNumbers(text, region.code(), Leniency.POSSIBLE, 1_000)) {
      String e164 = NUMBERS.format(match.number(), PhoneNumberFormat.E164);
      if (e164.length() <= LONGEST_E164) {
        found.put(e164, match.number());
      }
    }
    return switch (found.size()) {
      case 0 -> extensionIn(text);
      case 1 -> result(found.values().iterator().next(), afterAnswer, false);
      default -> several(found.keySet().stream().map(PhoneNumber::new).toList());
    };
  }

  private Dialled several(List<PhoneNumber> numbers) {
    String shown = numbers.stream().map(region::show).collect(Collectors.joining(", "));
    return new Dialled.NotCallable(Why.SEVERAL_NUMBERS, shown, numbers);
  }

  /** "ext 212" or "Adaeze, extension 212": exactly one word of digits, and somebody has it. */
  private Dialled extensionIn(String text) {
    String[] words = text.split("[^0-9]+");
    String only = "";
    for (String word : words) {
      if (!word.isEmpty()) {
        if (!only.isEmpty()) {
          return Dialled.no(Why.NOT_A_NUMBER, text);
        }
        only = word;
      }
    }
    return own.isExtension(only) ? new Dialled.Internal(only) : Dialled.no(Why.NOT_A_NUMBER, text);
  }

  private Dialled result(
      Phonenumber.PhoneNumber parsed, String afterAnswer, boolean accessCodeDropped) {
    String after = afterAnswer;
    if (after.isEmpty() && parsed.hasExtension()) {
      after = "p" + parsed.getExtension();
    }
    String e164 = NUMBERS.format(parsed, PhoneNumberFormat.E164);
    if (e164.length() > LONGEST_E164) {
      return Dialled.no(Why.TOO_LONG, e164);
    }
    PhoneNumber number = new PhoneNumber(e164);
    String extension = own.extensionOf(number);
    if (extension != null) {
      return new Dialled.Internal(extension);
    }
    return new Dialled.Outside(number, after, accessCodeDropped);
  }

  private static String afterAnswer(String typed) {
    return typed.replaceAll("\\s", "").replaceAll("[,;wW]", "p").toLowerCase(Locale.ROOT);
  }
}
