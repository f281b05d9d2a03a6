package oficina.server.voicemail;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import oficina.core.call.Party;
import oficina.core.history.SearchWords;
import oficina.core.people.PersonId;
import oficina.core.sound.Outline;
import oficina.core.sound.Pcm;
import oficina.server.database.Cursor;
import oficina.server.database.Times;
import oficina.server.json.CoreJson;
import oficina.server.keeping.KeptSound;
import oficina.server.keeping.SoundStore;
import oficina.server.people.Parties;
import oficina.server.speech.Transcriber;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionOperations;
import tools.jackson.core.type.TypeReference;

/** Messages in the database. Every query is for certain mailboxes, those of whoever asks. */
@Repository
class MessageStore {
  private static final int OUTLINE_PARTS = 240;

  /** So many are asked for one by one; more are looked through in their order. */
  private static final int FEW = 500;

  private static final TypeReference<List<Transcriber.Word>> WORDS = new TypeReference<>() {};

  private final JdbcClient jdbc;
  private final TransactionOperations transactions;
  private final Parties parties;
  private final SoundStore sounds;

  MessageStore(
      JdbcClient jdbc, TransactionOperations transactions, Parties parties, SoundStore sounds) {
    this.jdbc = jdbc;
    this.transactions = transactions;
    this.parties = parties;
    this.sounds = sounds;
  }

  /** Somebody who did something with a message, and when. */
  record Deed(PersonId by, Instant at) {}

  /** Whether a transcript is there. */
  enum TranscriptState {
    WAITING,
    DONE,
    /** There can be none. */
    NONE
  }

  /**
   * What was said, as the machine understood it.
   *
   * @param corrected as somebody has typed it instead; null when nobody has
   */
  record Transcript(
      TranscriptState state, List<Transcriber.Word> words, @Nullable String corrected) {}

  /**
   * A message.
   *
   * @param heard who heard it first; null when nobody has
   * @param dealt who has dealt with it; null when nobody has
   * @param passedBy who passed it on to this mailbox; null when it was left here
   */
  record Message(
      long id,
      String mailbox,
      Party caller,
      Instant began,
      Duration length,
      byte[] outline,
      @Nullable Deed heard,
      @Nullable Deed dealt,
      String note,
      @Nullable PersonId passedBy,
      String passedNote,
      Transcript transcript) {

    /** Whether somebody still has to listen to it. */
    boolean fresh() {
      return heard == null && dealt == null;
    }
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
              new Transcript(
                  TranscriptState.valueOf(row.getString("transcript")),
                  CoreJson.JSON.readValue(row.getString("words"), WORDS),
                  row.getString("corrected")));

  private static @Nullable Deed deed(@Nullable Long by, @Nullable LocalDateTime at) {
    return by == null ? null : new Deed(new PersonId(by), Times.instant(at));
  }

  private static @Nullable PersonId person(@Nullable Long id) {
    return id == null ? null : new PersonId(id);
  }

  // --- what comes in ----------------------------------------------------------------------------

  /** Files a message; one that is filed already stays as it is. */
  long add(Label label, byte[] sound) {
    return transactions.execute(
        status -> filed(label.place()).orElseGet(() -> insert(label, sound)));
  }

  private Optional<Long> filed(String place) {
    return jdbc.sql("select id from message where place = ?")
        .param(place)
        .query(Long.class)
        .optional();
  }

  private long insert(Label label, byte[] sound) {
    jdbc.sql(
            """
            insert into message (place, mailbox, caller, began, length_ms, outline, sound_id)
            values (?, ?, ?, ?, ?, ?, ?)
            """)
        .params(
            label.place(),
            label.mailbox(),
            CoreJson.JSON.writerFor(Party.class).writeValueAsString(label.caller()),
            Times.utc(label.began()),
            sound.length * 1000L / Pcm.RATE,
            Outline.of(KeptSound.samples(sound), OUTLINE_PARTS),
            sounds.keep(sound))
        .update();
    long id = lastId();
    keepWords(id, label.mailbox(), SearchWords.of(texts(label.caller())));
    return id;
  }

  private long lastId() {
    return jdbc.sql("select last_insert_id()").query(Long.class).single();
  }

