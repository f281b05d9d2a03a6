package oficina.core.numbers;

/** What a typed or pasted text means to the exchange. */
public sealed interface Dialled {

  /** An extension of the office that somebody or a group has. */
  record Internal(String extension) implements Dialled {}

  /**
   * A number of the public network.
   *
   * @param afterAnswer digits and pauses to send once the call is answered, in the notation of the
   *     {@code postd} parameter of {@code tel:} addresses (RFC 2806, kept in use beside RFC 3966):
   *     {@code p} is a pause of one second; empty when there are none
   * @param accessCodeDropped whether a leading access code was typed and left out
   */
  record Outside(PhoneNumber number, String afterAnswer, boolean accessCodeDropped)
      implements Dialled {}

  /** A number of the emergency services; it always goes out. */
  record Emergency(String digits) implements Dialled {}

  /**
   * Nothing that can be called.
   *
   * @param text what was read, for the sentence that explains the refusal
   */
  record NotCallable(Why why, String text) implements Dialled {}

  /** Why a text cannot be called. */
  enum Why {
    /** Nothing was typed. */
    EMPTY,
    /** There is no telephone number in the text. */
    NOT_A_NUMBER,
    /** Short enough for an extension, but nobody has it. */
    UNKNOWN_EXTENSION,
    TOO_SHORT,
    TOO_LONG,
    /** A local number without its area code. */
    AREA_CODE_MISSING,
    /** The text has several different numbers in it. */
    SEVERAL_NUMBERS,
    /** The country code does not exist. */
    UNKNOWN_COUNTRY
  }

  /** Texts longer than this many characters are not searched for a number. */
  int LONGEST_TEXT = 2_000;

  /** Shorthand for a refusal. */
  static NotCallable no(Why why, String text) {
    return new NotCallable(why, text);
  }
}
