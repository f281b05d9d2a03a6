package oficina.server.push;

import java.util.HashMap;
import java.util.Map;
import oficina.core.call.Party;
import oficina.core.history.Part;
import oficina.server.people.Parties;
import org.springframework.stereotype.Component;

/** What people are told once, ready for their pages. */
@Component
class NoticeViews {
  private final Parties parties;

  NoticeViews(Parties parties) {
    this.parties = parties;
  }

  /** The notice as a page shows it. */
  Notice of(oficina.core.notices.Notice notice) {
    Map<String, String> about = new HashMap<>();
    about.put("name", parties.name(notice.about()));
    if (notice.by() != null) {
      about.put("person", parties.name(new Party.Employee(notice.by())));
    }
    if (notice.slot() != null) {
      about.put("slot", notice.slot());
    }
    if (notice.waited() != null) {
      about.put("waited", Long.toString(notice.waited().toMillis()));
    }
    return new Notice(notice.what().name(), about);
  }

  /**
   * What to say when a call ended without somebody; null when there is nothing to say, or it has
   * been said when the part ended.
   */
  Notice of(Part part) {
    if (part.callOver()) {
      return null;
    }
    return switch (part.result()) {
      case MISSED, MISSED_BUSY, MISSED_LINES_BUSY -> notice("missed", part, "");
      case ANSWERED_ELSEWHERE ->
          notice(
              "answeredByOther",
              part,
              part.answeredBy() == null ? "" : parties.name(new Party.Employee(part.answeredBy())));
      default -> null;
    };
  }

  private Notice notice(String what, Part part, String person) {
    String name = parties.name(part.other());
    return new Notice(
        name.isEmpty() ? what + "Withheld" : what, Map.of("name", name, "person", person));
  }
}
