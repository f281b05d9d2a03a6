package oficina.core.numbers;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What a typed or pasted text means to the exchange. */
public sealed interface Dialled {

  /** What is to be done for each kind; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(Internal to);

    R of(Outside to);

    R of(Emergency to);

    R of(Mailbox to);

    R of(NotCallable to);
  }

  <R> R accept(Cases<R> cases);

  /** Digits and pauses to send once the call is answered; empty when there are none. */
  default String afterAnswer() {
    return "";
  }

  /** The extension that is meant, or null when it is none. */
  default @Nullable String extension() {
    return null;
  }

  /** Why it cannot be called, or null when it can. */
  default @Nullable NotCallable refused() {
    return null;
  }

  /** An extension of the office that somebody or a group has. */
  record Internal(String extension) implements Dialled {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * A number of the public network.
   *
   * @param afterAnswer digits and pauses to send once the call is answered, in the notation of the
   *     {@code postd} parameter of {@code tel:} addresses (RFC 2806, kept in use beside RFC 3966):
   *     {@code p} is a pause of one second; empty when there are none
   * @param accessCodeDropped whether a leading access code was typed and left out
   */
  record Outside(PhoneNumber number, String afterAnswer, boolean accessCodeDropped)
      implements Dialled {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The mailbox of whoever has this extension, without ringing them. */
  record Mailbox(String extension) implements Dialled {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A number of the emergency services; it always goes out. */
  record Emergency(String digits) implements Dialled {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Nothing that can be called.
   *
   * @param text what was read, for the sentence that explains the refusal
   * @param numbers those in the text, when they are several
   */
  record NotCallable(Why why, String text, List<PhoneNumber> numbers) implements Dialled {
    @Override
    public NotCallable refused() {
      return this;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

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
    return new NotCallable(why, text, List.of());
  }
}
