package oficina.server.history;

import java.time.Instant;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.history.Part;
import oficina.core.people.PersonId;
import oficina.server.database.Cursor;
import oficina.server.history.HistoryPageStore.Filter;
import org.springframework.stereotype.Component;

/** The calls that somebody has had last, for where there is room for a few. */
@Component
public class LastCalls {
  /** That somebody has spoken with a colleague or an outside number. */
  public record Conversation(Party with, Instant began) {}

  private final HistoryPageStore history;
  private final HistoryStore entries;

  LastCalls(HistoryPageStore history, HistoryStore entries) {
    this.history = history;
    this.entries = entries;
  }

  /** With whom somebody has spoken since then, and when, latest first. */
  public List<Conversation> spoken(PersonId person, Instant since, int most) {
    return entries.spoken(person, since, most);
  }

  /** All of them, latest first. */
  public List<Part> all(PersonId person, int most) {
    return calls(person, Filter.ALL, most);
  }

  public List<Part> missed(PersonId person, int most) {
    return calls(person, Filter.MISSED, most);
  }

  public List<Part> placed(PersonId person, int most) {
    return calls(person, Filter.PLACED, most);
  }

  private List<Part> calls(PersonId person, Filter filter, int most) {
    Wanted wanted = new Wanted(filter, List.of(), List.of(), Wanted.Narrowing.NONE);
    return history.page(person, wanted, Cursor.NEWEST, most).entries().stream()
        .map(HistoryStore.Stored::part)
        .toList();
  }
}
