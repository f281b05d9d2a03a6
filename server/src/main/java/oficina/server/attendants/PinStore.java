package oficina.server.attendants;

import java.util.Optional;
import oficina.core.people.PersonId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The secret numbers by which people listen to their messages at a telephone, hashed. */
@Repository
class PinStore {
  private final JdbcClient jdbc;

  PinStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  Optional<String> hash(PersonId person) {
    return jdbc.sql("select pin_hash from person where id = ? and pin_hash is not null")
        .param(person.value())
        .query(String.class)
        .optional();
  }

  void keep(PersonId person, String hash) {
    jdbc.sql("update person set pin_hash = ? where id = ?").params(hash, person.value()).update();
  }

  void forget(PersonId person) {
    jdbc.sql("update person set pin_hash = null where id = ?").param(person.value()).update();
  }
}
