package oficina.server.provider;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.net.URI;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.server.ledger.OfficeLog;
import oficina.server.passwords.BrowserCookie;
import oficina.server.passwords.Employee;
import oficina.server.passwords.Passwords;
import oficina.server.problems.Problem;
import oficina.server.provider.IdentityProvider.Somebody;
import oficina.server.signin.Entering;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * There and back: signing in by the office's identity provider; for administrators, which it is.
 */
@RestController
class ProviderController {
  private static final String BACK = "/api/session/provider/back";

  private final IdentityProvider identities;
  private final Vouched vouched;
  private final Entering entering;
  private final OfficeLog log;

  ProviderController(
      IdentityProvider identities, Vouched vouched, Entering entering, OfficeLog log) {
    this.identities = identities;
    this.vouched = vouched;
    this.entering = entering;
    this.log = log;
  }

  /** How people know the provider. */
  record Called(String called) {}

  /** By whom one can sign in; nothing when the office has no identity provider. */
  @GetMapping("/api/session/provider")
  ResponseEntity<Called> provider() {
    Provider now = identities.provider();
    return now == null
        ? ResponseEntity.noContent().build()
        : ResponseEntity.ok(new Called(now.called()));
  }

  /** To the provider; for browsers that go there. */
  @GetMapping("/api/session/provider/go")
  ResponseEntity<Void> go(HttpServletRequest request, HttpServletResponse response) {
    Passwords.From from = BrowserCookie.fromKnown(request, response);
    try {
      return to(identities.go(back(request), from.browserHash()));
    } catch (Problem problem) {
      return refused(problem);
    }
  }

  /**
   * Back from there; for browsers that come. They go on to the page, which says so when they were
   * refused.
   */
  @GetMapping(BACK)
  ResponseEntity<Void> back(
      @RequestParam(defaultValue = "") @Size(max = 4000) String code,
      @RequestParam(defaultValue = "") @Size(max = 200) String state,
      HttpServletRequest request,
      HttpServletResponse response) {
    try {
      if (code.isEmpty()) {
        throw new Problem(HttpStatus.FORBIDDEN, "PROVIDER_REFUSED");
      }
      Passwords.From from = BrowserCookie.from(request);
      Somebody somebody = identities.back(code, state, back(request), from.browserHash());
      entering.enter(person(somebody), from, request, response);
      return to(URI.create("/"));
    } catch (Problem problem) {
      return refused(problem);
    }
  }

  /** Written down is whom the provider has vouched for in vain; anybody can come with nonsense. */
  private Employee person(Somebody somebody) {
    try {
      return vouched.person(somebody, identities.present().unknown());
    } catch (Problem problem) {
      log.write(Deed.of(Kind.SIGN_IN_FAILED, somebody.mail()));
      throw problem;
    }
  }

  private static URI back(HttpServletRequest request) {
    return UriComponentsBuilder.fromUriString(request.getRequestURL().toString())
        .replacePath(BACK)
        .build()
        .toUri();
  }

  private static ResponseEntity<Void> to(URI address) {
    return ResponseEntity.status(HttpStatus.FOUND).location(address).build();
  }

  private static ResponseEntity<Void> refused(Problem problem) {
    return to(URI.create("/?refused=" + problem.code()));
  }

  /** The provider says who has signed out there (OpenID Connect Back-Channel Logout 1.0). */
  @PostMapping(
      path = "/api/session/provider/signed-out",
      consumes = MediaType.APPLICATION_FORM_URLENCODED_VALUE)
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signedOut(@RequestParam("logout_token") @Size(max = 10_000) String token) {
    identities.signedOut(token).ifPresent(vouched::signedOut);
  }

  /**
   * The provider as administrators see it.
   *
   * @param back where it sends browsers back to, and is told so beforehand
   * @param signedOut where it says who has signed out
   */
  record ProviderView(
      @Schema(nullable = true) @Nullable String issuer,
      String clientId,
      String called,
      Provider.Unknown unknown,
      String back,
      String signedOut) {}

  /** The identity provider of the office; its secret is told nobody. */
  @GetMapping("/api/office/identity-provider")
  ProviderView own(HttpServletRequest request) {
    Provider now = identities.provider();
    String back = back(request).toString();
    return new ProviderView(
        now == null ? null : now.issuer(),
        now == null ? "" : now.clientId(),
        now == null ? "" : now.called(),
        now == null ? Provider.Unknown.REFUSED : now.unknown(),
        back,
        back.replace("/back", "/signed-out"));
  }

  /**
   * A provider as it is written down.
   *
   * @param secret empty to keep the one there is
   */
  record ProviderBody(
      @NotBlank @Size(max = 300) String issuer,
      @NotBlank @Size(max = 200) String clientId,
      @NotNull @Size(max = 300) String secret,
      @NotBlank @Size(max = 60) String called,
      Provider.@NotNull Unknown unknown) {}

  /** Have people sign in by a provider; it is asked first whether it is one. */
  @PutMapping("/api/office/identity-provider")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void become(@Valid @RequestBody ProviderBody body) {
    Provider before = identities.provider();
    boolean sameIssuer = before != null && before.issuer().equals(body.issuer().strip());
    String secret = body.secret().isEmpty() && sameIssuer ? before.secret() : body.secret();
    if (secret.isEmpty()) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "PROVIDER_SECRET");
    }
    change(
        before,
        new Provider(
            body.issuer().strip(),
            body.clientId().strip(),
            secret,
            body.called().strip(),
            body.unknown()));
    if (!sameIssuer) {
      vouched.forgetAll();
    }
  }

  /** Have nobody sign in by it any more. */
  @DeleteMapping("/api/office/identity-provider")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void none() {
    change(identities.provider(), null);
    vouched.forgetAll();
  }

  private void change(@Nullable Provider before, @Nullable Provider next) {
    identities.become(next);
    log.write(new Deed(Kind.CHANGED, "", "identityProvider", said(before), said(next)));
  }

  private static String said(@Nullable Provider provider) {
    return provider == null ? "" : provider.toString();
  }
}
