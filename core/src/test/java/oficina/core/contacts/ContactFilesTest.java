package oficina.core.contacts;

import static oficina.core.contacts.Contacts.INES;
import static org.assertj.core.api.Assertions.assertThat;

import ezvcard.Ezvcard;
import ezvcard.VCard;
import ezvcard.VCardVersion;
import ezvcard.parameter.TelephoneType;
import ezvcard.property.Address;
import ezvcard.property.StructuredName;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import oficina.core.TestOffice;
import oficina.core.contacts.Comparison.Kind;
import oficina.core.contacts.Contact.Card;
import oficina.core.contacts.ContactNumber.Type;
import oficina.core.contacts.Draft.Flaw;
import oficina.core.files.Lines;
import oficina.core.numbers.DialPlan;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Contacts as files: what comes out goes in again, and what is broken spoils nothing else. */
class ContactFilesTest {
  private static final DialPlan PLAN = new TestOffice().office.plan();
  private static final String[] NAMES = {
    "Dov Hartigan",
    "Zoë Ní Bhriain",
    "王小明",
    "نور الخطيب",
    "Ξένια",
    "O'Hara; Ltd",
    "\"Quote\", A.",
    "Line\\back",
    "=1+1",
    "'@SUM(A1)",
    "Наталья",
    ""
  };

  private static Contact any(Random random, int id) {
    String name = NAMES[random.nextInt(NAMES.length)];
    String company = name.isEmpty() || random.nextBoolean() ? "Farrow & Sons, Timber" : "";
    List<ContactNumber> numbers = new ArrayList<>();
    for (int i = random.nextInt(4); i > 0; i--) {
      numbers.add(
          new ContactNumber(
              Type.values()[random.nextInt(Type.values().length)],
              new PhoneNumber("+44113496" + (1000 + random.nextInt(9000))),
              random.nextInt(3) == 0 ? "" + (10 + random.nextInt(90)) : ""));
    }
    Card card =
        new Card(
            name,
            company,
            numbers.stream().distinct().toList(),
            random.nextBoolean() ? List.of("a@b.example", "c@d.example") : List.of(),
            random.nextBoolean() ? List.of("3 Quay Street, Hask; North", "Mill Lane") : List.of(),
            random.nextBoolean() ? List.of("haulier", "early boat") : List.of(),
            random.nextBoolean() ? "Two lines,\nwith; a \"quote\" and a \\ back." : "",
            random.nextBoolean() ? "chime" : "");
    return new Contact(new ContactId(id), null, "urn:uuid:" + id, card, false);
  }

  private enum Format {
    V3,
    V4,
    CSV;

    String write(List<Contact> contacts) {
      return this == CSV
          ? CsvFile.write(contacts)
          : contacts.stream()
              .map(each -> VCardFile.write(each, VCardFile.Version.valueOf(name()), null))
              .collect(Collectors.joining());
    }

