package oficina.server.history;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.StringJoiner;
import oficina.core.call.Party;
import oficina.core.history.CallRecords;
import oficina.core.history.Part;
import oficina.core.history.Segment;
import oficina.core.history.ToReturn;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.server.database.JournalDatabase;
import oficina.server.json.CoreJson;
import oficina.server.people.Parties;
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

  private final JdbcTemplate batch;
  private final JdbcClient jdbc;
  private final Parties parties;
  private final ToReturnStore toReturn;

  HistoryStore(JournalDatabase journal, JdbcClient jdbc, Parties parties, ToReturnStore toReturn) {
    this.batch = journal.jdbc();
    this.jdbc = jdbc;
    this.parties = parties;
    this.toReturn = toReturn;
  }

  /**
   * An entry with its place in the order.
   *
   * @param course of the whole call, as it is known by now
   */
  record Stored(long id, Part part, List<Segment> course) {}

  /** Which entries are wanted. */
  enum Filter {
    ALL("true"),
    MISSED("missed"),
    RECEIVED("direction = 'RECEIVED'"),
    PLACED("direction = 'PLACED'");

    private final String condition;

    Filter(String condition) {
      this.condition = condition;
    }
  }

  private static final TypeReference<List<Segment>> COURSE = new TypeReference<>() {};

  private static final RowMapper<Stored> STORED =
      (row, n) ->
          new Stored(
              row.getLong("id"),
              CoreJson.JSON.readValue(row.getString("body"), Part.class),
              CoreJson.JSON.readValue(row.getString("course"), COURSE));

  private static final String SELECT =
      """
      select h.id, h.body, coalesce(c.body, '[]') as course
      from history h left join call_course c on c.call_id = h.call_id
      """;

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
    for (int from = 0; from < all.size(); from += AT_ONCE) {
      writeAtOnce(all.subList(from, Math.min(all.size(), from + AT_ONCE)));
    }
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
  private void writeAtOnce(List<Part> entries) {
    String row = "(?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)";
    List<Object> values = new ArrayList<>();
    entries.forEach(part -> values.addAll(values(part)));
    batch.update(
        """
        insert into history (person_id, call_id, direction, result, began, ended, rang_ms,
          talked_ms, held_ms, body, search, other_key, line_group, spoke, missed)
        values\s"""
            + String.join(", ", Collections.nCopies(entries.size(), row))
            + """

        on duplicate key update result = values(result), ended = values(ended),
          rang_ms = values(rang_ms), talked_ms = values(talked_ms), held_ms = values(held_ms),
          body = values(body), search = values(search), other_key = values(other_key),
          spoke = values(spoke), missed = values(missed)
        """,
        values.toArray());
  }

  private List<Object> values(Part part) {
    return List.of(
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
        search(part),
        Objects.requireNonNullElse(ToReturn.key(part.other()), ""),
        lineGroup(part),
        part.result() == Part.Result.ANSWERED,
        part.result().missed());
  }

  /** The group on whose line it came in; 0 when on none. */
  private static long lineGroup(Part part) {
    GroupId group = part.line() == null ? null : part.line().group();
    return group == null ? 0 : group.value();
  }

  /** Every word and number by which somebody may look for the entry. */
  private String search(Part part) {
    StringJoiner words = new StringJoiner(" ");
    addTo(words, part.other());
    if (part.line() != null) {
      addTo(words, part.line());
    }
    String all = words.toString().toLowerCase(Locale.ROOT);
    return all.length() > 400 ? all.substring(0, 400) : all;
  }

  private void addTo(StringJoiner words, Party party) {
    words.add(parties.name(party));
    String number = parties.number(party);
    if (number != null) {
      words.add(number).add(number.replaceAll("[^0-9+]", ""));
    }
    String dial = parties.dial(party);
    if (dial != null) {
      words.add(dial).add(parties.place(party));
    }
  }

  /**
   * A page of a person's entries, latest first.
   *
   * @param text only entries that contain it; empty for all
   * @param before only entries older than this one; null for the first page
   */
  List<Stored> page(
      PersonId person, Filter filter, String text, @Nullable Cursor before, int limit) {
    String sql =
        SELECT
            + "where h.person_id = :person and "
            + filter.condition
            + (text.isEmpty() ? "" : " and search like :text")
            + (before == null ? "" : " and (h.began, h.id) < (:began, :id) and h.began <= :began")
            + " order by h.began desc, h.id desc limit :limit";
    JdbcClient.StatementSpec query =
        jdbc.sql(sql).param("person", person.value()).param("limit", limit);
    if (!text.isEmpty()) {
      query = query.param("text", "%" + escape(text.toLowerCase(Locale.ROOT)) + "%");
    }
    if (before != null) {
      query =
          query
              .param("began", LocalDateTime.ofInstant(before.began(), ZoneOffset.UTC))
              .param("id", before.id());
    }
    return query.query(STORED).list();
  }

  /** Place of an entry in the order of the list. */
  record Cursor(Instant began, long id) {}

  private static String escape(String text) {
    return text.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_");
  }

  /** One of this person's entries; empty when it is not theirs. */
  Optional<Stored> entry(PersonId person, long id) {
    return jdbc.sql(SELECT + "where h.person_id = ? and h.id = ?")
        .params(person.value(), id)
        .query(STORED)
        .optional();
  }
}
