package oficina.server.passwordlinks;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.passwords.EmployeeStore;
import oficina.server.passwords.Passwords;
import oficina.server.passwords.Tokens;
import oficina.server.problems.Problem;
import oficina.server.signin.SignIns;
import oficina.server.time.MovableClock;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * A new password by a link that an administrator makes: nobody but whoever follows it ever knows
 * the password. It holds for a day and once, and signs nobody in: a second factor is asked for as
 * always.
 */
@RestController
class LinkController {
  private static final Duration HOLDS = Duration.ofHours(24);

  private final LinkStore links;
  private final SignIns signIns;
  private final Passwords passwords;
  private final EmployeeStore employees;
  private final OfficeData office;
  private final MovableClock clock;
  private final OfficeLog log;

  LinkController(
      LinkStore links,
      SignIns signIns,
      Passwords passwords,
      EmployeeStore employees,
      OfficeData office,
      MovableClock clock,
      OfficeLog log) {
    this.links = links;
    this.signIns = signIns;
    this.passwords = passwords;
    this.employees = employees;
    this.office = office;
    this.clock = clock;
    this.log = log;
  }

  /**
   * A link.
   *
   * @param path of a page, told this once; what counts stands behind #, which goes over no network
   */
  record LinkView(String path, Instant until) {}

  /** Make a link for somebody; one made before is worth nothing any more. */
  @PostMapping("/api/office/people/{id}/link")
  LinkView make(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    PersonId person = new PersonId(id);
    Person known =
        office
            .directory()
            .person(person)
            .orElseThrow(() -> new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PERSON"));
    if (person.equals(me.id())) {
      throw new Problem(HttpStatus.CONFLICT, "NOT_ONESELF");
    }
    String token = Tokens.fresh();
    Instant until = clock.instant().plus(HOLDS);
    links.put(Tokens.hash(token), person, until);
    log.write(new Deed(Kind.ADDED, known.name(), "passwordLink", "", ""));
    return new LinkView("/new-password#" + token, until);
  }

  record Token(@NotBlank @Size(max = 100) String token) {}

  /**
   * Whose link it is.
   *
   * @param name to sign in with
   */
  record WhoseLink(String name) {}

  /** Whose link this is, as long as it holds. */
  @PostMapping("/api/session/link")
  WhoseLink whose(@Valid @RequestBody Token body) {
    return new WhoseLink(
        employees.signInName(office.person(person(body.token())).extension()).orElseThrow());
  }

  private PersonId person(String token) {
    return links
        .whose(Tokens.hash(token), clock.instant())
        .filter(each -> office.directory().person(each).isPresent())
        .orElseThrow(() -> new Problem(HttpStatus.NOT_FOUND, "LINK_GONE"));
  }

  /** A new password by a link. */
  record NewByLink(
      @NotBlank @Size(max = 100) String token, @NotBlank @Size(max = 200) String password) {}

  /** Choose a new password; all sign-ins there were end. */
  @PostMapping("/api/session/link/password")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void choose(@Valid @RequestBody NewByLink body, HttpServletRequest request) {
    PersonId id = person(body.token());
    Person person = office.person(id);
    String name = employees.signInName(person.extension()).orElseThrow();
    String hash =
        passwords.hash(
            body.password(),
            null,
            List.of(person.name(), name, person.extension()),
            request.getRemoteAddr());
    if (!links.take(Tokens.hash(body.token()))) {
      throw new Problem(HttpStatus.NOT_FOUND, "LINK_GONE");
    }
    employees.password(id, hash);
    log.write(Deed.of(Kind.PASSWORD, name));
    signIns.endAll(id);
  }
}
