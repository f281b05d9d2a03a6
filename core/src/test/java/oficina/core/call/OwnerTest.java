package oficina.core.call;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import org.junit.jupiter.api.Test;

/** Databases written before are read by these keys: they stay as they are. */
class OwnerTest {
  @Test
  void a_key_says_whose_it_is_and_nobody_else_has_it() {
    assertThat(Owner.key(new PersonId(12))).isEqualTo("p12");
    assertThat(Owner.key(new GroupId(12))).isEqualTo("g12");
    for (Party owner :
        List.of(new Party.Employee(new PersonId(7)), new Party.Members(new GroupId(7)))) {
      assertThat(Owner.of(Owner.key(owner))).isEqualTo(owner);
      assertThat(Owner.isKey(Owner.key(owner))).isTrue();
    }
  }

  @Test
  void what_is_no_key_is_refused() {
    for (String text :
        List.of("", "p", "12", "x12", "p12 ", "gnull", "+441214960105", "p1234567890123")) {
      assertThat(Owner.isKey(text)).as(text).isFalse();
      assertThatThrownBy(() -> Owner.of(text))
          .as(text)
          .isInstanceOf(IllegalArgumentException.class);
    }
  }

  @Test
  void whoever_is_neither_an_employee_nor_a_group_owns_nothing() {
    for (Party party :
        List.of(
            new Party.Attendant(null),
            new Party.Slot("61"),
            new Party.Outside(new PhoneNumber("+441214960105")))) {
      assertThatThrownBy(() -> Owner.key(party)).isInstanceOf(IllegalArgumentException.class);
    }
  }
}
