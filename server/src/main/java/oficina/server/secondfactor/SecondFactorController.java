package oficina.server.secondfactor;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.core.passwords.OneTimeCode;
import oficina.core.people.PersonId;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.OfficeData;
import oficina.server.passwords.BrowserCookie;
import oficina.server.passwords.Employee;
import oficina.server.passwords.Passwords;
import oficina.server.problems.Problem;
import oficina.server.secondfactor.SecondFactors.Wanted;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One's own second factor; for administrators, who has to have one. */
@RestController
class SecondFactorController {
  private final SecondFactors factors;
  private final Passwords passwords;
  private final OfficeData office;
  private final OfficeLog log;

  SecondFactorController(
      SecondFactors factors, Passwords passwords, OfficeData office, OfficeLog log) {
    this.factors = factors;
    this.passwords = passwords;
    this.office = office;
    this.log = log;
  }

  /**
   * One's own.
   *
   * @param since when it is in force; absent when there is none
   * @param recoveryCodes how many of those on paper are left
   * @param wanted whether the office wants one to have it
   */
  record SecondFactorView(
      @Schema(nullable = true) @Nullable Instant since, int recoveryCodes, boolean wanted) {}

  /** One's own second factor. */
  @GetMapping("/api/session/second-factor")
  SecondFactorView own(@AuthenticationPrincipal Employee me) {
    SecondFactorStore.Factor factor = factors.of(me.id());
    return new SecondFactorView(
        factor == null ? null : factor.since(),
        factor == null ? 0 : factor.recoveryCodes(),
        factors.isWantedOf(me));
  }

  /** The present password, as proof. */
  record Proof(@NotBlank @Size(max = 200) String present) {}

  /**
   * What a program that shows codes has to know.
   *
   * @param secret as people type it
   * @param address as the program reads it off a picture
   */
  record Begun(String secret, String address) {}

  /** Begin with one; what there was counts until a code of the new one was shown. */
  @PostMapping("/api/session/second-factor/begin")
  Begun begin(
      @AuthenticationPrincipal Employee me,
      @Valid @RequestBody Proof proof,
      HttpServletRequest request) {
    passwords.checkPresent(me, proof.present(), BrowserCookie.from(request));
    byte[] secret = factors.begin(me.id());
    String issuer = office.now().identity().name();
    return new Begun(
        OneTimeCode.base32(secret),
        OneTimeCode.address(issuer.isEmpty() ? "Oficina" : issuer, me.signInName(), secret));
  }

  record Code(@NotBlank @Size(max = 40) String code) {}

  /**
   * In force from now on.
   *
   * @param recoveryCodes for paper; told this once
   */
  record InForce(List<String> recoveryCodes) {}

  /** Show a code of it; it is in force from then on. */
  @PostMapping("/api/session/second-factor")
  InForce confirm(
      @AuthenticationPrincipal Employee me,
      @Valid @RequestBody Code code,
      HttpServletRequest request) {
    List<String> codes = factors.confirm(me, code.code(), BrowserCookie.from(request));
    log.write(new Deed(Kind.CHANGED, me.signInName(), "secondFactor", "", "codes"));
    return new InForce(codes);
  }

  /** Do without, unless the office wants it. */
  @PostMapping("/api/session/second-factor/end")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void end(
      @AuthenticationPrincipal Employee me,
      @Valid @RequestBody Proof proof,
      HttpServletRequest request) {
    if (factors.isWantedOf(me)) {
      throw new Problem(HttpStatus.CONFLICT, "SECOND_FACTOR_WANTED_BY_OFFICE");
    }
    passwords.checkPresent(me, proof.present(), BrowserCookie.from(request));
    factors.remove(me.id());
    log.write(new Deed(Kind.CHANGED, me.signInName(), "secondFactor", "codes", ""));
  }

  record WantedOf(@NotNull Wanted of) {}

  /** Who has to have one. */
  @GetMapping("/api/office/second-factor")
  WantedOf wanted() {
    return new WantedOf(factors.wanted());
  }

  /** Say who has to have one; whoever has none sets it up before anything else. */
  @PutMapping("/api/office/second-factor")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void want(@Valid @RequestBody WantedOf body) {
    String before = factors.wanted().name();
    factors.want(body.of());
    log.write(new Deed(Kind.CHANGED, "", "secondFactor", before, body.of().name()));
  }

  /** Whether somebody has one. */
  record HasFactor(boolean has) {}

  /** Whether somebody has one. */
  @GetMapping("/api/office/people/{id}/second-factor")
  HasFactor has(@PathVariable long id) {
    return new HasFactor(factors.has(new PersonId(id)));
  }

  /** Take somebody's away who has lost it, what they had on paper and their passkeys. */
  @DeleteMapping("/api/office/people/{id}/second-factor")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeAway(@PathVariable long id) {
    PersonId person = new PersonId(id);
    if (!factors.has(person)) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PERSON");
    }
    factors.removeAll(person);
    log.write(new Deed(Kind.CHANGED, office.now().nameOf(person), "secondFactor", "codes", ""));
  }
}
