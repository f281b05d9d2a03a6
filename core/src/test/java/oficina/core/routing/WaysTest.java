package oficina.core.routing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import oficina.core.TestOffice;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.exchange.Scene;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Office;
import oficina.core.office.Settings.Unanswered;
import oficina.core.people.PersonId;
import org.junit.jupiter.api.Test;

/** Where a call goes that nobody takes, as it begins. */
class WaysTest {
  private static final Party OUTSIDE = new Party.Outside(new PhoneNumber("+441214960105"));
  private static final PersonId SENDER = TestOffice.INES;
  private static final Party TARGET = new Party.Employee(TestOffice.TOMASZ);

  private final Office office = new Scene().exchange.office();

  private static List<Way.Reason> reasons(List<Way> ways) {
    return ways.stream().map(Way::reason).toList();
  }

  @Test
  void a_dialled_call_goes_by_the_rules_of_whoever_has_any() {
    assertThat(Ways.whenDialled(TARGET))
        .containsExactly(new Way(new Way.ByRules(TARGET), Way.Reason.BY_RULE));
    assertThat(Ways.whenDialled(OUTSIDE)).isEmpty();
  }

  @Test
  void only_callers_from_outside_are_led_to_a_mailbox_besides() {
    assertThat(reasons(Ways.whenComingIn(office, TARGET, OUTSIDE)))
        .containsExactly(Way.Reason.BY_RULE, Way.Reason.MESSAGE);
    assertThat(reasons(Ways.whenComingIn(office, TARGET, new Party.Employee(SENDER))))
        .containsExactly(Way.Reason.BY_RULE);
  }

  @Test
  void a_call_sent_on_comes_back_before_or_after_the_mailbox_as_was_chosen() {
    assertThat(reasons(Ways.whenSentOn(office.settings(), SENDER, TARGET, Unanswered.BACK)))
        .containsExactly(Way.Reason.BACK, Way.Reason.FRONT_DESK, Way.Reason.MESSAGE);
    assertThat(reasons(Ways.whenSentOn(office.settings(), SENDER, TARGET, Unanswered.MAILBOX)))
        .containsExactly(Way.Reason.MESSAGE, Way.Reason.BACK, Way.Reason.FRONT_DESK);
  }

  @Test
  void a_parked_call_comes_back_three_times_and_then_is_for_whom_it_waited() {
    List<Way> ways = Ways.whenParked(SENDER, TestOffice.TOMASZ);
    assertThat(reasons(ways)).filteredOn(Way.Reason.BACK::equals).hasSize(3);
    assertThat(reasons(ways)).filteredOn(Way.Reason.WAITS_ON::equals).hasSize(2);
    assertThat(ways.get(ways.size() - 1).step()).isEqualTo(new Way.ToMailbox(TARGET));
    List<Way> forNobody = Ways.whenParked(SENDER, null);
    assertThat(forNobody.get(forNobody.size() - 1).step())
        .isEqualTo(new Way.ToMailbox(new Party.Employee(SENDER)));
  }

  @Test
  void of_what_remains_the_rules_of_whom_it_was_for_before_count_no_more() {
    Way next = new Way(new Way.NextRing(TARGET, 1), Way.Reason.WELCOMED);
    Lead lead =
        new Lead(new Route.Refuse(Cause.BUSY, List.of()), List.of(), List.of(next), List.of());
    assertThat(Ways.after(lead, Ways.whenComingIn(office, TARGET, OUTSIDE)))
        .extracting(Way::reason)
        .containsExactly(Way.Reason.WELCOMED, Way.Reason.MESSAGE);
  }
}
