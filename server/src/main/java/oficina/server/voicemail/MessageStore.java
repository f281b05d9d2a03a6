package oficina.server.voicemail;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.server.database.Cursor;
import oficina.server.database.Times;
import oficina.server.json.CoreJson;
import oficina.server.keeping.SoundStore;
import oficina.server.keeping.TranscriptState;
import oficina.server.speech.Transcriber;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;

/** Messages as they are looked at. Every query is for certain mailboxes, those of whoever asks. */
@Repository
public class MessageStore {
  private static final TypeReference<List<Transcriber.Word>> WORDS = new TypeReference<>() {};

  private final JdbcClient jdbc;
  private final SoundStore sounds;
  private final MessageWordStore words;

  MessageStore(JdbcClient jdbc, SoundStore sounds, MessageWordStore words) {
    this.jdbc = jdbc;
    this.sounds = sounds;
    this.words = words;
  }

  private static final RowMapper<Message> MESSAGE =
      (row, n) ->
          new Message(
              row.getLong("id"),
              row.getString("mailbox"),
              CoreJson.JSON.readValue(row.getString("caller"), Party.class),
              Times.instant(row.getObject("began", LocalDateTime.class)),
              Duration.ofMillis(row.getInt("length_ms")),
              row.getBytes("outline"),
              deed(
                  row.getObject("heard_by", Long.class),
                  row.getObject("heard_at", LocalDateTime.class)),
              deed(
                  row.getObject("dealt_by", Long.class),
                  row.getObject("dealt_at", LocalDateTime.class)),
              row.getString("note"),
              person(row.getObject("passed_by", Long.class)),
              row.getString("passed_note"),
              new Message.Transcript(
                  TranscriptState.valueOf(row.getString("transcript")),
                  CoreJson.JSON.readValue(row.getString("words"), WORDS),
                  row.getString("corrected")));

  private static Message.@Nullable Deed deed(@Nullable Long by, @Nullable LocalDateTime at) {
    return by == null ? null : new Message.Deed(new PersonId(by), Times.instant(at));
  }

  private static @Nullable PersonId person(@Nullable Long id) {
    return id == null ? null : new PersonId(id);
  }

  /**
   * A page of messages, latest first.
   *
   * @param onlyNew only those that nobody has heard or dealt with
   * @param beginnings of which each begins a word of the message; empty for all
   */
  public List<Message> page(
      Collection<String> mailboxes,
      boolean onlyNew,
      List<String> beginnings,
      Cursor before,
      int limit) {
    List<String> others = new ArrayList<>(beginnings);
    Set<Long> few = words.few(mailboxes, others);
    if (few != null && few.isEmpty()) {
      return List.of();
    }
    String sql =
        "select * from message "
            + (few == null ? "" : "force index (primary) ") // else it looks through all in order
            + "where mailbox = ? and "
            + (onlyNew ? "fresh = 1" : "removed_at is null")
            + " and began <= ? and (began, id) < (?, ?)"
            + (few == null ? "" : " and id in (" + numbers(few) + ")")
            + MessageWordStore.HAS_WORD.repeat(others.size())
            + " order by began desc, id desc limit "
            + limit;
    List<Message> all = new ArrayList<>();
    for (String mailbox : mailboxes) { // each is in order in the index
      LocalDateTime began = Times.utc(before.began());
      List<Object> values = new ArrayList<>(List.of(mailbox, began, began, before.id()));
      others.forEach(word -> values.add(MessageWordStore.beginning(word)));
      all.addAll(jdbc.sql(sql).params(values).query(MESSAGE).list());
    }
    return all.stream()
        .sorted(Comparator.comparing(Message::began).thenComparing(Message::id).reversed())
        .limit(limit)
        .toList();
  }

  private static String numbers(Set<Long> ids) {
    return String.join(", ", ids.stream().map(String::valueOf).toList());
  }

  /** How many are new. */
  int count(Collection<String> mailboxes) {
    return jdbc.sql("select count(*) from message where mailbox in (:mailboxes) and fresh = 1")
        .param("mailboxes", mailboxes)
        .query(Integer.class)
        .single();
  }

  /** How many have been heard, or dealt with otherwise. */
  int countOld(Collection<String> mailboxes) {
    return jdbc.sql(
            """
            select count(*) from message
            where mailbox in (:mailboxes) and removed_at is null and fresh = 0
            """)
        .param("mailboxes", mailboxes)
        .query(Integer.class)
        .single();
  }

  Optional<Message> message(long id, Collection<String> mine) {
    return jdbc.sql(
            "select * from message where id = :id and mailbox in (:mine) and removed_at is null")
        .param("id", id)
        .param("mine", mine)
        .query(MESSAGE)
        .optional();
  }

  /** The sound of a message; none when it is not in these mailboxes. */
  Optional<SoundStore.Sound> sound(long id, Collection<String> mine) {
    return jdbc.sql(
            """
            select sound_id from message
            where id = :id and mailbox in (:mine) and removed_at is null
            """)
        .param("id", id)
        .param("mine", mine)
        .query(Long.class)
        .optional()
        .flatMap(sounds::sound);
  }

  /** The mailboxes in which these messages are, of those that the asker hears. */
  Set<String> mailboxes(Collection<Long> ids, Collection<String> mine) {
    return new HashSet<>(
        jdbc.sql("select distinct mailbox from message where id in (:ids) and mailbox in (:mine)")
            .param("ids", ids)
            .param("mine", mine)
            .query(String.class)
            .list());
  }
}
