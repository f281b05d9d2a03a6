package oficina.server.voicemail;

import java.util.List;
import java.util.Optional;
import oficina.core.history.SearchWords;
import oficina.server.json.CoreJson;
import oficina.server.keeping.KeptSound;
import oficina.server.keeping.SoundStore;
import oficina.server.keeping.TranscriptState;
import oficina.server.speech.Transcriber;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Messages as they are written down, whoever's they are: by callers who know that they may. */
@Repository
public class TranscriptStore {
  private final JdbcClient jdbc;
  private final SoundStore sounds;
  private final MessageWordStore words;

  TranscriptStore(JdbcClient jdbc, SoundStore sounds, MessageWordStore words) {
    this.jdbc = jdbc;
    this.sounds = sounds;
    this.words = words;
  }

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

  /** The sound of a message. */
  SoundStore.Sound sound(long id) {
    return jdbc.sql("select sound_id from message where id = ?")
        .param(id)
        .query(Long.class)
        .optional()
        .flatMap(sounds::sound)
        .orElseThrow();
  }

  /** All of a message. */
  public short[] samples(long id) {
    SoundStore.Sound sound = sound(id);
    return KeptSound.samples(sounds.seconds(sound.id(), 0, sound.seconds()));
  }

  /** Keeps what the machine understood, and says in which mailbox that is. */
  String transcribed(long id, TranscriptState state, List<Transcriber.Word> said) {
    jdbc.sql("update message set transcript = ?, words = ? where id = ?")
        .params(state.name(), CoreJson.JSON.writeValueAsString(said), id)
        .update();
    String mailbox = tray(id);
    words.keep(
        id,
        mailbox,
        SearchWords.of(said.stream().<@Nullable String>map(Transcriber.Word::text).toList()));
    return mailbox;
  }
}
