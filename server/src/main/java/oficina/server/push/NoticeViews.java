package oficina.server.push;

import java.util.HashMap;
import java.util.Map;
import oficina.core.notices.Notice;
import oficina.server.people.Parties;
import org.springframework.stereotype.Component;

/** What people are told once, ready for their pages. */
@Component
class NoticeViews {
  private final Parties parties;

  NoticeViews(Parties parties) {
    this.parties = parties;
  }

  NoticeView of(Notice notice) {
    Map<String, String> about = new HashMap<>();
    about.put("name", parties.name(notice.about(), notice.to()));
    if (notice.by() != null) {
      about.put("person", parties.name(notice.by(), notice.to()));
    }
    if (notice.slot() != null) {
      about.put("slot", notice.slot());
    }
    if (notice.waited() != null) {
      about.put("waited", Long.toString(notice.waited().toMillis()));
    }
    String call = notice.call() == null ? null : notice.call().value();
    return new NoticeView(notice.what().name(), about, call);
  }
}
