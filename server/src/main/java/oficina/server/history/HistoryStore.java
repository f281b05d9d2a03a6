package oficina.server.history;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import oficina.core.call.CallId;
import oficina.core.history.CallRecords;
import oficina.core.history.Part;
import oficina.core.history.Segment;
import oficina.core.history.ToReturn;
import oficina.core.people.PersonId;
import oficina.server.database.Cursor;
import oficina.server.database.JournalDatabase;
import oficina.server.database.Times;
import oficina.server.json.CoreJson;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;

/** History entries in the database. Every query is one person's own. */
@Repository
public class HistoryStore {
  private static final int AT_ONCE = 100;

  /** More than so many colleagues seldom have had a part in one call. */
  private static final int PARTS_OF_A_CALL = 12;

  /** Of so many search rows at most each is asked for its own latest entries. */
  private static final int MOST_SLICES = 100;

  /** Entries looked at for one page: few at first, and more when those do not fill it. */
  private static final int[] LOOKED_THROUGH = {250, 1_000};

  private final JdbcTemplate batch;
  private final JdbcClient jdbc;
  private final HistorySearchStore search;
  private final ToReturnStore toReturn;

  HistoryStore(
      JournalDatabase journal, JdbcClient jdbc, HistorySearchStore search, ToReturnStore toReturn) {
    this.batch = journal.jdbc();
    this.jdbc = jdbc;
    this.search = search;
    this.toReturn = toReturn;
  }

  /**
   * An entry with its place in the order.
   *
   * @param course of the whole call, as it is known by now
   */
  public record Stored(long id, Part part, List<Segment> course) {}

  /** Which entries are wanted. */
  enum Filter {
    ALL(Set.of(Kind.values())),
    MISSED(Set.of(Kind.MISSED)),
    RECEIVED(Set.of(Kind.RECEIVED, Kind.MISSED)),
    PLACED(Set.of(Kind.PLACED)),
    RECORDED(Set.of(Kind.values()), new Slice("recorded = true", "history_recorded")),
    WITH_MESSAGE(Set.of(Kind.values()), new Slice("with_message = true", "history_with_message")),
    NOTED(Set.of(Kind.values()), new Slice(written("(n.title <> '' or n.text <> '')"), ""));

    private final Set<Kind> kinds;

    /** What else an entry must have; an index has these in order. */
    private final @Nullable Slice only;

    Filter(Set<Kind> kinds) {
      this(kinds, null);
    }

    Filter(Set<Kind> kinds, @Nullable Slice only) {
      this.kinds = kinds;
      this.only = only;
    }
  }

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

  /** That the person has written something like this about the call. */
  static String written(String what) {
    return "call_id in (select n.call_id from call_note n where n.person_id = :person and "
        + what
        + ")";
  }

  /** Writes entries, each in the place of an earlier one of the same call and person. */
  public void write(List<CallRecords.Entries> derived) {
    if (derived.isEmpty()) {
      return;
    }
    // In a map: of several in one go the last holds.
    Map<String, CallRecords.Entries> courses = new LinkedHashMap<>();
    Map<String, Part> parts = new LinkedHashMap<>();
    for (CallRecords.Entries entries : derived) {
      courses.put(entries.call().value(), entries);
      entries.parts().forEach(part -> parts.put(part.call() + "/" + part.person(), part));
    }
    List<CallRecords.Entries> calls = List.copyOf(courses.values());
    for (int from = 0; from < calls.size(); from += AT_ONCE) {
      writeCourses(calls.subList(from, Math.min(calls.size(), from + AT_ONCE)));
    }
    List<Part> all = List.copyOf(parts.values());
    Map<Part, HistorySearchStore.Sought> sought = new LinkedHashMap<>();
    all.forEach(part -> sought.put(part, search.of(part)));
    for (int from = 0; from < all.size(); from += AT_ONCE) {
      writeAtOnce(all.subList(from, Math.min(all.size(), from + AT_ONCE)), sought);
    }
    Map<HistorySearchStore.Sought, Instant> last = new LinkedHashMap<>();
    sought.forEach((part, by) -> last.merge(by, part.began(), (a, b) -> a.isAfter(b) ? a : b));
    search.write(last);
    toReturn.follow(all);
  }

