package oficina.server.administration;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import oficina.core.call.Party;
import oficina.core.decision.Permissions;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Dependants;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.people.Role;
import oficina.core.register.PersonEntry;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.NewPerson;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import oficina.server.office.StandIn;
import oficina.server.office.StoredAccount;
import oficina.server.passwords.Employee;
import oficina.server.passwords.EmployeeStore;
import oficina.server.passwords.Passwords;
import oficina.server.people.Parties;
import oficina.server.problems.Problem;
import oficina.server.signin.SignIns;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * Who belongs to the office. A change is in force at once. Everything below /api/office is open to
 * administrators only.
 */
@RestController
@RequestMapping("/api/office/people")
class PeopleController {
  private static final int PAGE = 100;

  private final OfficeData office;
  private final OfficeStore store;
  private final EmployeeStore accounts;
  private final Passwords passwords;
  private final SignIns signIns;
  private final Parties parties;
  private final OfficeLog log;
  private final TakenBackStore takenBack;

  PeopleController(
      OfficeData office,
      OfficeStore store,
      EmployeeStore accounts,
      Passwords passwords,
      SignIns signIns,
      Parties parties,
      OfficeLog log,
      TakenBackStore takenBack) {
    this.office = office;
    this.store = store;
    this.accounts = accounts;
    this.passwords = passwords;
    this.signIns = signIns;
    this.parties = parties;
    this.log = log;
    this.takenBack = takenBack;
  }

  /**
   * Somebody as the office has them.
   *
   * @param signInName the name they sign in with
   * @param directNumber public number that rings them, as people here write numbers; empty for none
   * @param mail address at which they are written to; empty for none
   * @param mobile their mobile number, for everybody in the office; empty for none
   */
  record PersonBody(
      @NotBlank @Size(max = PersonEntry.LONGEST_NAME) String name,
      @NotBlank @Pattern(regexp = PersonEntry.SIGN_IN_NAMES) String signInName,
      @NotNull Role role,
      @NotNull @Pattern(regexp = PersonEntry.EXTENSIONS) String extension,
      @NotNull @Size(max = 40) String directNumber,
      @NotBlank @Size(max = PersonEntry.LONGEST_PLACE) String team,
      @NotNull @Size(max = PersonEntry.LONGEST_PLACE) String site,
      @NotNull @Email @Size(max = 254) String mail,
      @NotNull @Size(max = 40) String mobile) {}

  /**
   * Somebody of the office.
   *
   * @param version is given back by whoever changes it
   */
  record PersonRow(long id, PersonBody person, int version) {}

  /**
   * A part of the register.
   *
   * @param count how many there are in all that fit
   */
  record PeopleRegister(List<PersonRow> people, int count) {}

  /**
   * Everybody by name, or with a text whoever fits it, best first.
   *
   * @param text as in the dial field; empty for all
   * @param from how many are left out at the beginning
   */
  @GetMapping
  PeopleRegister all(
      @RequestParam(defaultValue = "") @Size(max = 100) String text,
      @RequestParam(defaultValue = "0") @Min(0) int from) {
    List<Person> fit =
        text.isBlank()
            ? office.directory().people().stream()
                .sorted(Comparator.comparing(Person::name))
                .toList()
            : office.finder().find(text, Integer.MAX_VALUE);
    List<Person> shown = fit.stream().skip(from).limit(PAGE).toList();
    Map<PersonId, StoredAccount> accounts = store.accounts(shown);
    return new PeopleRegister(shown.stream().map(each -> row(each, accounts)).toList(), fit.size());
  }

  private PersonRow row(Person person, Map<PersonId, StoredAccount> accounts) {
    StoredAccount account = accounts.getOrDefault(person.id(), StoredAccount.NONE);
    PersonBody body =
        new PersonBody(
            person.name(),
            account.signInName(),
            Employee.role(account.role()),
            person.extension(),
            shown(person.directNumber()),
            person.team(),
            person.site(),
            person.place().mail(),
            shown(person.mobile()));
    return new PersonRow(person.id().value(), body, Shown.version(body));
  }

  private String shown(@Nullable PhoneNumber number) {
    return number == null ? "" : office.region().show(number);
  }

  /** One of them. */
  @GetMapping("/{id}")
  PersonRow one(@PathVariable long id) {
    Person person = office.person(known(id));
    return row(person, store.accounts(List.of(person)));
  }

  /**
   * Somebody who joins the office.
   *
   * @param password for the first time; they choose another one then. A room has none
   */
  record Joining(@NotNull @Valid PersonBody person, @NotNull @Size(max = 200) String password) {}

  record Joined(long id) {}

