package oficina.core.contacts;

import ezvcard.Ezvcard;
import ezvcard.VCard;
import ezvcard.VCardVersion;
import ezvcard.parameter.ImageType;
import ezvcard.parameter.TelephoneType;
import ezvcard.property.Address;
import ezvcard.property.Categories;
import ezvcard.property.Email;
import ezvcard.property.FormattedName;
import ezvcard.property.Note;
import ezvcard.property.Organization;
import ezvcard.property.Photo;
import ezvcard.property.RawProperty;
import ezvcard.property.StructuredName;
import ezvcard.property.Telephone;
import ezvcard.property.Uid;
import ezvcard.util.TelUri;
import java.io.IOException;
import java.io.Reader;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import oficina.core.contacts.Contact.Card;
import oficina.core.contacts.ContactNumber.Type;
import oficina.core.contacts.Draft.Flaw;
import oficina.core.contacts.Draft.TypedNumber;
import oficina.core.files.Lines;
import oficina.core.numbers.DialPlan;
import org.jspecify.annotations.Nullable;

/**
 * Cards as vCard: version 3 (RFC 2426) and 4 (RFC 6350) are written, 2.1 is read as well. Each card
 * of a file is read on its own, so that a broken one spoils no other. Pictures count only when they
 * stand in the file itself; nothing is ever fetched.
 */
public final class VCardFile {
  /** With a picture in it, in characters. */
  private static final int LONGEST_CARD = 2_000_000;

  private static final int MOST_PROPERTIES = 2_000;

  private static final String BEGIN = "BEGIN:VCARD";
  private static final String END = "END:VCARD";
  private static final String TONE = "X-OFICINA-TONE";
  private static final TelephoneType MAIN = TelephoneType.get("x-main");

  private VCardFile() {}

  /** The cards of a file, and what of it is none, in the order of its lines. */
  public static List<Incoming> read(Reader file, DialPlan plan) throws IOException {
    Lines lines = new Lines(file, LONGEST_CARD);
    Collected read = new Collected();
    Begun card = null;
    boolean more = true;
    for (Lines.Line line = lines.next(); line != null && more; line = lines.next()) {
      String key = line.text().strip();
      if (key.equalsIgnoreCase(BEGIN)) {
        more = card == null || read.add(card.unfinished());
        card = new Begun(line.number());
      } else if (card == null) {
        more = key.isEmpty() || read.add(Incoming.bad(line.number(), Flaw.NO_CARD, key));
      } else {
        card.add(line);
        if (key.equalsIgnoreCase(END)) {
          more = read.add(card.end(plan));
          card = null;
        }
      }
    }
    if (card != null && more) {
      read.add(card.unfinished());
    }
    return read.all();
  }

  /** A card of which the end is still to come. */
  private static final class Begun {
    private final int line;
    private final StringBuilder text = new StringBuilder(BEGIN).append("\r\n");
    private int properties;
    private boolean tooLong;

    Begun(int line) {
      this.line = line;
    }

    void add(Lines.Line more) {
      boolean goesOn = more.text().startsWith(" ") || more.text().startsWith("\t");
      properties += goesOn ? 0 : 1;
      tooLong |=
          more.cut()
              || properties > MOST_PROPERTIES
              || text.length() + more.text().length() > LONGEST_CARD;
      if (!tooLong) {
        text.append(more.text()).append("\r\n");
      }
    }

    Incoming unfinished() {
      return Incoming.bad(line, Flaw.CARD_UNFINISHED, "");
    }

    Incoming end(DialPlan plan) {
      return tooLong
          ? Incoming.bad(line, Flaw.TOO_LONG, text.substring(BEGIN.length()).strip())
          : one(line, text.toString(), plan);
    }
  }

  private static Incoming one(int line, String text, DialPlan plan) {
    VCard card;
    try {
      card = Ezvcard.parse(text).first();
    } catch (RuntimeException e) {
      return Incoming.bad(line, Flaw.NO_CARD, text.lines().skip(1).findFirst().orElse(""));
    }
    if (card == null) {
      return Incoming.bad(line, Flaw.NO_CARD, "");
    }
    String company =
        card.getOrganization() == null
            ? ""
            : card.getOrganization().getValues().stream()
                .filter(Objects::nonNull)
                .collect(Collectors.joining(", "));
    Draft draft =
        new Draft(
            name(card, company),
            company,
            card.getTelephoneNumbers().stream().map(VCardFile::number).toList(),
            card.getEmails().stream().map(Email::getValue).filter(Objects::nonNull).toList(),
            card.getAddresses().stream().map(VCardFile::address).toList(),
            tags(card),
            card.getNotes().stream()
                .map(Note::getValue)
                .filter(Objects::nonNull)
                .collect(Collectors.joining("\n")),
            tone(card));
    String uid = card.getUid() == null ? "" : card.getUid().getValue();
    return Incoming.of(line, uid, draft.check(plan), picture(card));
  }

