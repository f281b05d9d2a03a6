package oficina.server.passwordlinks;

import java.time.Instant;
import java.util.Optional;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Links with which people choose a new password; of each only a hash is kept. */
@Repository
class LinkStore {
  private final JdbcClient jdbc;

  LinkStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** A link for somebody, in the place of one made before. */
  @Transactional
  public void put(String hash, PersonId person, Instant until) {
    forget(person);
    jdbc.sql("insert into password_link (hash, person_id, until_at) values (?, ?, ?)")
        .params(hash, person.value(), Times.utc(until))
        .update();
  }

  private void forget(PersonId person) {
    jdbc.sql("delete from password_link where person_id = ?").param(person.value()).update();
  }

  /** Whose it is, as long as it holds. */
  Optional<PersonId> whose(String hash, Instant now) {
    return jdbc.sql("select person_id from password_link where hash = ? and until_at > ?")
        .params(hash, Times.utc(now))
        .query((row, n) -> new PersonId(row.getLong("person_id")))
        .optional();
  }

  /** It is used up; false when somebody else was first. */
  boolean take(String hash) {
    return jdbc.sql("delete from password_link where hash = ?").param(hash).update() > 0;
  }
}
