package oficina.server.handset;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
import oficina.server.json.CoreJson;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;

/** Desk telephones in the database. */
@Repository
class PhoneStore {
  private static final TypeReference<List<@Nullable String>> NUMBERS = new TypeReference<>() {};

  /** Windows in which one telephone may be opened without being set up anew. */
  private static final int SECRETS_KEPT = 20;

  private final JdbcClient jdbc;

  PhoneStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * That a telephone is somebody else's now.
   *
   * @param until null for when they leave
   * @param untilLeft whether it is given back when their last window is closed
   */
  record Loan(PersonId to, @Nullable Instant until, boolean untilLeft) {}

  /** What is lent, by the owner of the telephone. */
  Map<PersonId, Loan> loans() {
    Map<PersonId, Loan> loans = new HashMap<>();
    jdbc.sql(
            "select owner_id, lent_to, lent_until, until_left from phone where lent_to is not null")
        .query(
            row -> {
              LocalDateTime until = row.getObject("lent_until", LocalDateTime.class);
              loans.put(
                  new PersonId(row.getLong("owner_id")),
                  new Loan(
                      new PersonId(row.getLong("lent_to")),
                      until == null ? null : Times.instant(until),
                      row.getBoolean("until_left")));
            });
    return loans;
  }

  void lend(PersonId owner, Loan loan) {
    jdbc.sql("replace into phone (owner_id, lent_to, lent_until, until_left) values (?, ?, ?, ?)")
        .params(
            owner.value(),
            loan.to().value(),
            loan.until() == null ? null : Times.utc(loan.until()),
            loan.untilLeft())
        .update();
  }

  void giveBack(PersonId owner) {
    jdbc.sql("delete from phone where owner_id = ?").param(owner.value()).update();
  }

  void addSecret(PersonId owner, String hash, Instant at) {
    jdbc.sql("insert into phone_secret (hash, owner_id, made_at) values (?, ?, ?)")
        .params(hash, owner.value(), Times.utc(at))
        .update();
    jdbc.sql(
            """
            delete from phone_secret where owner_id = :owner and hash not in (select hash from (
              select hash from phone_secret where owner_id = :owner
              order by made_at desc, hash limit :kept) latest)
            """)
        .param("owner", owner.value())
        .param("kept", SECRETS_KEPT)
        .update();
  }

  /** The owner of the telephone with this secret. */
  Optional<PersonId> ownerOf(String hash) {
    return jdbc.sql("select owner_id from phone_secret where hash = ?")
        .param(hash)
        .query(Long.class)
        .optional()
        .map(PersonId::new);
  }

  /** What everybody who has decided so has on the keys with a lamp. */
  Map<PersonId, List<@Nullable String>> keys() {
    Map<PersonId, List<@Nullable String>> keys = new HashMap<>();
    jdbc.sql("select person_id, numbers from phone_keys")
        .query(
            row -> {
              keys.put(
                  new PersonId(row.getLong("person_id")),
                  CoreJson.JSON.readValue(row.getString("numbers"), NUMBERS));
            });
    return keys;
  }

  void keepKeys(PersonId person, List<@Nullable String> numbers) {
    jdbc.sql("replace into phone_keys (person_id, numbers) values (?, ?)")
        .params(person.value(), CoreJson.JSON.writeValueAsString(numbers))
        .update();
  }
}
