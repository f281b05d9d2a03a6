package oficina.server.followup;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import oficina.core.history.ToReturn;
import oficina.core.people.PersonId;
import oficina.server.followup.FollowUpStore.FollowUp;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is to be done, as the pages show it. */
@Component
class FollowUpViews {
  private final Parties parties;
  private final OfficeData office;
  private final MovableClock clock;

  FollowUpViews(Parties parties, OfficeData office, MovableClock clock) {
    this.parties = parties;
    this.office = office;
    this.clock = clock;
  }

  /**
   * Something to be done.
   *
   * @param who for whom; absent when it is for nobody who calls
   * @param dueNow whether its time has come
   * @param assigneeName who is to do it
   * @param by who wrote it down
   */
  record FollowUpView(
      long id,
      @Schema(nullable = true) @Nullable PartyView who,
      String what,
      Instant due,
      boolean dueNow,
      long assignee,
      String assigneeName,
      String by) {}

  FollowUpView view(FollowUp followUp, PersonId viewer) {
    return new FollowUpView(
        followUp.id(),
        followUp.other() == null ? null : parties.view(ToReturn.partyOf(followUp.other()), viewer),
        followUp.what(),
        followUp.due(),
        !followUp.due().isAfter(clock.instant()),
        followUp.assignee().value(),
        office.now().nameOf(followUp.assignee()),
        office.now().nameOf(followUp.madeBy()));
  }
}
