package oficina.server.history;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import oficina.core.call.CallId;
import oficina.core.history.Part;
import oficina.core.history.Segment;
import oficina.core.history.ToReturn;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
import oficina.server.json.CoreJson;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;

/** History entries in the database. Every query is one person's own. */
@Repository
public class HistoryStore {
  /** More than so many colleagues seldom have had a part in one call. */
  private static final int PARTS_OF_A_CALL = 12;

  private final JdbcClient jdbc;

  HistoryStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * An entry with its place in the order.
   *
   * @param course of the whole call, as it is known by now
   */
  public record Stored(long id, Part part, List<Segment> course) {}

  private static final TypeReference<List<Segment>> COURSE = new TypeReference<>() {};

  private static final RowMapper<Stored> STORED =
      (row, n) ->
          new Stored(
              row.getLong("id"),
              CoreJson.PART.readValue(row.getString("body")),
              CoreJson.JSON.readValue(row.getString("course"), COURSE));

  private static final String SELECT =
      """
      select h.id, h.body, coalesce(c.body, '[]') as course
      from history h left join call_course c on c.call_id = h.call_id
      """;

  /** How many calls were kept from this person since then because they did not want them. */
  int keptSince(PersonId person, Instant since) {
    return jdbc.sql(
            """
            select count(*) from history
            where person_id = ? and began >= ?
              and result in ('MISSED_DO_NOT_DISTURB', 'MISSED_OFF_DUTY', 'FORWARDED')
            """)
        .params(person.value(), since)
        .query(Integer.class)
        .single();
  }

  /** With whom this person has spoken since then, latest first. */
  List<LastCalls.Conversation> spoken(PersonId person, Instant since, int most) {
    return jdbc.sql(
            """
            select other_key, began from history
            where person_id = ? and began >= ? and talked_ms > 0 and other_key <> ''
            order by began desc, id desc limit ?
            """)
        .params(person.value(), since, most)
        .query(
            (row, n) ->
                new LastCalls.Conversation(
                    ToReturn.partyOf(row.getString("other_key")),
                    Times.instant(row.getObject("began", LocalDateTime.class))))
        .list();
  }

  /** These entries, latest first, whosever they are: they have been found among somebody's own. */
  List<Stored> inOrder(List<Long> found) {
    return found.isEmpty()
        ? List.of()
        : jdbc.sql(SELECT + "where h.id in (:ids) order by h.began desc, h.id desc")
            .param("ids", found)
            .query(STORED)
            .list();
  }

  /** One of this person's entries; empty when it is not theirs. */
  Optional<Stored> entry(PersonId person, long id) {
    return jdbc.sql(SELECT + "where h.person_id = ? and h.id = ? and h.removed_at is null")
        .params(person.value(), id)
        .query(STORED)
        .optional();
  }

  /** This person's part in a call, even if they have removed it. */
  public Optional<Part> part(PersonId person, CallId call) {
    return jdbc.sql(SELECT + "where h.person_id = ? and h.call_id = ?")
        .params(person.value(), call.value())
        .query(STORED)
        .optional()
        .map(Stored::part);
  }

  /**
   * The last calls anybody had with these, each call once, as whoever spoke longest had it.
   *
   * @param others as {@link ToReturn#key} has them
   * @param wanted whose parts may be known
   */
  public List<Stored> withAnybody(Collection<String> others, int limit, Predicate<Part> wanted) {
    if (others.isEmpty()) {
      return List.of();
    }
    Map<CallId, Stored> calls = new LinkedHashMap<>();
    jdbc
        .sql(
            SELECT + "where h.other_key in (:others) order by h.began desc, h.id desc limit :limit")
        .param("others", others)
        .param("limit", limit * PARTS_OF_A_CALL)
        .query(STORED)
        .list()
        .stream()
        .filter(stored -> wanted.test(stored.part()))
        .forEach(stored -> calls.merge(stored.part().call(), stored, HistoryStore::longer));
    return calls.values().stream().limit(limit).toList();
  }

  private static Stored longer(Stored a, Stored b) {
    return b.part().talked().compareTo(a.part().talked()) > 0 ? b : a;
  }

  /** These of this person's entries, latest first. */
  List<Stored> entries(PersonId person, Collection<Long> ids) {
    return jdbc.sql(
            SELECT
                + "where h.person_id = :person and h.id in (:ids) and h.removed_at is null"
                + " order by h.began desc, h.id desc")
        .param("person", person.value())
        .param("ids", ids)
        .query(STORED)
        .list();
  }

  /**
   * Removes entries of this person's, for them alone, or brings them back. What was removed long
   * ago is forgotten on that occasion.
   *
   * @param at null to bring them back
   * @param before what was removed before is forgotten
   */
  void remove(PersonId person, Collection<Long> ids, @Nullable Instant at, Instant before) {
    jdbc.sql("delete from history where person_id = ? and removed_at < ? limit 10000")
        .params(person.value(), Times.utc(before))
        .update();
    jdbc.sql("update history set removed_at = :at where person_id = :person and id in (:ids)")
        .param("at", at == null ? null : Times.utc(at))
        .param("person", person.value())
        .param("ids", ids)
        .update();
  }
}
