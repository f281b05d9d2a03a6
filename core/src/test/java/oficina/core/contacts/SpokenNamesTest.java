package oficina.core.contacts;

import static oficina.core.contacts.Contacts.INES;
import static oficina.core.contacts.Contacts.TOMASZ;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import oficina.core.TestOffice;
import oficina.core.numbers.Region;
import oficina.core.office.Office;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class SpokenNamesTest {
  private final Office office = new TestOffice().office;
  private final ContactBook book = new ContactBook(new Region("GB"));

  @BeforeEach
  void fill() {
    book.put(Contacts.of(1, "Dov Hartigan", "Hartigan Haulage of Hask", "+441514960177"));
    book.put(Contacts.of(2, INES, "Sister Anabela", "", List.of(), "+447700900201"));
    book.put(Contacts.of(3, TOMASZ, "Anatol O'Grady-Um", "", List.of(), "+447700900202"));
  }

  @Test
  void people_come_first_then_groups_then_contacts_each_word_once() {
    List<String> names = SpokenNames.of(office, book, INES, 1_000);
    assertThat(names).doesNotHaveDuplicates().doesNotContain("of");
    assertThat(names).containsSubsequence("Ines", "Tomasz", "Anabela", "Dov", "Hartigan", "Hask");
  }

  @Test
  void the_own_contacts_of_others_are_nobodys_to_hear_of() {
    assertThat(SpokenNames.of(office, book, INES, 1_000)).doesNotContain("Anatol");
    assertThat(SpokenNames.of(office, book, null, 1_000)).doesNotContain("Anatol", "Anabela");
    assertThat(SpokenNames.of(office, book, TOMASZ, 1_000))
        .contains("Anatol", "O'Grady")
        .doesNotContain("Um", "Anabela");
  }

  @Test
  void there_are_never_more_than_asked_for_and_people_go_before() {
    assertThat(SpokenNames.of(office, book, INES, 2)).hasSize(2).startsWith("Ines");
  }
}