  private void writeCourses(List<CallRecords.Entries> calls) {
    List<Object> values = new ArrayList<>();
    for (CallRecords.Entries each : calls) {
      values.add(each.call().value());
      values.add(CoreJson.JSON.writeValueAsString(each.course()));
    }
    batch.update(
        "insert into call_course (call_id, body) values "
            + String.join(", ", Collections.nCopies(calls.size(), "(?, ?)"))
            + " on duplicate key update body = values(body)",
        values.toArray());
  }

  /**
   * One statement for all of them: the database takes them several times faster than one by one.
   */
  private void writeAtOnce(List<Part> entries, Map<Part, HistorySearchStore.Sought> sought) {
    String row = "(?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)";
    List<@Nullable Object> values = new ArrayList<>();
    entries.forEach(part -> values.addAll(values(part, sought.get(part))));
    batch.update(
        """
        insert into history (person_id, call_id, direction, result, began, ended, rang_ms,
          talked_ms, held_ms, body, kind, search_id, recorded, with_message, other_key, line_key)
        values\s"""
            + String.join(", ", Collections.nCopies(entries.size(), row))
            + """

        on duplicate key update result = values(result), ended = values(ended),
          rang_ms = values(rang_ms), talked_ms = values(talked_ms), held_ms = values(held_ms),
          body = values(body), kind = values(kind), search_id = values(search_id),
          recorded = values(recorded), with_message = values(with_message),
          other_key = values(other_key), line_key = values(line_key)
        """,
        values.toArray());
  }

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

  private static List<@Nullable Object> values(Part part, HistorySearchStore.Sought sought) {
    return Arrays.asList(
        part.person().value(),
        part.call().value(),
        part.direction().name(),
        part.result().name(),
        part.began(),
        part.ended(),
        part.rang().toMillis(),
        part.talked().toMillis(),
        part.held().toMillis(),
        CoreJson.JSON.writeValueAsString(part),
        sought.kind().name(),
        sought.id(),
        part.recorded(),
        part.message() == Part.Message.LEFT,
        ToReturn.key(part.other()),
        part.line() == null || part.line().group() == null ? null : ToReturn.listOf(part.line()));
  }

  /**
   * @param words by which it is found
   * @param other with whom the call was
   */
  private record Found(Cursor place, Set<String> words, @Nullable String other) {}

  /**
   * A page of entries.
   *
   * @param next before which to go on looking; null when there are no more
   */
  record Page(List<Stored> entries, @Nullable Cursor next) {}

  /**
   * A page of a person's entries, latest first. With words that find very much, it looks only so
   * far back and may bring few or none, and still there are older ones.
   *
   * @param before only entries older than this
   */
  Page page(PersonId person, Wanted wanted, Cursor before, int limit) {
    Filter filter = wanted.filter();
    if (wanted.words().isEmpty()) {
      return page(latest(person, wanted, slices(filter), before, limit + 1), limit);
    }
    Map<Long, Instant> found = search.find(person, filter.kinds, wanted.words());
    if (found == null) {
      return lookThrough(person, wanted, before, limit);
    }
    if (found.size() <= MOST_SLICES) {
      List<Slice> slices = new ArrayList<>();
      String only = filter.only == null ? "" : " and " + filter.only.sql();
      found
          .keySet()
          .forEach(id -> slices.add(new Slice("search_id = " + id + only, "history_by_search")));
      if (!wanted.named().isEmpty()) {
        slices(filter)
            .forEach(
                slice -> slices.add(new Slice("other_key in (:named) and " + slice.sql(), "")));
      }
      return page(latest(person, wanted, slices, before, limit + 1), limit);
    }
    // Whatever is found is no younger than the last of it all.
    Instant last = Collections.max(found.values());
    Cursor from =
        last.isBefore(before.began()) ? new Cursor(last.plusNanos(1_000), Long.MAX_VALUE) : before;
    return lookThrough(person, wanted, wanted.named().isEmpty() ? from : before, limit);
  }

