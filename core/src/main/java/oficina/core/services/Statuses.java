package oficina.core.services;

import java.time.Duration;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.events.StatusEvent;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import org.jspecify.annotations.Nullable;

/** What people say of themselves, and when that undoes itself. */
public final class Statuses {
  /** Nobody plans further ahead, and a timer has to be able to wait so long. */
  private static final Duration LONGEST = Duration.ofDays(366);

  private final Draft draft;

  /** For one decision. */
  public Statuses(Consequences then) {
    draft = then.draft();
  }

  /** Says something of oneself, until a time or until it is taken back. */
  public @Nullable Refusal set(OfficeCommand.SetStatus c) {
    if (draft.office.directory().person(c.person()).isEmpty()) {
      return Refusal.of(Reason.UNKNOWN_PERSON);
    }
    if (c.until() != null && !c.until().isAfter(draft.now)) {
      return Refusal.of(Reason.TIME_IS_PAST);
    }
    if (c.until() != null && c.until().isAfter(draft.now.plus(LONGEST))) {
      return Refusal.of(Reason.TIME_TOO_FAR);
    }
    if (c.kind() == Status.Kind.FREE && c.text().isEmpty()) {
      over(c.person());
    } else {
      draft.emit(new StatusEvent.StatusSet(c.person(), draft.now, c.kind(), c.text(), c.until()));
    }
    return null;
  }

  /** From now on nothing is said. */
  public void over(PersonId person) {
    if (draft.state.status(person) != null) {
      draft.emit(new StatusEvent.StatusOver(person, draft.now));
    }
  }
}
