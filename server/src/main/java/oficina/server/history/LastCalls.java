package oficina.server.history;

import java.util.List;
import oficina.core.history.Part;
import oficina.core.people.PersonId;
import oficina.server.database.Cursor;
import oficina.server.history.HistoryPageStore.Filter;
import org.springframework.stereotype.Component;

/** The calls that somebody has had last, for where there is room for a few. */
@Component
public class LastCalls {
  private final HistoryPageStore history;

  LastCalls(HistoryPageStore history) {
    this.history = history;
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