  private void keepWords(long id, String mailbox, Collection<String> words) {
    if (words.isEmpty()) {
      return;
    }
    List<Object> values = new ArrayList<>();
    words.forEach(word -> values.addAll(List.of(mailbox, word, id)));
    jdbc.sql(
            "insert ignore into message_word (mailbox, word, message_id) values "
                + String.join(", ", Collections.nCopies(words.size(), "(?, ?, ?)")))
        .params(values)
        .update();
  }

  private List<@Nullable String> texts(Party caller) {
    return Arrays.asList(
        parties.name(caller), parties.number(caller), parties.dial(caller), parties.place(caller));
  }

  /**
   * Puts a copy into another mailbox, where it is new.
   *
   * @return false when there is no such message in these mailboxes
   */
  boolean pass(
      long id, Collection<String> mine, String mailbox, PersonId by, String note, String place) {
    return Boolean.TRUE.equals(
        transactions.execute(
            status -> {
              int added =
                  jdbc.sql(
                          """
                          insert into message (place, mailbox, caller, began, length_ms, outline,
                            sound_id, passed_by, passed_note, transcript, words, corrected)
                          select :place, :mailbox, caller, began, length_ms, outline,
                            sound_id, :by, :note, transcript, words, corrected
                          from message where id = :id and mailbox in (:mine) and removed_at is null
                          """)
                      .param("place", place)
                      .param("mailbox", mailbox)
                      .param("by", by.value())
                      .param("note", note)
                      .param("id", id)
                      .param("mine", mine)
                      .update();
              if (added == 0) {
                return false;
              }
              long copy = lastId();
              jdbc.sql(
                      """
                      insert ignore into message_word (mailbox, word, message_id)
                      select ?, word, ? from message_word where message_id = ?
                      """)
                  .params(mailbox, copy, id)
                  .update();
              return true;
            }));
  }

  // --- what is looked at ------------------------------------------------------------------------

  /**
   * A page of messages, latest first.
   *
   * @param onlyNew only those that nobody has heard or dealt with
   * @param words of which each begins a word of the message; empty for all
   */
  List<Message> page(
      Collection<String> mailboxes, boolean onlyNew, List<String> words, Cursor before, int limit) {
    List<String> others = new ArrayList<>(words);
    Set<Long> few = few(mailboxes, others);
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
            + HAS_WORD.repeat(others.size())
            + " order by began desc, id desc limit "
            + limit;
    List<Message> all = new ArrayList<>();
    for (String mailbox : mailboxes) { // each is in order in the index
      LocalDateTime began = Times.utc(before.began());
      List<Object> values = new ArrayList<>(List.of(mailbox, began, began, before.id()));
      others.forEach(word -> values.add(beginning(word)));
      all.addAll(jdbc.sql(sql).params(values).query(MESSAGE).list());
    }
    return all.stream()
        .sorted(Comparator.comparing(Message::began).thenComparing(Message::id).reversed())
        .limit(limit)
        .toList();
  }

  private static final String HAS_WORD =
      " and exists (select 1 from message_word w where w.message_id = message.id and w.word like ?)";

  private static String numbers(Set<Long> ids) {
    return String.join(", ", ids.stream().map(String::valueOf).toList());
  }

  /** What a word is compared with. Words have neither of the signs that mean something here. */
  private static String beginning(String word) {
    return word + "%";
  }

