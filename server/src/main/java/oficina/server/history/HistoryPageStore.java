package oficina.server.history;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import oficina.core.people.PersonId;
import oficina.server.database.Cursor;
import oficina.server.database.Times;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * Pages of somebody's history, narrowed down or found by words. Every query is one person's own.
 */
@Repository
class HistoryPageStore {
  /** Of so many search rows at most each is asked for its own latest entries. */
  private static final int MOST_SLICES = 100;

  /** Entries looked at for one page: few at first, and more when those do not fill it. */
  private static final int[] LOOKED_THROUGH = {250, 1_000};

  private final JdbcClient jdbc;
  private final HistorySearchStore search;
  private final HistoryStore history;

  HistoryPageStore(JdbcClient jdbc, HistorySearchStore search, HistoryStore history) {
    this.jdbc = jdbc;
    this.search = search;
    this.history = history;
  }

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

  /** That the person has written something like this about the call. */
  private static String written(String what) {
    return "call_id in (select n.call_id from call_note n where n.person_id = :person and "
        + what
        + ")";
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
  record Page(List<HistoryStore.Stored> entries, @Nullable Cursor next) {}

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
      return index.isEmpty() || narrowing.leavesLittle() ? "" : "force index (" + index + ")";
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

  /** As SQL that an index answers, with its parameters. */
  private static String narrowed(Wanted.Narrowing narrowing, Map<String, Object> parameters) {
    List<String> sql = new ArrayList<>(List.of("true"));
    if (narrowing.others() != null) {
      sql.add("other_key in (:others)");
      parameters.put("others", narrowing.others().isEmpty() ? List.of("") : narrowing.others());
    }
    if (!narrowing.line().isEmpty()) {
      sql.add("line_key = :line");
      parameters.put("line", narrowing.line());
    }
    if (!narrowing.outcome().isEmpty()) {
      sql.add(written("n.outcome = :outcome"));
      parameters.put("outcome", narrowing.outcome());
    }
    if (narrowing.since() != null) {
      sql.add("began >= :since");
      parameters.put("since", Times.utc(narrowing.since()));
    }
    if (narrowing.until() != null) {
      sql.add("began < :until");
      parameters.put("until", Times.utc(narrowing.until()));
    }
    return String.join(" and ", sql);
  }

  /** The latest of several parts of a person's history, each of which an index has in order. */
  private List<Found> latest(
      PersonId person, Wanted wanted, List<Slice> slices, Cursor before, int limit) {
    if (slices.isEmpty()) {
      return List.of();
    }
    Map<String, Object> parameters = new HashMap<>();
    String narrowed = narrowed(wanted.narrowing(), parameters);
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
                        .formatted(slice.hint(wanted.narrowing()), slice.sql(), narrowed))
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
        .params(parameters)
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

  private List<HistoryStore.Stored> stored(List<Found> found) {
    return history.inOrder(found.stream().map(each -> each.place().id()).toList());
  }
}
