package oficina.server.provider;

import java.util.List;
import oficina.core.people.PersonId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Who is called how at the identity provider. */
@Repository
class ProviderStore {
  private final JdbcClient jdbc;

  ProviderStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * @param subject by which the provider knows them for good
   */
  void isCalled(String subject, PersonId person) {
    jdbc.sql(
            """
            insert into provider_subject (subject, person_id) values (?, ?)
            on duplicate key update person_id = values(person_id)
            """)
        .params(subject, person.value())
        .update();
  }

  List<PersonId> called(String subject) {
    return jdbc.sql("select person_id from provider_subject where subject = ?")
        .param(subject)
        .query((row, n) -> new PersonId(row.getLong("person_id")))
        .list();
  }

  /** Another provider calls people otherwise. */
  void forgetAll() {
    jdbc.sql("delete from provider_subject").update();
  }
}