  /**
   * The messages that have the first of these words that few have, and takes it out of them; null
   * when each finds too much for that.
   */
  private @Nullable Set<Long> few(Collection<String> mailboxes, List<String> words) {
    for (String word : List.copyOf(words)) {
      List<Long> found =
          jdbc.sql(
                  """
                  select distinct message_id from message_word
                  where mailbox in (:mailboxes) and word like :beginning limit :most
                  """)
              .param("mailboxes", mailboxes)
              .param("beginning", beginning(word))
              .param("most", FEW + 1)
              .query(Long.class)
              .list();
      if (found.size() <= FEW) {
        words.remove(word);
        return new HashSet<>(found);
      }
    }
    return null;
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

  // --- what becomes of it -----------------------------------------------------------------------

  /** Changes one message of these mailboxes and says whether there was one. */
  private boolean change(String set, long id, Collection<String> mine, List<?> values) {
    List<Object> all = new ArrayList<>(values);
    all.add(id);
    all.addAll(mine);
    return jdbc.sql(
                "update message set "
                    + set
                    + " where id = ? and removed_at is null and mailbox in ("
                    + String.join(", ", Collections.nCopies(mine.size(), "?"))
                    + ")")
            .params(all)
            .update()
        > 0;
  }

  /** The first who hears it counts. */
  boolean heard(long id, Collection<String> mine, PersonId by, Instant at) {
    return change(
        "heard_by = coalesce(heard_by, ?), heard_at = coalesce(heard_at, ?)",
        id,
        mine,
        List.of(by.value(), Times.utc(at)));
  }

  /** It is new again. */
  boolean unheard(long id, Collection<String> mine) {
    return change(
        "heard_by = null, heard_at = null, dealt_by = null, dealt_at = null", id, mine, List.of());
  }

  boolean dealt(long id, Collection<String> mine, PersonId by, Instant at) {
    return change("dealt_by = ?, dealt_at = ?", id, mine, List.of(by.value(), Times.utc(at)));
  }

  boolean notDealt(long id, Collection<String> mine) {
    return change("dealt_by = null, dealt_at = null", id, mine, List.of());
  }

  boolean note(long id, Collection<String> mine, String note) {
    return change("note = ?", id, mine, List.of(note));
  }

  boolean correct(long id, Collection<String> mine, String text) {
    if (!change("corrected = nullif(?, '')", id, mine, List.of(text))) {
      return false;
    }
    message(id, mine).ifPresent(m -> keepWords(id, m.mailbox(), SearchWords.of(List.of(text))));
    return true;
  }

  /** Removes messages, or brings them back. */
  void remove(Collection<Long> ids, Collection<String> mine, @Nullable Instant at) {
    jdbc.sql("update message set removed_at = :at where id in (:ids) and mailbox in (:mine)")
        .param("at", at == null ? null : Times.utc(at))
        .param("ids", ids)
        .param("mine", mine)
        .update();
  }

  /** Forgets for good what was removed before this instant, sound and words included. */
  void forget(Instant before) {
    List<Long> heard =
        jdbc.sql("select sound_id from message where removed_at < ?")
            .param(Times.utc(before))
            .query(Long.class)
            .list();
    jdbc.sql(
            """
            delete from message_word
            where message_id in (select id from message where removed_at < ?)
            """)
        .param(Times.utc(before))
        .update();
    jdbc.sql("delete from message where removed_at < ?").param(Times.utc(before)).update();
    sounds.forget(heard);
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

  // --- transcripts ------------------------------------------------------------------------------

  /** The latest message that waits for its transcript: of a heap it is wanted first. */
  Optional<Long> toTranscribe() {
    return jdbc.sql("select max(id) from message where transcript = 'WAITING'")
        .query(Long.class)
        .optional();
  }

  /** In which tray a message is. */
  String tray(long id) {
    return jdbc.sql("select mailbox from message where id = ?")
        .param(id)
        .query(String.class)
        .single();
  }

  /** The sound of a message, by a caller who knows that it may be had. */
  SoundStore.Sound sound(long id) {
    return jdbc.sql("select sound_id from message where id = ?")
        .param(id)
        .query(Long.class)
        .optional()
        .flatMap(sounds::sound)
        .orElseThrow();
  }

  /** All of a message, by a caller who knows that it may be had. */
  short[] samples(long id) {
    SoundStore.Sound sound = sound(id);
    return KeptSound.samples(sounds.seconds(sound.id(), 0, sound.seconds()));
  }

  /** Keeps what the machine understood, and says in which mailbox that is. */
  String transcribed(long id, TranscriptState state, List<Transcriber.Word> words) {
    jdbc.sql("update message set transcript = ?, words = ? where id = ?")
        .params(state.name(), CoreJson.JSON.writeValueAsString(words), id)
        .update();
    String mailbox = tray(id);
    keepWords(
        id,
        mailbox,
        SearchWords.of(words.stream().<@Nullable String>map(Transcriber.Word::text).toList()));
    return mailbox;
  }
}