  /** Somebody joins the office. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  Joined join(@AuthenticationPrincipal Employee me, @Valid @RequestBody Joining joining) {
    PersonBody body = joining.person();
    String hash = Permissions.maySignIn(body.role()) ? hash(joining.password(), body, me) : "";
    AtomicReference<PersonId> id = new AtomicReference<>();
    write(
        body,
        () -> {
          id.set(store.addPerson(checked(body, hash, null)));
          store.mustChangePassword(id.get());
        });
    return new Joined(id.get().value());
  }

  private String hash(String password, PersonBody body, Employee asking) {
    return passwords.hash(
        password,
        /* present= */ null,
        List.of(body.name(), body.signInName(), body.extension()),
        asking.signInName());
  }

  /** Only while nobody else changes the office: of two who want one extension, one gets it. */
  private NewPerson checked(PersonBody body, String hash, @Nullable Party self) {
    Given given = new Given(office.now());
    PhoneNumber mobile = Given.number(office.region(), body.mobile());
    return new NewPerson(
        body.name().strip(),
        body.signInName(),
        hash,
        body.role().name().toLowerCase(Locale.ROOT),
        given.extension(body.extension(), self),
        given.number(body.directNumber(), self),
        store.teamNamed(body.team().strip()),
        body.site().strip(),
        body.mail().strip(),
        mobile == null ? null : mobile.e164(),
        true,
        StandIn.NONE);
  }

  private void write(PersonBody body, Runnable change) {
    try {
      office.change(change);
    } catch (DuplicateKeyException e) {
      throw taken(body.signInName());
    }
  }

  /**
   * Change what is known of somebody; who is another role from now on signs in anew.
   *
   * @param version of what was shown before; absent to replace whatever there is
   */
  @PutMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @RequestParam(required = false) @Nullable Integer version,
      @Valid @RequestBody PersonBody body) {
    PersonId person = known(id);
    StoredAccount before = store.accounts().getOrDefault(person, StoredAccount.NONE);
    boolean otherRole = Employee.role(before.role()) != body.role();
    if (otherRole && person.equals(me.id())) {
      throw new Problem(HttpStatus.CONFLICT, "NOT_ONESELF");
    }
    write(
        body,
        () -> {
          Shown.check(version, one(id).person());
          if (otherRole) {
            refuseLastAdministrator(person);
          }
          store.change(person, checked(body, "", new Party.Employee(person)));
        });
    if (otherRole || !before.signInName().equals(body.signInName())) {
      signIns.endAll(person);
    }
  }

  /** Of two who take each other's role away at once, one does not succeed. */
  private void refuseLastAdministrator(PersonId person) {
    boolean another =
        store.accounts().entrySet().stream()
            .filter(each -> !each.getKey().equals(person))
            .anyMatch(each -> each.getValue().isAdministrator());
    if (!another) {
      throw new Problem(HttpStatus.CONFLICT, "LAST_ADMINISTRATOR");
    }
  }

  private PersonId known(long id) {
    PersonId person = new PersonId(id);
    if (office.directory().person(person).isEmpty()) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PERSON");
    }
    return person;
  }

  record NewPassword(@NotBlank @Size(max = 200) String password) {}

  /** Give somebody a new password, which they replace by one of their own; they are signed out. */
  @PutMapping("/{id}/password")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void password(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody NewPassword body) {
    PersonId person = known(id);
    if (person.equals(me.id())) {
      throw new Problem(HttpStatus.CONFLICT, "NOT_ONESELF");
    }
    Person known = office.person(person);
    List<String> names = List.of(known.name(), known.extension());
    accounts.password(person, passwords.hash(body.password(), null, names, me.signInName()));
    store.mustChangePassword(person);
    log.write(Deed.of(Kind.PASSWORD, known.name()));
    signIns.endAll(person);
  }

  /** Sign somebody out wherever they are signed in; their calls go on. */
  @PostMapping("/{id}/sign-out")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(@PathVariable long id) {
    PersonId person = known(id);
    log.write(Deed.of(Kind.SIGNED_OUT, office.person(person).name()));
    signIns.endAll(person);
  }

  /** What would be different for whom if somebody were not there any more. */
  @GetMapping("/{id}/dependants")
  List<DependantView> dependants(@PathVariable long id) {
    return new Dependants(office.now())
        .of(known(id)).stream()
            .map(each -> new DependantView(each.how(), parties.name(each.who())))
            .toList();
  }

  private static Problem taken(String what) {
    return new Problem(HttpStatus.CONFLICT, "TAKEN", Map.of("text", what));
  }

  /** Somebody leaves the office: their calls end, and they are signed out. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void leave(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    PersonId person = known(id);
    if (person.equals(me.id())) {
      throw new Problem(HttpStatus.CONFLICT, "NOT_ONESELF");
    }
    office.change(
        () -> {
          refuseLastAdministrator(person);
          takenBack.leaves(new Party.Employee(person));
          store.leave(person);
        });
  }

  /**
   * Somebody who has left within the hour is there again, with what was theirs. They sign in anew.
   */
  @PostMapping("/{id}/return")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void comesBack(@PathVariable long id) {
    Party person = new Party.Employee(new PersonId(id));
    try {
      office.change(() -> takenBack.comesBack(person, new Given(office.now())));
    } catch (DuplicateKeyException e) {
      throw taken(office.now().nameOf(new PersonId(id)));
    }
  }
}
