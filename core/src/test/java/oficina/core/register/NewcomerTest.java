package oficina.core.register;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import oficina.core.TestOffice;
import oficina.core.office.Claims;
import oficina.core.office.Office;
import org.junit.jupiter.api.Test;

class NewcomerTest {
  private final Office office = new TestOffice().office;

  private PersonEntry of(String name, String mail, String... taken) {
    return new Newcomer(office, Set.of(taken)::contains).of(name, mail).orElseThrow();
  }

  @Test
  void what_nobody_says_is_made_up_and_free() {
    PersonEntry made = of(" Noor Haddad ", "Noor.Haddad+work@office.example");
    assertThat(made.name()).isEqualTo("Noor Haddad");
    assertThat(made.signInName()).isEqualTo("noor.haddadwork").matches(PersonEntry.SIGN_IN_NAMES);
    assertThat(made.role()).isEqualTo("employee");
    assertThat(made.mail()).isEqualTo("Noor.Haddad+work@office.example");
    assertThat(new Claims(office).extension(made.extension(), null)).isEmpty();
  }

  @Test
  void whoever_has_the_name_of_another_gets_a_number_after_it() {
    assertThat(of("", "noor@office.example", "noor", "noor2").signInName()).isEqualTo("noor3");
    assertThat(of("", "noor@office.example").name()).isEqualTo("noor@office.example");
    assertThat(of("", "Ω@office.example").signInName()).isEqualTo("person");
  }
}
