package oficina.server.provider;

import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.register.Newcomer;
import oficina.core.register.PersonEntry;
import oficina.server.office.NewPerson;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import oficina.server.office.StandIn;
import oficina.server.passwords.Employee;
import oficina.server.passwords.EmployeeStore;
import oficina.server.passwords.Tokens;
import oficina.server.problems.Problem;
import oficina.server.provider.IdentityProvider.Somebody;
import oficina.server.signin.SignIns;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Whose person it is that the identity provider vouches for. */
@Component
class Vouched {
  /** People who joined by themselves, until somebody says where they belong. */
  private static final String TEAM = "New";

  private final ProviderStore store;
  private final OfficeData office;
  private final OfficeStore register;
  private final EmployeeStore employees;
  private final SignIns signIns;
  private final PasswordEncoder passwords;

  Vouched(
      ProviderStore store,
      OfficeData office,
      OfficeStore register,
      EmployeeStore employees,
      SignIns signIns,
      PasswordEncoder passwords) {
    this.store = store;
    this.office = office;
    this.register = register;
    this.employees = employees;
    this.signIns = signIns;
    this.passwords = passwords;
  }

  /**
   * The person with this mail; of nobody the one who joins, where the office lets them.
   *
   * @throws Problem when it is nobody, or not clear who
   */
  Employee person(Somebody vouched, Provider.Unknown unknown) {
    if (vouched.mail().isEmpty()) {
      throw new Problem(HttpStatus.FORBIDDEN, "PROVIDER_SAYS_NO_MAIL");
    }
    List<PersonId> all = withMail(vouched.mail());
    if (all.size() > 1) {
      throw new Problem(HttpStatus.CONFLICT, "SEVERAL_WITH_MAIL");
    }
    if (all.isEmpty() && unknown == Provider.Unknown.REFUSED) {
      throw new Problem(HttpStatus.FORBIDDEN, "NOT_OF_OFFICE");
    }
    PersonId person = all.isEmpty() ? join(vouched) : all.get(0);
    store.isCalled(vouched.subject(), person);
    return employees
        .employee(person)
        .orElseThrow(() -> new Problem(HttpStatus.FORBIDDEN, "NOT_OF_OFFICE"));
  }

  private List<PersonId> withMail(String mail) {
    return office.directory().people().stream()
        .filter(each -> each.place().mail().equalsIgnoreCase(mail))
        .map(Person::id)
        .toList();
  }

  /** Of two browsers of theirs that come at once, the later one finds them there. */
  private PersonId join(Somebody vouched) {
    AtomicReference<PersonId> joined = new AtomicReference<>();
    office.change(
        () -> {
          List<PersonId> there = withMail(vouched.mail());
          joined.set(there.isEmpty() ? add(vouched) : there.get(0));
        });
    return joined.get();
  }

  private PersonId add(Somebody vouched) {
    PersonEntry entry =
        new Newcomer(office.now(), each -> employees.signInName(each).isPresent())
            .of(vouched.name(), vouched.mail())
            .orElseThrow(() -> new Problem(HttpStatus.CONFLICT, "NO_EXTENSION_FREE"));
    return register.addPerson(
        new NewPerson(
            entry.name(),
            entry.signInName(),
            passwords.encode(Tokens.fresh()), // nobody's: they sign in by the provider
            entry.role(),
            entry.extension(),
            null,
            register.teamNamed(TEAM),
            entry.site(),
            entry.mail(),
            null,
            true,
            StandIn.NONE));
  }

  /** They have signed out at the provider. */
  void signedOut(String subject) {
    store.called(subject).forEach(signIns::endAll);
  }

  /** Another provider calls people otherwise. */
  void forgetAll() {
    store.forgetAll();
  }
}
