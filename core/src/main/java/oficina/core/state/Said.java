package oficina.core.state;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import org.jspecify.annotations.Nullable;

/** What people say of themselves. Part of {@link ExchangeState}; a draft is laid over it. */
final class Said {
  private final @Nullable Said beneath;
  private final Map<PersonId, Status> statuses = new HashMap<>();

  /** When statuses undo themselves. */
  private final Agenda<PersonId> undone = new Agenda<>();

  Said(@Nullable Said beneath) {
    this.beneath = beneath;
  }

  /** What this person says; null when nothing. */
  @Nullable Status by(PersonId person) {
    boolean own = beneath == null || statuses.containsKey(person);
    return own ? statuses.get(person) : beneath.by(person);
  }

  /** Whose status undoes itself by then. Not for drafts. */
  List<PersonId> overBy(Instant now) {
    return undone.by(now);
  }

  @Nullable Instant nextDue() {
    return undone.next();
  }

  void says(PersonId person, @Nullable Status now) {
    Status before = by(person);
    if (beneath != null) {
      statuses.put(person, now);
      return;
    }
    undone.change(person, before == null ? null : before.until(), now == null ? null : now.until());
    if (now == null) {
      statuses.remove(person);
    } else {
      statuses.put(person, now);
    }
  }

  @Override
  public String toString() {
    return new TreeMap<>(statuses).toString();
  }
}
