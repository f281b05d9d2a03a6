package oficina.server.signin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.reset;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Duration;
import java.util.List;
import oficina.core.passwords.PasswordRules;
import oficina.core.people.PersonId;
import oficina.core.people.Role;
import oficina.server.door.Limits;
import oficina.server.door.RequestLimits;
import oficina.server.office.OfficeData;
import oficina.server.passwords.AccessPolicy;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.time.MovableClock;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.util.unit.DataSize;

/** How long sign-ins last, and how much they may ask. */
class SignInsTest {
  private static final Limits LIMITS =
      new Limits(
          DataSize.ofKilobytes(64),
          DataSize.ofMegabytes(1),
          30,
          4_000,
          10,
          20,
          12,
          100,
          Duration.ofHours(12),
          Duration.ofDays(7));

  private final SignInStore store = mock(SignInStore.class);
  private final MovableClock clock = new MovableClock();
  private final ApplicationEventPublisher events = mock(ApplicationEventPublisher.class);
  private final AccessPolicy policy = mock(AccessPolicy.class);
  private final SignIns signIns = new SignIns(store, mock(OfficeData.class), policy, clock, events);
  private final Employee ines = new Employee(new PersonId(1), "ines", Role.EMPLOYEE, false);

  @BeforeEach
  void an_office_that_has_said_nothing() {
    lasts(LIMITS.signInUnused(), LIMITS.signInLongest());
  }

  private void lasts(Duration unused, Duration longest) {
    when(policy.now()).thenReturn(new AccessPolicy.Access(PasswordRules.SHORTEST, unused, longest));
  }

  @Test
  void what_the_office_says_counts_at_once_for_those_who_are_signed_in() {
    String token = signIns.begin(ines, "127.0.0.1", "");
    clock.advance(Duration.ofHours(10));
    lasts(Duration.ofHours(9), Duration.ofDays(7));
    assertThat(signIns.use(token)).as("unused for longer").isEmpty();
    lasts(Duration.ofHours(11), Duration.ofDays(7));
    assertThat(signIns.use(token)).isPresent();
  }

  @Test
  void one_that_nobody_uses_ends_after_half_a_day_and_any_after_a_week() {
    String token = signIns.begin(ines, "127.0.0.1", "");
    for (int halfDay = 0; halfDay < 14; halfDay++) {
      assertThat(signIns.use(token)).isPresent();
      clock.advance(Duration.ofHours(12).minusMinutes(1));
    }
    clock.advance(Duration.ofMinutes(20));
    assertThat(signIns.use(token)).as("a week").isEmpty();
    String other = signIns.begin(ines, "127.0.0.1", "");
    clock.advance(Duration.ofHours(12).plusMinutes(1));
    assertThat(signIns.use(other)).as("unused").isEmpty();
  }

  @Test
  void one_that_ends_while_the_database_is_away_has_ended_all_the_same() {
    String token = signIns.begin(ines, "127.0.0.1", "");
    SignIn mine = signIns.use(token).orElseThrow();
    doThrow(new DataAccessResourceFailureException("away")).when(store).remove(any());
    signIns.end(each -> true);
    assertThat(signIns.use(token)).isEmpty();
    verify(events).publishEvent(new SignInEnded(mine.id()));
    reset(store);
    signIns.stop();
    verify(store).remove(List.of(mine.id()));
  }

  @Test
  void whoever_asks_too_much_is_told_when_to_ask_again_and_keeps_nobody_else_waiting() {
    RequestLimits limits = new RequestLimits(LIMITS, clock);
    for (int i = 0; i < 20; i++) {
      limits.signedIn("mine").close();
    }
    assertThatThrownBy(() -> limits.signedIn("mine")).isInstanceOf(Problem.class);
    limits.signedIn("another").close();
    clock.advance(Duration.ofSeconds(1));
    limits.signedIn("mine").close();
    for (int i = 0; i < 60; i++) {
      limits.stranger("10.0.0.1", true); // none of them answered yet
    }
    assertThatThrownBy(() -> limits.stranger("10.0.0.2", false)).isInstanceOf(Problem.class);
    limits.signedIn("another").close();
  }
}