    List<Incoming> read(String file) {
      try (StringReader pieces = new StringReader(file)) {
        return this == CSV ? CsvFile.read(pieces, PLAN) : VCardFile.read(pieces, PLAN);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  @ParameterizedTest
  @EnumSource(Format.class)
  void what_comes_out_goes_in_again_unchanged(Format format) {
    for (long seed = 1; seed <= 100; seed++) {
      Random random = new Random(seed);
      List<Contact> contacts = new ArrayList<>();
      for (int i = 0; i < 5; i++) {
        contacts.add(any(random, i));
      }
      List<Incoming> read = format.read(format.write(contacts));
      assertThat(read).as("seed %d", seed).hasSize(contacts.size());
      for (int i = 0; i < read.size(); i++) {
        assertThat(read.get(i).card()).as("seed %d", seed).isEqualTo(contacts.get(i).card());
        assertThat(read.get(i).uid()).isEqualTo(contacts.get(i).uid());
      }
    }
  }

  /** 10,000 spoiled files: a clear finding or a card for each, and the cards around it whole. */
  @ParameterizedTest
  @EnumSource(Format.class)
  void one_spoiled_card_spoils_no_other(Format format) {
    Contact before = any(new Random(1), 1);
    Contact after = any(new Random(2), 3);
    for (long seed = 1; seed <= 3_400; seed++) {
      Random random = new Random(seed);
      List<String> lines =
          new ArrayList<>(format.write(List.of(before, any(random, 2), after)).lines().toList());
      int from = format == Format.CSV ? 1 : 0;
      int first = format.write(List.of(before)).lines().toList().size();
      int last = lines.size() - format.write(List.of(after)).lines().toList().size() + from;
      int at = first + random.nextInt(Math.max(1, last - first));
      String line = lines.get(at);
      int place = random.nextInt(line.length() + 1);
      String noise =
          new String[] {"\"", ";", ":", "=", "\\", "\u0000", "ü", "END"}[random.nextInt(8)];
      lines.set(at, line.substring(0, place) + noise + line.substring(place));
      List<Incoming> read = format.read(String.join("\n", lines) + "\n");
      List<Card> cards = read.stream().map(Incoming::card).toList();
      String context = "seed " + seed + ": " + lines.get(at);
      assertThat(cards.get(0)).as(context).isEqualTo(before.card());
      if (format != Format.CSV
          || !noise.equals("\"")) { // an open quotation may take the rest along
        assertThat(cards.get(cards.size() - 1)).as(context).isEqualTo(after.card());
      }
      read.stream()
          .filter(each -> each.card() == null)
          .forEach(each -> assertThat(each.findings()).as(context).isNotEmpty());
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"2.1", "3.0", "4.0"})
  void cards_as_other_programs_write_them_are_understood(String version) {
    VCard card = new VCard();
    StructuredName name = new StructuredName();
    name.setFamily("Hartigan");
    name.setGiven("Dov");
    card.setStructuredName(name);
    card.setFormattedName("Dov Hartigan");
    card.setOrganization("Hartigan Haulage", "Yard");
    card.addTelephoneNumber("0151 496 0177", TelephoneType.WORK, TelephoneType.VOICE);
    card.addTelephoneNumber("07700 900177", TelephoneType.CELL);
    card.addTelephoneNumber("+44 151 496 0178", TelephoneType.WORK, TelephoneType.FAX);
    card.addEmail("dov@hartigan.example");
    Address address = new Address();
    address.setStreetAddress("3 Quay Street");
    address.setLocality("Hask");
    address.setPostalCode("HK1 2AB");
    card.addAddress(address);
    String file = Ezvcard.write(card).version(VCardVersion.valueOfByStr(version)).go();
    Card read = Format.V4.read(file).get(0).card();
    assertThat(read.name()).isEqualTo("Dov Hartigan");
    assertThat(read.company()).isEqualTo("Hartigan Haulage, Yard");
    assertThat(read.numbers())
        .extracting(each -> each.type() + " " + each.number())
        .containsExactly("WORK +441514960177", "MOBILE +447700900177", "FAX +441514960178");
    assertThat(read.mails()).containsExactly("dov@hartigan.example");
    assertThat(read.addresses()).containsExactly("3 Quay Street, Hask, HK1 2AB");
  }

  @Test
  void what_is_wrong_is_said_line_by_line_and_the_rest_is_kept() {
    String file =
        """
        something else
        BEGIN:VCARD
        VERSION:4.0
        FN:Ada
        TEL:call me maybe
        END:VCARD
        BEGIN:VCARD
        VERSION:3.0
        FN:Unfinished
        BEGIN:VCARD
        VERSION:3.0
        FN:Bo
        TEL;TYPE=work:0113 496 0148
        END:VCARD
        """;
    assertThat(Format.V4.read(file))
        .extracting(
            each ->
                each.line()
                    + " "
                    + (each.card() == null ? each.findings().get(0).flaw() : each.card().name()))
        .containsExactly(
            "1 " + Flaw.NO_CARD,
            "2 " + Flaw.NUMBER_UNREADABLE,
            "7 " + Flaw.CARD_UNFINISHED,
            "10 Bo");
    String lines =
        """
        First Name;Last Name;Organisation;Mobile Phone;Phone 1 - Type;Phone 1 - Value;E-mail Address
        Ada;Lugg;;07700 900301;Work;0113 496 0149;ada@lugg.example
        Broken "quote;x;;;;;
        ;;;;;;
        Cy;;Mill;0113 4;;;
        ;;Roe Chandlery;0151 496 0121;;;
        """;
    List<Incoming> read = Format.CSV.read(lines);
    assertThat(read.get(0).card().name()).isEqualTo("Ada Lugg");
    assertThat(read.get(0).card().numbers())
        .extracting(each -> each.type() + " " + each.number())
        .containsExactly("MOBILE +447700900301", "WORK +441134960149");
    assertThat(read.get(read.size() - 1).card().company()).isEqualTo("Roe Chandlery");
    assertThat(read.stream().filter(each -> each.card() == null).toList()).isNotEmpty();
    assertThat(Format.CSV.read("apples,pears\n1,2\n").get(0).findings().get(0).flaw())
        .isEqualTo(Flaw.NO_COLUMNS);
    assertThat(Format.CSV.read("").get(0).findings().get(0).flaw()).isEqualTo(Flaw.NO_COLUMNS);
  }

  /** A small file of nonsense once kept everybody waiting, and a larger one ended the server. */
  @ParameterizedTest
  @ValueSource(strings = {"a\n", "BEGIN:VCARD\n", "BEGIN:VCARD\nVERSION:4.0\nFN:\nEND:VCARD\n"})
  void of_a_file_of_nonsense_no_more_is_read_than_somebody_goes_through(String nonsense) {
    List<Incoming> read = Format.V4.read(nonsense.repeat(100_000));
    assertThat(read).hasSize(Lines.MOST_WRONG + 1);
    assertThat(flaw(read.get(Lines.MOST_WRONG))).isEqualTo(Flaw.REST_NOT_READ);
    List<Incoming> table = Format.CSV.read("name,number\n" + "Ada,\"x\"y\n".repeat(100_000));
    assertThat(table).hasSize(Lines.MOST_WRONG + 1);
    assertThat(flaw(table.get(Lines.MOST_WRONG))).isEqualTo(Flaw.REST_NOT_READ);
  }

  @Test
  void no_card_is_longer_than_anybody_can_need_and_the_next_one_is_read() {
    String after = "BEGIN:VCARD\nVERSION:4.0\nFN:Bo\nEND:VCARD\n";
    for (String much :
        List.of(
            "X-MANY:\n".repeat(1_000_000),
            "NOTE:" + "x".repeat(10_000_000) + "\n",
            "TEL:call me\n".repeat(2_100),
            "UID:" + "5".repeat(5_000) + "\n")) {
      List<Incoming> read =
          Format.V4.read("BEGIN:VCARD\nVERSION:4.0\nFN:Ada\n" + much + "END:VCARD\n" + after);
      assertThat(read).hasSize(2);
      assertThat(flaw(read.get(0))).isEqualTo(Flaw.TOO_LONG);
      assertThat(read.get(1).card().name()).isEqualTo("Bo");
    }
    String many = "TEL:call me\nEMAIL:nobody\nCATEGORIES:a,b,,c d\n".repeat(600);
    Incoming full = Format.V4.read("BEGIN:VCARD\nFN:Ada\n" + many + "END:VCARD\n").get(0);
    assertThat(full.findings()).hasSizeLessThan(100);
    assertThat(full.findings()).extracting(Draft.Finding::flaw).contains(Flaw.TOO_MANY);
  }

  private static Flaw flaw(Incoming incoming) {
    return incoming.findings().get(0).flaw();
  }

  @Test
  void what_is_read_is_new_changed_the_same_or_doubtful() {
    ContactBook book = new ContactBook(new Region("GB"));
    Contact dov = Contacts.of(1, "Dov Hartigan", "Hartigan Haulage", "+441514960177");
    book.put(dov);
    book.put(Contacts.of(2, Contacts.TOMASZ, "Anatol", "", List.of(), "+447700900202"));
    Card changed = Contacts.of(1, "Dov Hartigan", "Hartigan & Sons", "+441514960177").card();
    Card alike = Contacts.of(9, "D. Hartigan", "", "+441514960177", "+447700900303").card();
    Card other = Contacts.of(9, "Anatol", "", "+447700900202").card();
    assertThat(kind(book, "uid-1", dov.card())).isEqualTo(Kind.SAME);
    assertThat(kind(book, "", dov.card())).isEqualTo(Kind.SAME);
    assertThat(kind(book, "uid-1", changed)).isEqualTo(Kind.CHANGED);
    assertThat(kind(book, "", alike)).isEqualTo(Kind.DOUBTFUL);
    assertThat(kind(book, "uid-2", other)).as("of somebody else").isEqualTo(Kind.NEW);
    Card merged = Comparison.merged(dov.card(), alike);
    assertThat(merged.name()).isEqualTo("Dov Hartigan");
    assertThat(merged.numbers()).hasSize(2);
  }

  private static Kind kind(ContactBook book, String uid, Card card) {
    Incoming incoming = new Incoming(1, uid, card, List.of(), null);
    return Comparison.of(incoming, book, INES, null).kind();
  }
}
