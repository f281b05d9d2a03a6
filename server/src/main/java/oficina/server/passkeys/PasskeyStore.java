package oficina.server.passkeys;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Passkeys in the database. */
@Repository
class PasskeyStore {
  private final JdbcClient jdbc;

  PasskeyStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * What is known of a key.
   *
   * @param handle by which the person's devices know them
   * @param credential attested credential data (WebAuthn, 6.5.1), with the public key
   * @param signCount how often its device says it has signed; 0 for devices that do not count
   * @param transports how browsers reach its device, as they say it
   */
  record Passkey(
      PersonId person,
      byte[] handle,
      byte[] credentialId,
      byte[] credential,
      long signCount,
      Set<String> transports) {}

  /**
   * A key as its person sees it.
   *
   * @param used when it was last used; null when it never was
   */
  record Entry(long id, String name, Instant added, @Nullable Instant used) {}

  List<PersonId> people() {
    return jdbc.sql("select distinct person_id from passkey")
        .query((row, n) -> new PersonId(row.getLong("person_id")))
        .list();
  }

  Optional<Passkey> at(byte[] credentialId) {
    return jdbc.sql("select * from passkey where credential_id = ?")
        .param(credentialId)
        .query((row, n) -> passkey(row))
        .optional();
  }

  List<Passkey> of(PersonId person) {
    return jdbc.sql("select * from passkey where person_id = ?")
        .param(person.value())
        .query((row, n) -> passkey(row))
        .list();
  }

  private static Passkey passkey(ResultSet row) throws SQLException {
    String transports = row.getString("transports");
    return new Passkey(
        new PersonId(row.getLong("person_id")),
        row.getBytes("user_handle"),
        row.getBytes("credential_id"),
        row.getBytes("credential"),
        row.getLong("sign_count"),
        transports.isEmpty() ? Set.of() : Set.of(transports.split(" ")));
  }

  /** As their person sees them, in the order in which they came. */
  List<Entry> entries(PersonId person) {
    return jdbc.sql("select id, name, added, used from passkey where person_id = ? order by id")
        .param(person.value())
        .query(
            (row, n) -> {
              LocalDateTime used = row.getObject("used", LocalDateTime.class);
              return new Entry(
                  row.getLong("id"),
                  row.getString("name"),
                  Times.instant(row.getObject("added", LocalDateTime.class)),
                  used == null ? null : Times.instant(used));
            })
        .list();
  }

  /**
   * @return false when somebody has this key already
   */
  boolean add(Passkey passkey, String name, Instant now) {
    return jdbc.sql(
                """
                insert ignore into passkey (person_id, user_handle, credential_id, credential,
                  sign_count, transports, name, added) values (?, ?, ?, ?, ?, ?, ?, ?)
                """)
            .params(
                passkey.person().value(),
                passkey.handle(),
                passkey.credentialId(),
                passkey.credential(),
                passkey.signCount(),
                String.join(" ", passkey.transports()),
                name,
                now)
            .update()
        == 1;
  }

  /** A key was used, and its device has counted so far. */
  void used(byte[] credentialId, long signCount, Instant now) {
    jdbc.sql("update passkey set sign_count = ?, used = ? where credential_id = ?")
        .params(signCount, now, credentialId)
        .update();
  }

  /**
   * @return whether there was such a one of theirs
   */
  boolean remove(PersonId person, long id) {
    return jdbc.sql("delete from passkey where person_id = ? and id = ?")
            .params(person.value(), id)
            .update()
        == 1;
  }

  void removeAll(PersonId person) {
    jdbc.sql("delete from passkey where person_id = ?").param(person.value()).update();
  }
}
