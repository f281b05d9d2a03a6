package oficina.server.passwords;

import java.time.Instant;
import java.util.List;
import java.util.function.BiConsumer;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** In which browsers people have signed in, and where wrong passwords were tried. */
@Repository
public class BrowserStore {
  private final JdbcClient jdbc;

  BrowserStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * Wrong passwords tried for somebody.
   *
   * @param place network address of the last
   */
  public record Failed(int times, Instant last, String place) {}

  void known(BiConsumer<String, PersonId> each) {
    jdbc.sql("select token_hash, person_id from known_browser")
        .query(
            row -> {
              each.accept(row.getString("token_hash"), new PersonId(row.getLong("person_id")));
            });
  }

  /** Forgets those in which this person signed in longest ago, and returns them. */
  @Transactional
  public List<String> forgetOldest(PersonId person, int most) {
    List<String> oldest =
        jdbc.sql(
                """
                select token_hash from known_browser where person_id = ?
                order by since desc limit 1000000 offset ?
                """)
            .params(person.value(), most)
            .query(String.class)
            .list();
    oldest.forEach(
        each ->
            jdbc.sql("delete from known_browser where person_id = ? and token_hash = ?")
                .params(person.value(), each)
                .update());
    return oldest;
  }

  void failed(PersonId person, String place, String browserHash, Instant at) {
    jdbc.sql(
            """
            insert into failed_sign_in (person_id, place, browser_hash, times, last)
            values (?, ?, ?, 1, ?) on duplicate key update times = times + 1, last = values(last)
            """)
        .params(person.value(), place, browserHash, at)
        .update();
  }

  /**
   * Somebody has signed in.
   *
   * @return what was tried since the last time in other browsers than this one; null when nothing
   */
  @Transactional
  public @Nullable Failed signedIn(PersonId person, String browserHash, Instant at) {
    jdbc.sql("insert ignore into known_browser (person_id, token_hash, since) values (?, ?, ?)")
        .params(person.value(), browserHash, at)
        .update();
    Failed failed =
        jdbc.sql(
                """
                select sum(times) over () as times, last, place from failed_sign_in
                where person_id = ? and browser_hash <> ? order by last desc limit 1
                """)
            .params(person.value(), browserHash)
            .query(
                (row, n) ->
                    new Failed(
                        row.getInt("times"),
                        row.getObject("last", Instant.class),
                        row.getString("place")))
            .optional()
            .orElse(null);
    jdbc.sql("delete from failed_sign_in where person_id = ?").param(person.value()).update();
    return failed;
  }
}
