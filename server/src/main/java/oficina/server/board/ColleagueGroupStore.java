package oficina.server.board;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import oficina.core.people.PersonId;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The groups into which people have put colleagues, each person for themselves. */
@Repository
class ColleagueGroupStore {
  private final JdbcClient jdbc;

  ColleagueGroupStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** The person's groups by name, the favourites first. */
  List<ColleagueGroup> of(PersonId person) {
    Map<String, List<Long>> groups = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
    jdbc.sql("select name, colleague_id from colleague_group where person_id = ?")
        .param(person.value())
        .query(
            (RowCallbackHandler)
                row ->
                    groups
                        .computeIfAbsent(row.getString("name"), name -> new ArrayList<>())
                        .add(row.getLong("colleague_id")));
    return groups.entrySet().stream()
        .map(each -> new ColleagueGroup(each.getKey(), each.getValue()))
        .toList();
  }
}
