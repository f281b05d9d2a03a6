package oficina.server.push;

import java.util.Map;
import oficina.core.call.Party;
import oficina.core.history.Part;
import oficina.server.people.Parties;
import org.springframework.stereotype.Component;

/** Chooses what a person is told when a call ended without them. */
@Component
class MissedNotices {
  private final Parties parties;

  MissedNotices(Parties parties) {
    this.parties = parties;
  }

  /** The notice, or null when there is nothing to say, or it has been said when the part ended. */
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
