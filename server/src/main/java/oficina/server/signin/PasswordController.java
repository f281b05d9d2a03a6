package oficina.server.signin;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.core.people.Person;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.OfficeData;
import oficina.server.passwords.BrowserCookie;
import oficina.server.passwords.Employee;
import oficina.server.passwords.EmployeeStore;
import oficina.server.passwords.Passwords;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What somebody signs in with. */
@RestController
@RequestMapping("/api/session/password")
class PasswordController {
  private final SignIns signIns;
  private final SignInCookies cookies;
  private final Passwords passwords;
  private final EmployeeStore employees;
  private final OfficeData office;
  private final OfficeLog log;

  PasswordController(
      SignIns signIns,
      SignInCookies cookies,
      Passwords passwords,
      EmployeeStore employees,
      OfficeData office,
      OfficeLog log) {
    this.signIns = signIns;
    this.cookies = cookies;
    this.passwords = passwords;
    this.employees = employees;
    this.office = office;
    this.log = log;
  }

  /** A new password, and the present one as proof. */
  record NewPassword(
      @NotBlank @Size(max = 200) String present, @NotBlank @Size(max = 200) String next) {}

  /** Choose another password. All one's other sign-ins end. */
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void password(
      @AuthenticationPrincipal Employee me,
      @Valid @RequestBody NewPassword change,
      Authentication signedIn,
      HttpServletRequest request,
      HttpServletResponse response) {
    Passwords.From from = BrowserCookie.from(request);
    passwords.checkPresent(me, change.present(), from);
    Person person = office.person(me.id());
    employees.password(
        me.id(),
        passwords.hash(
            change.next(),
            change.present(),
            List.of(me.signInName(), person.name(), person.extension()),
            from.origin()));
    log.write(Deed.of(Kind.PASSWORD, me.signInName()));
    SignIn here = SignIn.of(signedIn);
    signIns.endOthers(me.id(), here);
    Employee renewed = new Employee(me.id(), me.signInName(), me.role(), false);
    cookies.give(signIns.renew(here, renewed), request, response);
  }
}
