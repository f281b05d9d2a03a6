package oficina.server.returning;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.history.Part;
import oficina.core.history.ToReturn;
import oficina.core.people.PersonId;
import oficina.server.database.JournalDatabase;
import oficina.server.database.Times;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** The lists of calls to return, kept up with the history. */
@Repository
public class ToReturnStore {
  private final JdbcTemplate batch;
  private final JdbcClient inJournal;
  private final JdbcClient jdbc;
  private final ReturnLists lists;

  ToReturnStore(JournalDatabase journal, JdbcClient jdbc, ReturnLists lists) {
    this.batch = journal.jdbc();
    this.inJournal = JdbcClient.create(batch);
    this.jdbc = jdbc;
    this.lists = lists;
  }

  /** Takes in entries of the history that are new or have changed. */
  public void follow(List<Part> parts) {
    List<Object[]> missed = new ArrayList<>();
    List<Part> spoken = new ArrayList<>();
    for (Part part : parts) {
      ToReturn.Change change = ToReturn.of(part);
      if (change != null && change.missed()) {
        lists.changed(change.list());
        missed.add(
            new Object[] {
              change.list(),
              change.caller(),
              part.call().value(),
              part.began(),
              part.rang().toMillis()
            });
      } else if (change != null) {
        spoken.add(part);
      }
    }
    // Missed first: whoever was missed and spoken with in one call has been served.
    all(
        """
        insert into to_return (list, caller, call_id, began, rang_ms) values (?, ?, ?, ?, ?)
        on duplicate key update rang_ms = values(rang_ms)
        """,
        missed);
    takeOff(spoken);
  }

  /** Most who are spoken with are on no list: one question for all of them finds those who are. */
  private void takeOff(List<Part> spoken) {
    if (spoken.isEmpty()) {
      return;
    }
    Map<String, List<String>> waiting = new HashMap<>();
    inJournal
        .sql("select distinct caller, list from to_return where caller in (:callers)")
        .param(
            "callers", spoken.stream().map(part -> ToReturn.of(part).caller()).distinct().toList())
        .query(
            row -> {
              waiting
                  .computeIfAbsent(row.getString("caller"), caller -> new ArrayList<>())
                  .add(row.getString("list"));
            });
    List<Object[]> served = new ArrayList<>();
    for (Part part : spoken) {
      ToReturn.Change change = ToReturn.of(part);
      for (String list : waiting.getOrDefault(change.caller(), List.of())) {
        if (change.list() == null || change.list().equals(list)) {
          lists.changed(list);
          served.add(new Object[] {change.caller(), list, part.ended()});
        }
      }
    }
    all("delete from to_return where caller = ? and list = ? and began <= ?", served);
  }

  private void all(String sql, List<Object[]> rows) {
    if (!rows.isEmpty()) {
      batch.batchUpdate(sql, rows);
    }
  }

  /** Says who calls somebody back, in the place of whoever did so before. */
  public void takeOn(String caller, PersonId person, String note, Instant at) {
    jdbc.sql("replace into call_return (caller, person_id, note, at) values (?, ?, ?, ?)")
        .params(caller, person.value(), note, Times.utc(at))
        .update();
  }

  public void leave(String caller, PersonId person) {
    jdbc.sql("delete from call_return where caller = ? and person_id = ?")
        .params(caller, person.value())
        .update();
  }

  /** Puts a caller of these lists on a colleague's own, and takes them off one's own. */
  @Transactional
  public void handOn(String caller, List<String> from, String own, String to) {
    jdbc.sql(
            """
            insert ignore into to_return (list, caller, call_id, began, rang_ms)
            select :to, caller, call_id, began, rang_ms from to_return
            where caller = :caller and list in (:from)
            """)
        .param("to", to)
        .param("caller", caller)
        .param("from", from)
        .update();
    jdbc.sql("delete from to_return where caller = ? and list = ?").params(caller, own).update();
  }

  /** Who calls somebody back. */
  public record TakenOn(PersonId person, String note, Instant at) {}

  /** Who calls these back, by caller. */
  public Map<String, TakenOn> takenOn(Collection<String> callers) {
    Map<String, TakenOn> taken = new HashMap<>();
    if (!callers.isEmpty()) {
      jdbc.sql("select caller, person_id, note, at from call_return where caller in (:callers)")
          .param("callers", callers)
          .query(
              row -> {
                taken.put(
                    row.getString("caller"),
                    new TakenOn(
                        new PersonId(row.getLong("person_id")),
                        row.getString("note"),
                        Times.instant(row.getObject("at", LocalDateTime.class))));
              });
    }
    return taken;
  }

  /**
   * Somebody to call back.
   *
   * @param caller an E.164 number, or the list of a colleague
   * @param times how often they were missed
   * @param list on which the last of these calls is
   * @param first when the first of these was
   * @param last when the last of these was
   */
  public record Waiting(
      String caller, int times, String list, Instant first, Instant last, long rangMs) {}

  /**
   * Whoever waits on these lists, the one who has waited longest first.
   *
   * @param own the asker's own list: nobody calls themselves back
   */
  public List<Waiting> waiting(String own, List<String> lists, Instant notBefore, int limit) {
    return jdbc.sql(
            """
            select r.caller, found.times, min(r.list) as list, found.first, found.last,
              max(r.rang_ms) as rang_ms
            from (
              select caller, count(distinct call_id) as times, min(began) as first,
                max(began) as last
              from to_return
              where list in (:lists) and caller <> :own and began >= :notBefore
              group by caller order by first limit :limit) found
            join to_return r
              on r.caller = found.caller and r.began = found.last and r.list in (:lists)
            group by r.caller, found.times, found.first, found.last order by found.first
            """)
        .param("lists", lists)
        .param("own", own)
        .param("notBefore", Times.utc(notBefore))
        .param("limit", limit)
        .query(
            (row, n) ->
                new Waiting(
                    row.getString("caller"),
                    row.getInt("times"),
                    row.getString("list"),
                    Times.instant(row.getObject("first", LocalDateTime.class)),
                    Times.instant(row.getObject("last", LocalDateTime.class)),
                    row.getLong("rang_ms")))
        .list();
  }
}
