package oficina.server.voicemail;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import oficina.core.call.Party;
import oficina.core.history.SearchWords;
import oficina.core.office.Settings.Kept;
import oficina.core.people.PersonId;
import oficina.core.sound.Outline;
import oficina.core.sound.Pcm;
import oficina.server.database.Times;
import oficina.server.ending.Ending;
import oficina.server.json.CoreJson;
import oficina.server.keeping.KeptSound;
import oficina.server.keeping.SoundStore;
import oficina.server.people.Parties;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionOperations;

/** Brings messages into mailboxes, and forgets them. */
@Repository
public class MessageFilingStore implements Ending {
  private static final int AT_ONCE = 100;
  private static final int OUTLINE_PARTS = 240;

  private final JdbcClient jdbc;
  private final TransactionOperations transactions;
  private final Parties parties;
  private final SoundStore sounds;
  private final MessageWordStore words;

  MessageFilingStore(
      JdbcClient jdbc,
      TransactionOperations transactions,
      Parties parties,
      SoundStore sounds,
      MessageWordStore words) {
    this.jdbc = jdbc;
    this.transactions = transactions;
    this.parties = parties;
    this.sounds = sounds;
    this.words = words;
  }

  /** Files a message; one that is filed already stays as it is. */
  public long add(Label label, byte[] sound) {
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
    words.keep(id, label.mailbox(), SearchWords.of(texts(label.caller())));
    return id;
  }

  private long lastId() {
    return jdbc.sql("select last_insert_id()").query(Long.class).single();
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
              words.copy(id, copy, mailbox);
              return true;
            }));
  }

  /** Forgets for good what was removed before this instant, sound and words included. */
  void forget(Instant before) {
    forgetAll("removed_at < ?", before);
  }

  @Override
  public Kept what() {
    return Kept.MESSAGES;
  }

  @Override
  public long count(Instant before) {
    return jdbc.sql("select count(*) from message where began < ? and removed_at is null")
        .param(Times.utc(before))
        .query(Long.class)
        .single();
  }

  @Override
  public long end(Instant before) {
    return forgetAll("began < ?", before);
  }

  /** In portions: the sound of a message is large. */
  private long forgetAll(String which, Instant before) {
    return Ending.inPortions(AT_ONCE, () -> forgetSome(which, before));
  }

  private int forgetSome(String which, Instant before) {
    return transactions.execute(
        status -> {
          List<Long> ids = new ArrayList<>();
          List<Long> heard = new ArrayList<>();
          jdbc.sql("select id, sound_id from message where " + which + " limit " + AT_ONCE)
              .param(Times.utc(before))
              .query(
                  row -> {
                    ids.add(row.getLong("id"));
                    heard.add(row.getLong("sound_id"));
                  });
          forget(ids, heard);
          return ids.size();
        });
  }

  /** Forgets messages for good, with their words, and the sound that no copy has. */
  void forget(List<Long> ids, List<Long> heard) {
    if (!ids.isEmpty()) {
      words.forget(ids);
      jdbc.sql("delete from message where id in (:ids)").param("ids", ids).update();
      sounds.forget(heard);
    }
  }
}
