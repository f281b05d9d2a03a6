package oficina.server.recordings;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.server.database.Cursor;
import oficina.server.database.Times;
import oficina.server.json.CoreJson;
import oficina.server.keeping.SoundStore;
import oficina.server.keeping.TranscriptState;
import oficina.server.speech.Transcriber.Word;
import oficina.server.tapes.Mark;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;

/**
 * Recordings in the database. What is looked at is looked at for one person: their own, and those
 * that were handed to them for as long as that lasts.
 */
@Repository
class RecordingStore {
  private static final TypeReference<List<Mark>> MARKS = new TypeReference<>() {};
  private static final TypeReference<List<List<Word>>> WORDS = new TypeReference<>() {};

  /** What is shown in a list, and nothing that is long. */
  private static final String COLUMNS =
      "r.id, r.call_id, r.owner, r.other, r.line, r.began, r.length_ms, r.sound_id, r.note,"
          + " r.keep_until, r.transcript";

  private static final String MINE =
      " where r.owner = :me and r.ready = 1 and r.removed_at is null";

  private static final String OWN = "from recording r" + MINE;

  /** In the order of that index, in which each page is one stretch. */
  private static final String OWN_IN_ORDER =
      "from recording r force index (recording_of_owner)" + MINE;

  private static final String HANDED_ON =
      "from recording_share s join recording r on r.id = s.recording_id"
          + " where s.person = :me and s.until_at > :now and r.ready = 1 and r.removed_at is null";

  private final JdbcClient jdbc;
  private final SoundStore sounds;

  RecordingStore(JdbcClient jdbc, SoundStore sounds) {
    this.jdbc = jdbc;
    this.sounds = sounds;
  }

  /**
   * A recording, as far as it stands in a list.
   *
   * @param keepUntil until when its owner wants it kept; null for as long as the office says
   * @param sharedUntil until when the asker may hear it; null when it is theirs
   */
  record Recording(
      long id,
      CallId call,
      PersonId owner,
      Party other,
      @Nullable Party line,
      Instant began,
      Duration length,
      long sound,
      String note,
      @Nullable Instant keepUntil,
      TranscriptState transcript,
      @Nullable Instant sharedUntil) {}

  private static final RowMapper<Recording> RECORDING =
      (row, n) ->
          new Recording(
              row.getLong("id"),
              new CallId(row.getString("call_id")),
              new PersonId(row.getLong("owner")),
              CoreJson.JSON.readValue(row.getString("other"), Party.class),
              row.getString("line") == null
                  ? null
                  : CoreJson.JSON.readValue(row.getString("line"), Party.class),
              Times.instant(row.getObject("began", LocalDateTime.class)),
              Duration.ofMillis(row.getInt("length_ms")),
              row.getLong("sound_id"),
              row.getString("note"),
              instant(row, "keep_until"),
              TranscriptState.valueOf(row.getString("transcript")),
              instant(row, "until_at"));

  private static @Nullable Instant instant(ResultSet row, String column) throws SQLException {
    LocalDateTime time = row.getObject(column, LocalDateTime.class);
    return time == null ? null : Times.instant(time);
  }

  /** What this person may hear, latest first. */
  List<Recording> page(PersonId me, Instant now, Cursor before, int limit) {
    String order =
        " and r.began <= :began and (r.began, r.id) < (:began, :id)"
            + " order by r.began desc, r.id desc limit :limit";
    return jdbc.sql(
            "(select %s, null as until_at %s%s) union all (select %s, s.until_at %s%s)"
                    .formatted(COLUMNS, OWN_IN_ORDER, order, COLUMNS, HANDED_ON, order)
                + " order by began desc, id desc limit :limit")
        .param("me", me.value())
        .param("now", Times.utc(now))
        .param("began", Times.utc(before.began()))
        .param("id", before.id())
        .param("limit", limit)
        .query(RECORDING)
        .list();
  }

  /** What was recorded of a call for this person, in its order. */
  List<Recording> of(CallId call, PersonId me) {
    return jdbc.sql(
            "select %s, null as until_at %s and r.call_id = :call order by r.began"
                .formatted(COLUMNS, OWN))
        .param("me", me.value())
        .param("call", call.value())
        .query(RECORDING)
        .list();
  }

  /** One that this person may hear. */
  Optional<Recording> one(long id, PersonId me, Instant now) {
    return jdbc.sql(
            "(select %s, null as until_at %s and r.id = :id) union all".formatted(COLUMNS, OWN)
                + " (select %s, s.until_at %s and r.id = :id)".formatted(COLUMNS, HANDED_ON))
        .param("me", me.value())
        .param("now", Times.utc(now))
        .param("id", id)
        .query(RECORDING)
        .optional();
  }