  private Page page(List<Found> found, int limit) {
    boolean more = found.size() > limit;
    List<Found> shown = more ? found.subList(0, limit) : found;
    return new Page(stored(shown), more ? shown.get(limit - 1).place() : null);
  }

  /**
   * A part of a person's history.
   *
   * @param index that has it in order; empty to let the database choose. Told nothing, it reads an
   *     index from where the person begins, and not from the place that is asked for.
   */
  private record Slice(String sql, String index) {
    String hint(Wanted.Narrowing narrowing) {
      return index.isEmpty() || narrowing.hasOwnIndex() ? "" : "force index (" + index + ")";
    }
  }

  private static List<Slice> slices(Filter filter) {
    if (filter.only != null) {
      return List.of(filter.only);
    }
    return filter == Filter.ALL
        ? List.of(new Slice("true", "history_by_day"))
        : filter.kinds.stream()
            .map(kind -> new Slice("kind = '" + kind + "'", "history_by_kind"))
            .toList();
  }

  /** The latest of several parts of a person's history, each of which an index has in order. */
  private List<Found> latest(
      PersonId person, Wanted wanted, List<Slice> slices, Cursor before, int limit) {
    if (slices.isEmpty()) {
      return List.of();
    }
    String sql =
        slices.stream()
            .map(
                slice ->
                    """
                    (select id, began, search_id, other_key from history %s
                    where person_id = :person and %s and %s and removed_at is null
                    and began <= :began and (began < :began or id < :id)
                    order by began desc, id desc limit :limit)
                    """
                        .formatted(
                            slice.hint(wanted.narrowing()), slice.sql(), wanted.narrowing().sql()))
            .collect(Collectors.joining(" union "));
    return jdbc.sql(
            """
            select f.id, f.began, f.other_key, s.words from (%s order by began desc, id desc limit :limit) f
            join history_search s on s.id = f.search_id order by f.began desc, f.id desc
            """
                .formatted(sql))
        .param("person", person.value())
        .param("began", Times.utc(before.began()))
        .param("id", before.id())
        .param("limit", limit)
        .params(wanted.narrowing().parameters())
        .params(wanted.named().isEmpty() ? Map.of() : Map.of("named", wanted.named()))
        .query(
            (row, n) ->
                new Found(
                    new Cursor(
                        Times.instant(row.getObject("began", LocalDateTime.class)),
                        row.getLong("id")),
                    HistorySearchStore.words(row.getString("words")),
                    row.getString("other_key")))
        .list();
  }

  /** Looks at one entry after the other, so far back and no further. */
  private Page lookThrough(PersonId person, Wanted wanted, Cursor before, int limit) {
    List<Found> found = new ArrayList<>();
    Cursor from = before;
    for (int most : LOOKED_THROUGH) {
      List<Found> recent = latest(person, wanted, slices(wanted.filter()), from, most);
      recent.stream().filter(each -> wanted.finds(each.words(), each.other())).forEach(found::add);
      if (found.size() > limit || recent.size() < most) {
        return page(found, limit);
      }
      from = recent.get(most - 1).place();
    }
    return new Page(stored(found), from);
  }

  private List<Stored> stored(List<Found> found) {
    return found.isEmpty()
        ? List.of()
        : jdbc.sql(SELECT + "where h.id in (:ids) order by h.began desc, h.id desc")
            .param("ids", found.stream().map(each -> each.place().id()).toList())
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
