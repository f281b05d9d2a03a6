package oficina.core.contacts;

import static oficina.core.contacts.Contacts.INES;
import static oficina.core.contacts.Contacts.TOMASZ;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ContactBookTest {
  private static final Region GB = new Region("GB");
  private final ContactBook book = new ContactBook(GB);

  @BeforeEach
  void fill() {
    book.put(Contacts.of(1, "Dov Hartigan", "Hartigan Haulage", "+441514960177", "+447700900177"));
    book.put(Contacts.of(2, "Marisol Quenby", "Hask Primary School", "+441134960148"));
    book.put(Contacts.of(3, "Gus Farrow", "Farrow & Daughters Timber", "+441314960162"));
    book.put(Contacts.of(4, "", "Coast weather line", "+441144960155"));
    book.put(Contacts.of(5, "Elspeth Nairn", "Nairn Wool Store", "+441214960101"));
    book.put(Contacts.of(6, "Łukasz Østergård", "Nordhavn Ferries", "+4531234567"));
    book.put(Contacts.of(7, "Ξένια Παπαδάκη", "", "+302101234567"));
    book.put(Contacts.of(8, "Наталья Йордан", "", "+74951234567"));
    book.put(Contacts.of(9, "王小明", "海港", "+862112345678"));
    book.put(Contacts.of(10, "نور الخطيب", "", "+97141234567"));
    book.put(Contacts.of(11, "Zoë Ní Bhriain", "Roe Chandlery", "+441514960121"));
    book.put(Contacts.of(12, "Bettina Roe", "Roe Chandlery", "+441514960121"));
    book.put(Contacts.of(13, "Ines Dacosta", "", "+441614960133"));
    book.put(Contacts.of(14, null, "Harbour Crane Hire", "", List.of("supplier"), "+442079460150"));
    book.put(Contacts.of(15, INES, "Sister Ana", "", List.of("family"), "+447700900201"));
    book.put(Contacts.of(16, TOMASZ, "Anatol Brill", "", List.of("family"), "+447700900202"));
    book.put(Contacts.of(17, "Jean-Luc d'Aubigny", "Aubigny & Fils", "+33123456789"));
    book.put(Contacts.of(18, "Tamsin Birk", "Birk Coaches", "+441314960113"));
    book.put(Contacts.of(19, "Tam Birkenhead", "", "+441314960213"));
    book.put(Contacts.of(20, "B. Tarn", "3 Mills Bakery", "+441314960313"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          dov                | Dov Hartigan
          DOV                | Dov Hartigan
          dov h              | Dov Hartigan
          dov hartigan       | Dov Hartigan
          hartigan           | Dov Hartigan
          hartigan dov       | Dov Hartigan
          hart               | Dov Hartigan
          haulage            | Dov Hartigan
          haul dov           | Dov Hartigan
          dov haulage        | Dov Hartigan
          dh                 | Dov Hartigan
          d h                | Dov Hartigan
          D.H.               | Dov Hartigan
          mar                | Marisol Quenby
          hask               | Marisol Quenby
          school             | Marisol Quenby
          primary sch        | Marisol Quenby
          mq                 | Marisol Quenby
          quenby school      | Marisol Quenby
          timber             | Gus Farrow
          farrow             | Gus Farrow
          daughters gus      | Gus Farrow
          coast              | Coast weather line
          weather            | Coast weather line
          line coast         | Coast weather line
          cwl                | Coast weather line
          nairn              | Elspeth Nairn
          wool               | Elspeth Nairn
          lukasz             | Łukasz Østergård
          lukasz ostergard   | Łukasz Østergård
          Østergård          | Łukasz Østergård
          nordhavn           | Łukasz Østergård
          ξενια              | Ξένια Παπαδάκη
          ΠΑΠΑΔ              | Ξένια Παπαδάκη
          наталья            | Наталья Йордан
          Йор                | Наталья Йордан
          иор                | Наталья Йордан
          王                  | 王小明
          海                  | 王小明
          نور                | نور الخطيب
          الخ                | نور الخطيب
          zoe                | Zoë Ní Bhriain
          bhriain zoe        | Zoë Ní Bhriain
          roe                | Bettina Roe, Zoë Ní Bhriain
          bett roe           | Bettina Roe
          chandlery          | Bettina Roe, Zoë Ní Bhriain
          ines               | Ines Dacosta
          crane              | Harbour Crane Hire
          supplier           | Harbour Crane Hire
          ana                | Sister Ana
          family             | Sister Ana
          jean luc           | Jean-Luc d'Aubigny
          jean-luc           | Jean-Luc d'Aubigny
          aubigny            | Jean-Luc d'Aubigny
          fils               | Jean-Luc d'Aubigny
          tam                | Tam Birkenhead, Tamsin Birk
          tamsin             | Tamsin Birk
          birk               | Tam Birkenhead, Tamsin Birk
          tb                 | Tam Birkenhead, Tamsin Birk
          b                  | B. Tarn, Bettina Roe, Tam Birkenhead, Tamsin Birk, Zoë Ní Bhriain
          3 mills            | B. Tarn
          0177               | Dov Hartigan
          01514960177        | Dov Hartigan
          0151 496 0177      | Dov Hartigan
          +44 151 496 0177   | Dov Hartigan
          960121             | Bettina Roe, Zoë Ní Bhriain
          07700              | Dov Hartigan, Sister Ana
          4278               | Dov Hartigan
          368                | Dov Hartigan
          62747              | Marisol Quenby
          6274               | Marisol Quenby
          12                 | ''
          nobody             | ''
          dov school         | ''
          ' '                | ''
          ...                | ''
          """)
  void finds_contacts_as_they_are_typed_best_first(String typed, String names) {
    assertThat(titles(book.find(typed, INES, 10)))
        .isEqualTo(names.isEmpty() ? List.of() : List.of(names.split(", ")));
  }

  private static List<String> titles(List<Contact> contacts) {
    return contacts.stream().map(each -> each.card().title()).toList();
  }

  @Test
  void a_caller_is_known_by_number_to_whoever_may_know_them() {
    assertThat(titles(book.at(new PhoneNumber("+441514960177"), INES)))
        .containsOnly("Dov Hartigan");
    assertThat(titles(book.at(new PhoneNumber("+441514960121"), INES)))
        .containsExactly("Bettina Roe", "Zoë Ní Bhriain");
    assertThat(titles(book.at(new PhoneNumber("+447700900201"), INES))).containsOnly("Sister Ana");
    assertThat(book.at(new PhoneNumber("+447700900201"), TOMASZ)).isEmpty();
    assertThat(book.at(new PhoneNumber("+441514960199"), INES)).isEmpty();
  }

  @Test
  void what_one_had_to_do_with_a_contact_of_ones_own_is_ones_own_business() {
    PhoneNumber own = new PhoneNumber("+447700900201");
    PhoneNumber office = new PhoneNumber("+441514960177");
    assertThat(book.mayKnowOf(own, INES, TOMASZ)).isFalse();
    assertThat(book.mayKnowOf(own, INES, INES)).isTrue();
    assertThat(book.mayKnowOf(own, TOMASZ, INES)).as("to him it is nobody").isTrue();
    assertThat(book.mayKnowOf(office, INES, TOMASZ)).isTrue();
    book.put(Contacts.of(99, INES, "Dov at home", "", List.of(), "+441514960177"));
    assertThat(book.mayKnowOf(office, INES, TOMASZ)).as("the office's as well").isTrue();
  }

  @Test
  void what_is_somebodys_own_is_nowhere_to_be_found_for_others() {
    assertThat(book.get(new ContactId(15), TOMASZ)).isNull();
    assertThat(book.get(new ContactId(15), INES)).isNotNull();
    assertThat(book.find("ana", TOMASZ, 10)).extracting(Contact::owner).containsOnly(TOMASZ);
    assertThat(book.find("900201", TOMASZ, 10)).isEmpty();
    assertThat(book.named("Sister Ana", TOMASZ)).isEmpty();
    assertThat(book.named("sister aná", INES)).hasSize(1);
    assertThat(book.byUid("uid-15", TOMASZ)).isEmpty();
    assertThat(titles(book.page(TOMASZ, "", null, all -> true, 100))).doesNotContain("Sister Ana");
    assertThat(book.page(TOMASZ, "", new ContactId(15), all -> true, 3))
        .as("not where it stands either")
        .isEqualTo(book.page(TOMASZ, "", null, all -> true, 3));
  }

  @Test
  void a_card_index_is_leafed_through_and_opened_at_a_letter() {
    List<Contact> first = book.page(INES, "", null, all -> true, 3);
    assertThat(titles(first)).containsExactly("B. Tarn", "Bettina Roe", "Coast weather line");
    ContactId last = first.get(2).id();
    assertThat(titles(book.page(INES, "", last, all -> true, 2)))
        .containsExactly("Dov Hartigan", "Elspeth Nairn");
    assertThat(titles(book.page(INES, "h", null, all -> true, 2)))
        .containsExactly("Harbour Crane Hire", "Ines Dacosta");
    assertThat(titles(book.page(INES, "", null, c -> c.card().tags().contains("family"), 9)))
        .containsExactly("Sister Ana");
  }

  /** The index finds what looking at every contact finds, whatever was changed before. */
  @Test
  void finds_what_looking_through_all_of_them_finds() {
    String[] names = {"Ada", "Adam", "Bo", "Åsa", "Ben", "Cleo", "Dan", "Eva", "O'Hara", "Ödön"};
    for (long seed = 1; seed <= 40; seed++) {
      Random random = new Random(seed);
      ContactBook some = new ContactBook(GB, /* many= */ random.nextInt(20));
      Map<Long, Contact> plain = new TreeMap<>();
      for (int step = 0; step < 120; step++) {
        long id = random.nextInt(40);
        if (random.nextInt(4) == 0) {
          some.remove(new ContactId(id));
          plain.remove(id);
        } else {
          String name = names[random.nextInt(10)] + " " + names[random.nextInt(10)];
          String company = random.nextBoolean() ? "" : names[random.nextInt(10)];
          String number = "+4411349" + (600000 + random.nextInt(1000));
          Contact contact = Contacts.of(id, name, company, number);
          some.put(contact);
          plain.put(id, contact);
        }
        String typed =
            switch (random.nextInt(5)) {
              case 0 -> names[random.nextInt(10)].substring(0, 1 + random.nextInt(2));
              case 1 -> names[random.nextInt(10)] + " " + names[random.nextInt(10)];
              case 2 -> Integer.toString(100 + random.nextInt(900));
              case 3 -> "0113 496 0" + random.nextInt(100);
              default -> "" + (char) ('a' + random.nextInt(6)) + (char) ('a' + random.nextInt(6));
            };
        assertThat(some.find(typed, INES, 5))
            .as("seed %d, step %d: %s", seed, step, typed)
            .isEqualTo(lookingThroughAll(plain, typed));
        assertThat(some.size()).isEqualTo(plain.size());
      }
    }
  }

  private static int rank(Query query, Listed listed) {
    return Arrays.stream(Query.Fit.values())
        .filter(fit -> query.fits(listed, fit))
        .mapToInt(Query.Fit::rank)
        .findFirst()
        .orElse(Integer.MAX_VALUE);
  }

  private static List<Contact> lookingThroughAll(Map<Long, Contact> contacts, String typed) {
    Query query = Query.of(typed);
    List<Listed> fitting = new ArrayList<>();
    for (Contact contact : contacts.values()) {
      Listed listed = Listed.of(0, contact, GB);
      if (rank(query, listed) < Integer.MAX_VALUE) {
        fitting.add(listed);
      }
    }
    return fitting.stream()
        .sorted(
            Comparator.<Listed>comparingInt(each -> rank(query, each))
                .thenComparing(Listed.BY_NAME))
        .limit(5)
        .map(Listed::contact)
        .toList();
  }
}
