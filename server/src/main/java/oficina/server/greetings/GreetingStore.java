package oficina.server.greetings;

import java.sql.ResultSet;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import oficina.core.call.Occasion;
import oficina.core.sound.Pcm;
import oficina.server.database.Times;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The greetings that people have made, in the database. */
@Repository
public class GreetingStore {
  private final JdbcClient jdbc;

  GreetingStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * A greeting of a mailbox.
   *
   * @param text what was typed and is spoken by the machine; empty otherwise
   * @param until when it counts no longer; null for good
   */
  public record Greeting(Occasion occasion, String text, Instant since, @Nullable Instant until) {}

  /** Those that count now. */
  List<Greeting> of(String mailbox, Instant now) {
    return jdbc.sql(
            """
            select occasion, text, since, until from greeting
            where mailbox = ? and coalesce(until > ?, true)
            """)
        .params(mailbox, Times.utc(now))
        .query(
            (row, n) ->
                new Greeting(
                    Occasion.valueOf(row.getString("occasion")),
                    row.getString("text"),
                    Times.instant(row.getObject("since", LocalDateTime.class)),
                    instant(row.getObject("until", LocalDateTime.class))))
        .list();
  }

  private static @Nullable Instant instant(@Nullable LocalDateTime utc) {
    return utc == null ? null : Times.instant(utc);
  }

  /** How it sounds, if there is one that counts now. */
  Optional<short[]> samples(String mailbox, Occasion occasion, Instant now) {
    return jdbc.sql(
            """
            select samples from greeting
            where mailbox = ? and occasion = ? and coalesce(until > ?, true)
            """)
        .params(mailbox, occasion.name(), Times.utc(now))
        .query(byte[].class)
        .optional()
        .map(Pcm::samples);
  }

  /** How all of them sound, also those that count no longer. */
  public Map<Occasion, short[]> all(String mailbox) {
    Map<Occasion, short[]> all = new EnumMap<>(Occasion.class);
    jdbc.sql("select occasion, samples from greeting where mailbox = ?")
        .param(mailbox)
        .query(
            (ResultSet row) -> {
              Occasion occasion = Occasion.valueOf(row.getString("occasion"));
              all.put(occasion, Pcm.samples(row.getBytes("samples")));
            });
    return all;
  }

  /** Puts it in the place of what was there for that occasion. */
  public void keep(String mailbox, Greeting greeting, short[] samples) {
    jdbc.sql(
            """
            replace into greeting (mailbox, occasion, text, samples, since, until)
            values (?, ?, ?, ?, ?, ?)
            """)
        .params(
            mailbox,
            greeting.occasion().name(),
            greeting.text(),
            Pcm.bytes(samples),
            Times.utc(greeting.since()),
            greeting.until() == null ? null : Times.utc(greeting.until()))
        .update();
  }

  void remove(String mailbox, Occasion occasion) {
    jdbc.sql("delete from greeting where mailbox = ? and occasion = ?")
        .params(mailbox, occasion.name())
        .update();
  }
}
