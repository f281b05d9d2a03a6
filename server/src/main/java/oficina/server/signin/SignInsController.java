package oficina.server.signin;

import java.time.Instant;
import java.util.List;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The sign-ins a person has, in this browser and elsewhere. */
@RestController
@RequestMapping("/api/session/sign-ins")
class SignInsController {
  private final SignIns signIns;

  SignInsController(SignIns signIns) {
    this.signIns = signIns;
  }

  /**
   * One of one's sign-ins.
   *
   * @param here whether it is the one that asks
   * @param place network address it was made from
   * @param agent how the browser calls itself
   */
  record SignInView(
      String id, boolean here, String place, String agent, Instant began, Instant lastUsed) {}

  /** All one's sign-ins, the one used last first. */
  @GetMapping
  List<SignInView> signIns(@AuthenticationPrincipal Employee me, Authentication signedIn) {
    SignIn here = SignIn.of(signedIn);
    return signIns.of(me.id()).stream()
        .map(
            each ->
                new SignInView(
                    each.id(),
                    each.id().equals(here.id()),
                    each.place(),
                    each.agent(),
                    each.began(),
                    each.lastUsed()))
        .toList();
  }

  /** End one of one's own sign-ins. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void end(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    if (signIns.of(me.id()).stream().noneMatch(each -> each.id().equals(id))) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_SIGN_IN");
    }
    signIns.end(each -> each.id().equals(id));
  }

  /** End all one's sign-ins but this one. */
  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void endOthers(@AuthenticationPrincipal Employee me, Authentication signedIn) {
    signIns.endOthers(me.id(), SignIn.of(signedIn));
  }
}
