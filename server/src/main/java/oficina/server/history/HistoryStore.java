package oficina.server.history;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.StringJoiner;
import oficina.core.call.Party;
import oficina.core.history.Part;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.server.json.EventJson;
import oficina.server.people.Parties;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** History entries in the database. Every query is one person's own. */
@Repository
public class HistoryStore {
  private static final int AT_ONCE = 100;

  private final JdbcTemplate batch;
  private final JdbcClient jdbc;
  private final Parties parties;

  HistoryStore(JdbcTemplate batch, JdbcClient jdbc, Parties parties) {
    this.batch = batch;
    this.jdbc = jdbc;
    this.parties = parties;
  }

  /** An entry with its place in the order. */
  record Stored(long id, Part part) {}

  /** Which entries are wanted. */
  enum Filter {
    ALL("true"),
    MISSED("result like 'MISSED%'"),
    RECEIVED("direction = 'RECEIVED'"),
    PLACED("direction = 'PLACED'");

    private final String condition;

    Filter(String condition) {
      this.condition = condition;
    }
  }

  private static final RowMapper<Stored> STORED =
      (row, n) ->
          new Stored(
              row.getLong("id"), EventJson.json().readValue(row.getString("body"), Part.class));

  /** Writes entries, each in the place of an earlier one of the same call and person. */
  public void write(List<Part> entries) {
    for (int from = 0; from < entries.size(); from += AT_ONCE) {
      writeAtOnce(entries.subList(from, Math.min(entries.size(), from + AT_ONCE)));
    }
  }

  /**
   * One statement for all of them: the database takes them several times faster than one by one.
   */
  private void writeAtOnce(List<Part> entries) {
    String row = "(?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)";
    List<Object> values = new ArrayList<>();
    entries.forEach(part -> values.addAll(values(part)));
    batch.update(
        """
        insert into history (person_id, call_id, direction, result, began, ended, rang_ms,
          talked_ms, held_ms, body, search, other_key, line_group, spoke)
        values\s"""
            + String.join(", ", Collections.nCopies(entries.size(), row))
            + """

        on duplicate key update result = values(result), ended = values(ended),
          rang_ms = values(rang_ms), talked_ms = values(talked_ms), held_ms = values(held_ms),
          body = values(body), search = values(search), other_key = values(other_key),
          spoke = values(spoke)
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
        EventJson.json().writeValueAsString(part),
        search(part),
        Objects.requireNonNullElse(Parties.key(part.other()), ""),
        part.line() instanceof Party.Members line ? line.id().value() : 0L,
        part.result() == Part.Result.ANSWERED);
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
    if (party instanceof Party.Outside outside && outside.number() != null) {
      words.add(outside.number().e164()).add(parties.place(party));
    }
  }

  /**
   * A page of a person's entries, latest first.
   *
   * @param text only entries that contain it; empty for all
   * @param before only entries older than this one; null for the first page
   */
  List<Stored> page(PersonId person, Filter filter, String text, Cursor before, int limit) {
    String sql =
        "select id, body from history where person_id = :person and "
            + filter.condition
            + (text.isEmpty() ? "" : " and search like :text")
            + (before == null ? "" : " and (began, id) < (:began, :id) and began <= :began")
            + " order by began desc, id desc limit :limit";
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

  /** A missed call that nobody has returned: the latest of all from the same number. */
  record ToCallBack(Part last, int times) {}

  /**
   * Missed calls that have not been returned, own ones and those of these groups, oldest first. A
   * number leaves the list as soon as anybody in the office has spoken with it; a colleague as soon
   * as the person themselves has, or the group that was called.
   */
  List<ToCallBack> toCallBack(PersonId person, List<GroupId> groups, Instant notBefore, int limit) {
    return jdbc.sql(
            """
            select h.body, found.times from history h join (
            select min(began) as first, count(distinct call_id) as times, max(id) as last
            from history missed
            where (person_id = :person or line_group in (:groups))
              and result like 'MISSED%' and other_key <> '' and began >= :notBefore
              and other_key <> :own
              and not exists (
                select 1 from history spoken
                where spoken.other_key = missed.other_key and spoken.spoke
                  and spoken.ended >= missed.began
                  and (missed.other_key like '+%' or spoken.person_id = :person
                    or (missed.line_group <> 0 and spoken.line_group = missed.line_group)))
            group by other_key order by first limit :limit) found on found.last = h.id
            order by found.first
            """)
        .param("person", person.value())
        .param("own", "p" + person.value())
        // An empty list is no SQL; no group has identity 0.
        .param(
            "groups", groups.isEmpty() ? List.of(0L) : groups.stream().map(GroupId::value).toList())
        .param("notBefore", LocalDateTime.ofInstant(notBefore, ZoneOffset.UTC))
        .param("limit", limit)
        .query(
            (row, n) ->
                new ToCallBack(
                    EventJson.json().readValue(row.getString("body"), Part.class),
                    row.getInt("times")))
        .list();
  }

  /** One of this person's entries; empty when it is not theirs. */
  Optional<Stored> entry(PersonId person, long id) {
    return jdbc.sql("select id, body from history where person_id = ? and id = ?")
        .params(person.value(), id)
        .query(STORED)
        .optional();
  }
}