  /** Of a recording by a caller who has asked whether it may be heard. */
  SoundStore.Sound sound(Recording recording) {
    return sounds.sound(recording.sound()).orElseThrow();
  }

  /**
   * What is shown of one when it is opened.
   *
   * @param words of each channel
   */
  record Inside(byte[] ours, byte[] theirs, List<Mark> marks, List<List<Word>> words) {}

  Inside inside(long id) {
    return jdbc.sql("select ours, theirs, marks, words from recording where id = ?")
        .param(id)
        .query(
            (row, n) ->
                new Inside(
                    row.getBytes("ours"),
                    row.getBytes("theirs"),
                    CoreJson.JSON.readValue(row.getString("marks"), MARKS),
                    CoreJson.JSON.readValue(row.getString("words"), WORDS)))
        .single();
  }

  // --- what becomes of it -----------------------------------------------------------------------

  void note(long id, String text) {
    jdbc.sql("update recording set note = ? where id = ?").params(text, id).update();
  }

  void keepUntil(long id, @Nullable Instant until) {
    jdbc.sql("update recording set keep_until = :until where id = :id")
        .param("until", until == null ? null : Times.utc(until))
        .param("id", id)
        .update();
  }

  /** Removes one of this person's; false when it is not theirs. */
  boolean remove(long id, PersonId me, Instant at) {
    return jdbc.sql(
                "update recording set removed_at = ?"
                    + " where id = ? and owner = ? and ready = 1 and removed_at is null")
            .params(Times.utc(at), id, me.value())
            .update()
        > 0;
  }

  /** Brings back one of this person's; false when it is not theirs, or gone. */
  boolean restore(long id, PersonId me) {
    return jdbc.sql(
                "update recording set removed_at = null"
                    + " where id = ? and owner = ? and removed_at is not null")
            .params(id, me.value())
            .update()
        > 0;
  }

  // --- for how long -----------------------------------------------------------------------------

  /** One that is to be forgotten. */
  record Old(long id, PersonId owner, Party other, Instant began, long sound, boolean removed) {}

  /**
   * What is too old, or was removed long ago.
   *
   * @param began what began before is too old, unless its owner keeps it
   */
  List<Old> old(Instant began, Instant removed, Instant now) {
    return jdbc.sql(
            """
            select id, owner, other, began, sound_id, removed_at from recording
            where ready = 1 and (removed_at < :removed
              or (began < :began and (keep_until is null or keep_until < :now)))
            """)
        .param("began", Times.utc(began))
        .param("removed", Times.utc(removed))
        .param("now", Times.utc(now))
        .query(
            (row, n) ->
                new Old(
                    row.getLong("id"),
                    new PersonId(row.getLong("owner")),
                    CoreJson.JSON.readValue(row.getString("other"), Party.class),
                    Times.instant(row.getObject("began", LocalDateTime.class)),
                    row.getLong("sound_id"),
                    row.getObject("removed_at") != null))
        .list();
  }

  /** Forgets them for good: sound, transcript, notes. */
  void forget(Collection<Old> gone) {
    if (!gone.isEmpty()) {
      jdbc.sql("delete from recording where id in (:ids)")
          .param("ids", gone.stream().map(Old::id).toList())
          .update();
      sounds.forget(gone.stream().map(Old::sound).toList());
    }
  }

  // --- transcripts ------------------------------------------------------------------------------

  void wantTranscript(long id) {
    jdbc.sql(
            "update recording set transcript = 'WAITING'"
                + " where id = ? and transcript in ('NONE', 'FAILED')")
        .param(id)
        .update();
  }

  /** The one whose transcript was asked for and is not there yet. */
  Optional<Long> toTranscribe() {
    return jdbc.sql("select min(id) from recording where transcript = 'WAITING'")
        .query(Long.class)
        .optional();
  }

  SoundStore.Sound sound(long id) {
    long sound =
        jdbc.sql("select sound_id from recording where id = ?")
            .param(id)
            .query(Long.class)
            .single();
    return sounds.sound(sound).orElseThrow();
  }

  /** Keeps what was understood, and says whose it is. */
  Optional<PersonId> transcribed(long id, TranscriptState state, List<List<Word>> words) {
    jdbc.sql("update recording set transcript = ?, words = ? where id = ?")
        .params(state.name(), CoreJson.JSON.writeValueAsString(words), id)
        .update();
    return owner(id);
  }

  /** Whose a recording is, if it still is there. */
  Optional<PersonId> owner(long id) {
    return jdbc.sql("select owner from recording where id = ?")
        .param(id)
        .query(Long.class)
        .optional()
        .map(PersonId::new);
  }
}
