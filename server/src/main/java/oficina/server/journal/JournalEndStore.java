package oficina.server.journal;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import oficina.core.office.Settings.Kept;
import oficina.server.database.Times;
import oficina.server.ending.Ending;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * Events go with the history that follows from them, but for those of calls, wishes and devices
 * that are not over and of those these came from, and the last one, from which the next is counted.
 */
@Repository
class JournalEndStore implements Ending {
  private static final int AT_ONCE = 5_000;

  private final JdbcClient jdbc;

  JournalEndStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  @Override
  public Kept what() {
    return Kept.HISTORY;
  }

  @Override
  public long count(Instant before) {
    return 0;
  }

  @Override
  public long end(Instant before) {
    long first = place("min(seq)");
    long end = firstAfter(before, first, place("max(seq)"));
    if (first == end) {
      return 0;
    }
    List<String> stay =
        jdbc.sql(JournalStore.UNENDED + "select subject from wanted").query(String.class).list();
    for (long from = first; from < end; from += AT_ONCE) {
      jdbc.sql(
              """
              delete from journal
              where seq >= :from and seq < :end and subject not in (:stay)
              """)
          .param("from", from)
          .param("end", Math.min(end, from + AT_ONCE))
          .param("stay", stay.isEmpty() ? List.of("") : stay)
          .update();
    }
    return 0; // what follows from them is counted
  }

  private long place(String which) {
    return jdbc.sql("select coalesce(" + which + ", 0) from journal").query(Long.class).single();
  }

  /** The place of the first event that is not older: they stand in the order of their time. */
  private long firstAfter(Instant before, long first, long last) {
    long low = first;
    long high = last;
    while (low < high) {
      long middle = low + (high - low) / 2;
      if (at(middle).orElse(Instant.MAX).isBefore(before)) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** When the first event at this place or after it happened. */
  private Optional<Instant> at(long place) {
    return jdbc.sql("select at from journal where seq >= ? order by seq limit 1")
        .param(place)
        .query(LocalDateTime.class)
        .optional()
        .map(Times::instant);
  }
}
