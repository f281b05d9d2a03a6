package oficina.server.followup;

import java.util.List;
import oficina.core.people.PersonId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What people write again and again. */
@Repository
class PhraseStore {
  private final JdbcClient jdbc;

  PhraseStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  List<String> of(PersonId person) {
    return jdbc.sql("select text from stock_phrase where person_id = ? order by position")
        .param(person.value())
        .query(String.class)
        .list();
  }

  @Transactional
  void keep(PersonId person, List<String> phrases) {
    jdbc.sql("delete from stock_phrase where person_id = ?").param(person.value()).update();
    for (int i = 0; i < phrases.size(); i++) {
      jdbc.sql("insert into stock_phrase (person_id, position, text) values (?, ?, ?)")
          .params(person.value(), i, phrases.get(i))
          .update();
    }
  }
}
