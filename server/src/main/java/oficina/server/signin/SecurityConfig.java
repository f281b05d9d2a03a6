package oficina.server.signin;

import java.security.SecureRandom;
import java.time.Duration;
import java.util.Base64;
import oficina.server.office.OfficeStore;
import oficina.server.problems.Problems;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.RememberMeAuthenticationProvider;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.rememberme.TokenBasedRememberMeServices;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;

/**
 * Who gets in. A session cookie is backed by a signed one that carries the sign-in over a restart
 * of the server (docs/decisions/0004-sign-in-outlives-the-server.md).
 */
@Configuration
class SecurityConfig {
  private static final Duration SIGNED_IN_FOR = Duration.ofHours(12);
  private static final String KEY_SETTING = "sign-in-key";

  @Bean
  PasswordEncoder passwordEncoder() {
    return new BCryptPasswordEncoder();
  }

  @Bean
  SecurityContextRepository securityContexts() {
    return new HttpSessionSecurityContextRepository();
  }

  @Bean
  TokenBasedRememberMeServices rememberMe(OfficeStore settings, EmployeeStore employees) {
    TokenBasedRememberMeServices services =
        new TokenBasedRememberMeServices(key(settings), employees);
    services.setAlwaysRemember(true);
    services.setCookieName("oficina-sign-in");
    services.setTokenValiditySeconds((int) SIGNED_IN_FOR.toSeconds());
    services.setCookieCustomizer(cookie -> cookie.setAttribute("SameSite", "Lax"));
    return services;
  }

  /** Made once for each installation; cookies of another one are worth nothing here. */
  private static String key(OfficeStore settings) {
    return settings
        .setting(KEY_SETTING)
        .orElseGet(
            () -> {
              byte[] random = new byte[32];
              new SecureRandom().nextBytes(random);
              String key = Base64.getEncoder().encodeToString(random);
              settings.set(KEY_SETTING, key);
              return key;
            });
  }

  @Bean
  AuthenticationManager authenticationManager(
      EmployeeStore employees, PasswordEncoder passwords, TokenBasedRememberMeServices rememberMe) {
    DaoAuthenticationProvider byPassword = new DaoAuthenticationProvider(employees);
    byPassword.setPasswordEncoder(passwords);
    return new ProviderManager(
        byPassword, new RememberMeAuthenticationProvider(rememberMe.getKey()));
  }

  @Bean
  SecurityFilterChain securityFilterChain(
      HttpSecurity http,
      AuthenticationManager manager,
      TokenBasedRememberMeServices rememberMe,
      SecurityContextRepository contexts,
      Problems problems) {
    http.authenticationManager(manager)
        .securityContext(context -> context.securityContextRepository(contexts))
        .csrf(csrf -> csrf.spa())
        .rememberMe(remember -> remember.rememberMeServices(rememberMe).key(rememberMe.getKey()))
        .headers(
            headers ->
                headers.contentSecurityPolicy(
                    csp ->
                        csp.policyDirectives(
                            "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:;"
                                + " font-src 'self' data:; frame-ancestors 'none'")))
        .authorizeHttpRequests(
            requests ->
                requests
                    .requestMatchers(
                        "/api/session", "/api/health", "/api/health/**", "/api/description")
                    .permitAll()
                    .requestMatchers("/api/**")
                    .authenticated()
                    .anyRequest()
                    .permitAll())
        .exceptionHandling(
            handling ->
                handling
                    .authenticationEntryPoint(
                        (request, response, e) ->
                            problems.write(response, HttpStatus.UNAUTHORIZED, "SIGNED_OUT"))
                    .accessDeniedHandler(
                        (request, response, e) ->
                            problems.write(response, HttpStatus.FORBIDDEN, "FORBIDDEN")));
    return http.build();
  }
}