  /** A card that is shown under its company, and names nobody, is that of the company. */
  private static String name(VCard card, String company) {
    StructuredName parts = card.getStructuredName();
    String structured =
        parts == null
            ? ""
            : Stream.of(parts.getGiven(), parts.getFamily())
                .filter(part -> part != null && !part.isBlank())
                .collect(Collectors.joining(" "));
    FormattedName formatted = card.getFormattedName();
    String name =
        formatted == null ? structured : Objects.requireNonNullElse(formatted.getValue(), "");
    return structured.isEmpty() && name.equals(company) ? "" : name;
  }

  private static List<String> tags(VCard card) {
    Categories categories = card.getCategories();
    return categories == null
        ? List.of()
        : categories.getValues().stream().filter(Objects::nonNull).toList();
  }

  private static String tone(VCard card) {
    RawProperty tone = card.getExtendedProperty(TONE);
    return tone == null ? "" : Objects.requireNonNullElse(tone.getValue(), "");
  }

  private static TypedNumber number(Telephone telephone) {
    TelUri uri = telephone.getUri();
    String number = uri == null ? telephone.getText() : uri.getNumber();
    String extension = uri == null ? "" : Objects.requireNonNullElse(uri.getExtension(), "");
    return new TypedNumber(type(telephone), Objects.requireNonNullElse(number, ""), extension);
  }

  private static Type type(Telephone telephone) {
    List<TelephoneType> types = telephone.getTypes();
    if (types.contains(TelephoneType.FAX)) {
      return Type.FAX;
    }
    if (types.contains(MAIN)) {
      return Type.MAIN;
    }
    if (types.contains(TelephoneType.CELL)) {
      return Type.MOBILE;
    }
    if (types.contains(TelephoneType.HOME)) {
      return Type.HOME;
    }
    return types.contains(TelephoneType.WORK) ? Type.WORK : Type.OTHER;
  }

  private static String address(Address address) {
    return Stream.of(
            address.getPoBoxes(),
            address.getExtendedAddresses(),
            address.getStreetAddresses(),
            address.getLocalities(),
            address.getRegions(),
            address.getPostalCodes(),
            address.getCountries())
        .flatMap(List::stream)
        .filter(part -> part != null && !part.isBlank())
        .collect(Collectors.joining(", "));
  }

  private static byte @Nullable [] picture(VCard card) {
    return card.getPhotos().stream()
        .map(Photo::getData)
        .filter(Objects::nonNull)
        .findFirst()
        .orElse(null);
  }

  /** Which version is written. */
  public enum Version {
    V3,
    V4
  }

  /**
   * One contact as a vCard.
   *
   * @param picture JPEG; null when there is none
   */
  public static String write(Contact contact, Version version, byte @Nullable [] picture) {
    Card from = contact.card();
    VCard card = new VCard();
    card.setUid(new Uid(contact.uid()));
    card.setFormattedName(from.title());
    StructuredName name = new StructuredName();
    if (!from.name().isEmpty()) {
      name.setFamily(from.name());
    }
    card.setStructuredName(name);
    if (!from.company().isEmpty()) {
      Organization company = new Organization();
      company.getValues().add(from.company());
      card.setOrganization(company);
    }
    from.numbers().forEach(each -> card.addTelephoneNumber(telephone(each, version)));
    from.mails().forEach(each -> card.addEmail(each));
    from.addresses().forEach(each -> card.addAddress(address(each)));
    if (!from.tags().isEmpty()) {
      card.setCategories(from.tags().toArray(String[]::new));
    }
    if (!from.note().isEmpty()) {
      card.addNote(from.note());
    }
    if (!from.tone().isEmpty()) {
      card.addExtendedProperty(TONE, from.tone());
    }
    if (picture != null) {
      card.addPhoto(new Photo(picture, ImageType.JPEG));
    }
    return Ezvcard.write(card)
        .version(version == Version.V3 ? VCardVersion.V3_0 : VCardVersion.V4_0)
        .prodId(false)
        .go();
  }

  private static Telephone telephone(ContactNumber number, Version version) {
    String digits = number.number().e164();
    Telephone telephone;
    if (version == Version.V4 && digits.startsWith("+")) {
      TelUri.Builder uri = new TelUri.Builder(digits);
      if (!number.extension().isEmpty()) {
        uri.extension(number.extension());
      }
      telephone = new Telephone(uri.build());
    } else {
      String extension = number.extension().isEmpty() ? "" : " ext. " + number.extension();
      telephone = new Telephone(digits + extension);
    }
    switch (number.type()) {
      case WORK -> telephone.getTypes().add(TelephoneType.WORK);
      case MOBILE -> telephone.getTypes().add(TelephoneType.CELL);
      case HOME -> telephone.getTypes().add(TelephoneType.HOME);
      case MAIN -> telephone.getTypes().add(MAIN);
      case FAX -> telephone.getTypes().add(TelephoneType.FAX);
      case OTHER -> {}
    }
    return telephone;
  }

  private static Address address(String line) {
    Address address = new Address();
    address.setStreetAddress(line);
    return address;
  }
}
