package oficina.server.secondfactor;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
import oficina.server.secrets.Sealer;
import oficina.server.secrets.SecretLostException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Second factors in the database. */
@Repository
class SecondFactorStore {
  private static final Logger LOG = LoggerFactory.getLogger(SecondFactorStore.class);

  private final JdbcClient jdbc;
  private final Sealer sealer;

  SecondFactorStore(JdbcClient jdbc, Sealer sealer) {
    this.jdbc = jdbc;
    this.sealer = sealer;
  }

  /**
   * Somebody's.
   *
   * @param secret empty when it cannot be read any more: no code is right then, those on paper are
   * @param lastStep of the code that was taken last
   * @param recoveryCodes how many are left
   */
  record Factor(byte[] secret, Instant since, long lastStep, int recoveryCodes) {}

  private static String place(PersonId person) {
    return "second-factor " + person;
  }

  private byte[] opened(byte[] sealed, PersonId person) {
    try {
      return sealer.open(sealed, place(person));
    } catch (SecretLostException e) {
      LOG.error("Whose codes these are cannot be told any more", e);
      return new byte[0];
    }
  }

  /** Seals those that were written before secrets were. */
  @Transactional
  public void sealAll() {
    jdbc
        .sql("select person_id, secret from second_factor")
        .query(
            (row, n) -> Map.entry(new PersonId(row.getLong("person_id")), row.getBytes("secret")))
        .list()
        .stream()
        .filter(each -> sealer.isToSeal(each.getValue()))
        .forEach(
            each ->
                jdbc.sql("update second_factor set secret = ? where person_id = ?")
                    .params(
                        sealer.seal(each.getValue(), place(each.getKey())), each.getKey().value())
                    .update());
  }

  List<PersonId> people() {
    return jdbc.sql("select person_id from second_factor")
        .query((row, n) -> new PersonId(row.getLong("person_id")))
        .list();
  }

  Optional<Factor> of(PersonId person) {
    return jdbc.sql(
            """
            select f.*, (select count(*) from recovery_code c where c.person_id = f.person_id) codes
            from second_factor f where f.person_id = ?
            """)
        .param(person.value())
        .query(
            (row, n) ->
                new Factor(
                    opened(row.getBytes("secret"), person),
                    Times.instant(row.getObject("since", LocalDateTime.class)),
                    row.getLong("last_step"),
                    row.getInt("codes")))
        .optional();
  }

  /** In the place of one that there may have been. */
  @Transactional
  void put(PersonId person, byte[] secret, Instant since, long step, List<String> recovery) {
    remove(person);
    jdbc.sql("insert into second_factor (person_id, secret, since, last_step) values (?, ?, ?, ?)")
        .params(person.value(), sealer.seal(secret, place(person)), Times.utc(since), step)
        .update();
    for (String hash : recovery) {
      jdbc.sql("insert into recovery_code (person_id, hash) values (?, ?)")
          .params(person.value(), hash)
          .update();
    }
  }

  /** Of two who show the same code at once one is taken. */
  boolean take(PersonId person, long step) {
    return jdbc.sql("update second_factor set last_step = ? where person_id = ? and last_step < ?")
            .params(step, person.value(), step)
            .update()
        > 0;
  }

  boolean takeRecovery(PersonId person, String hash) {
    return jdbc.sql("delete from recovery_code where person_id = ? and hash = ?")
            .params(person.value(), hash)
            .update()
        > 0;
  }

  @Transactional
  public void remove(PersonId person) {
    jdbc.sql("delete from recovery_code where person_id = ?").param(person.value()).update();
    jdbc.sql("delete from second_factor where person_id = ?").param(person.value()).update();
  }
}
