package oficina.core.contacts;

import oficina.core.numbers.PhoneNumber;

/**
 * One of the numbers of a contact.
 *
 * @param extension digits to send once the company's number has answered; empty when there are none
 */
public record ContactNumber(Type type, PhoneNumber number, String extension) {

  /**
   * What a number is for; the words of RFC 6350, section 6.4.1, as far as people tell them apart.
   */
  public enum Type {
    WORK,
    MOBILE,
    HOME,
    /** The common number of a company. */
    MAIN,
    FAX,
    OTHER
  }

  /**
   * What is dialled for it: the number, and its extension after a pause (RFC 3966 calls it ext).
   */
  public String dial() {
    return extension.isEmpty() ? number.e164() : number.e164() + "p" + extension;
  }
}
