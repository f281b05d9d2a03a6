package oficina.server.signin;

import oficina.server.door.RequestLimits;
import oficina.server.passwords.Employee;
import oficina.server.passwords.Passwords;
import oficina.server.problems.AnswerHeaders;
import oficina.server.problems.Problem;
import oficina.server.problems.Problems;
import oficina.server.secondfactor.SecondFactors;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.AuthenticationServiceException;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.security.web.context.NullSecurityContextRepository;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Who gets in, and what browsers are told to guard against. */
@Configuration
class SecurityConfig {

  @Bean
  PasswordEncoder passwordEncoder() {
    return new BCryptPasswordEncoder();
  }

  @Bean
  CsrfTokenRepository csrfTokens() {
    return new CsrfCookies();
  }

  /** Nobody is let in but by {@link Passwords}; without this a user would be made up. */
  @Bean
  AuthenticationManager nobody() {
    return authentication -> {
      throw new AuthenticationServiceException("not this way");
    };
  }

  /** Addresses that the firewall has no use for. */
  @Bean
  RequestRejectedHandler rejected(Problems problems) {
    return (request, response, e) ->
        problems.write(response, new Problem(HttpStatus.BAD_REQUEST, "ADDRESS_MALFORMED"));
  }

  @Bean
  SecurityFilterChain securityFilterChain(
      HttpSecurity http,
      SignIns signIns,
      RequestLimits limits,
      CsrfTokenRepository csrfTokens,
      Problems problems,
      SecondFactors factors) {
    http.addFilterBefore(
            new SignInFilter(signIns, limits, problems, factors),
            AnonymousAuthenticationFilter.class)
        // A sign-in is ours to keep. With a session policy of its own, Spring Security would take
        // each request for a new sign-in and renew the token against forged requests with it: of
        // two requests at once, one would come with the token of before.
        .sessionManagement(sessions -> sessions.disable())
        .securityContext(
            context -> context.securityContextRepository(new NullSecurityContextRepository()))
        .requestCache(cache -> cache.disable())
        .csrf(
            csrf ->
                csrf.spa()
                    .csrfTokenRepository(csrfTokens)
                    // No browser comes there: what the identity provider says is signed by it.
                    .ignoringRequestMatchers("/api/session/provider/signed-out"))
        .headers(
            headers ->
                headers
                    .referrerPolicy(policy -> policy.policy(ReferrerPolicy.NO_REFERRER))
                    .contentSecurityPolicy(
                        csp -> csp.policyDirectives(AnswerHeaders.CONTENT_SECURITY_POLICY)))
        .authorizeHttpRequests(
            requests ->
                requests
                    .requestMatchers(
                        "/api/session",
                        "/api/session/link",
                        "/api/session/link/password",
                        "/api/session/passkey",
                        "/api/session/passkeys/asked",
                        "/api/session/provider",
                        "/api/session/provider/**", // nobody is signed in there
                        "/api/health",
                        "/api/health/**",
                        "/api/description",
                        "/api/metrics", // whoever watches shows a token
                        "/api/handset") // telephones show who they are themselves
                    .permitAll()
                    .requestMatchers("/api/office/**")
                    .access((who, request) -> new AuthorizationDecision(administers(who.get())))
                    .requestMatchers("/api/**")
                    .authenticated()
                    .anyRequest()
                    .permitAll())
        .exceptionHandling(
            handling ->
                handling
                    .authenticationEntryPoint(
                        (request, response, e) ->
                            problems.write(
                                response, new Problem(HttpStatus.UNAUTHORIZED, "SIGNED_OUT")))
                    .accessDeniedHandler(
                        (request, response, e) ->
                            problems.write(
                                response,
                                new Problem(
                                    HttpStatus.FORBIDDEN,
                                    e instanceof CsrfException
                                        ? "FORBIDDEN"
                                        : "NOT_ADMINISTRATOR"))));
    return http.build();
  }

  private static boolean administers(Authentication who) {
    return who.getPrincipal() instanceof Employee me && me.isAdministrator();
  }
}
