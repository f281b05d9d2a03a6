package oficina.server.signin;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import oficina.server.door.RequestLimits;
import oficina.server.passwords.Tokens;
import oficina.server.problems.Problem;
import oficina.server.problems.Problems;
import oficina.server.secondfactor.SecondFactors;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Finds out who is asking, counts their requests, and lets whoever has to choose a password or to
 * set up a second factor do nothing before.
 */
class SignInFilter extends OncePerRequestFilter {
  static final String COOKIE = "oficina-sign-in";

  private final SignIns signIns;
  private final RequestLimits limits;
  private final Problems problems;
  private final SecondFactors factors;
  private final Tarpit tarpit;

  SignInFilter(SignIns signIns, RequestLimits limits, Problems problems, SecondFactors factors) {
    this.signIns = signIns;
    this.limits = limits;
    this.problems = problems;
    this.factors = factors;
    this.tarpit = new Tarpit(problems);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Optional<SignIn> signIn =
        Optional.ofNullable(Tokens.read(request, COOKIE)).flatMap(signIns::use);
    try (RequestLimits.UnderWay counted = begin(signIn, request)) {
      signIn.ifPresent(mine -> admit(mine, request));
      chain.doFilter(request, response);
    } catch (Problem problem) {
      if (signIn.isPresent() || !tarpit.refuse(request, response, problem)) {
        problems.write(response, problem);
      }
    }
  }

  private RequestLimits.UnderWay begin(Optional<SignIn> signIn, HttpServletRequest request) {
    return signIn
        .map(mine -> limits.signedIn(mine.id()))
        .orElseGet(
            () -> {
              boolean file = !request.getRequestURI().startsWith("/api/");
              return limits.stranger(request.getRemoteAddr(), file);
            });
  }

  private void admit(SignIn signIn, HttpServletRequest request) {
    if (signIn.employee().mustChangePassword() && !isAboutSignIn(request)) {
      throw new Problem(HttpStatus.FORBIDDEN, "PASSWORD_MUST_CHANGE");
    }
    if (factors.isOwedBy(signIn.employee()) && !isAboutSignIn(request)) {
      throw new Problem(HttpStatus.FORBIDDEN, "SECOND_FACTOR_MUST_BE_SET_UP");
    }
    UsernamePasswordAuthenticationToken signedIn =
        UsernamePasswordAuthenticationToken.authenticated(
            signIn.employee(), null, AuthorityUtils.NO_AUTHORITIES);
    signedIn.setDetails(signIn);
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(signedIn);
    SecurityContextHolder.setContext(context);
  }

  private static boolean isAboutSignIn(HttpServletRequest request) {
    String path = request.getRequestURI();
    return !path.startsWith("/api/") || path.startsWith("/api/session");
  }
}
