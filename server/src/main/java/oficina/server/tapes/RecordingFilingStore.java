package oficina.server.tapes;

import java.io.IOException;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.sound.Pcm;
import oficina.server.database.Times;
import oficina.server.json.CoreJson;
import oficina.server.keeping.KeptSound;
import oficina.server.keeping.SoundStore;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionOperations;

/**
 * Brings recordings into the database. They may be long: each second is written by itself, and one
 * that was half brought in when the database or the server went goes on from there.
 */
@Repository
public class RecordingFilingStore {
  static final int A_SECOND = KeptSound.CHUNK * TapeWriter.CHANNELS;

  private final JdbcClient jdbc;
  private final TransactionOperations transactions;
  private final SoundStore sounds;

  RecordingFilingStore(JdbcClient jdbc, TransactionOperations transactions, SoundStore sounds) {
    this.jdbc = jdbc;
    this.transactions = transactions;
    this.sounds = sounds;
  }

  private record Begun(long id, long sound, boolean ready) {}

  /** Where the sound is read from. */
  public interface Source {
    byte[] part(long from, int count) throws IOException;
  }

  /**
   * Brings in one; one that is there already stays as it is.
   *
   * @param bytes how long it is
   */
  public void file(TapeLabel label, List<Mark> marks, long bytes, Source source)
      throws IOException {
    Begun recording = transactions.execute(status -> begun(label, marks));
    if (recording.ready()) {
      return;
    }
    int samples = (int) (bytes / TapeWriter.CHANNELS);
    Outlines outlines = new Outlines(samples);
    for (long from = 0; from < bytes; from += A_SECOND) {
      byte[] second = source.part(from, (int) Math.min(A_SECOND, bytes - from));
      sounds.append(recording.sound(), (int) (from / A_SECOND), second);
      outlines.add(KeptSound.samples(second));
    }
    transactions.executeWithoutResult(
        status -> {
          sounds.finish(recording.sound(), samples);
          jdbc.sql(
                  """
                  update recording set length_ms = ?, ours = ?, theirs = ?, ready = true
                  where id = ?
                  """)
              .params(
                  samples * 1_000L / Pcm.RATE, outlines.ours(), outlines.theirs(), recording.id())
              .update();
        });
  }

  private Begun begun(TapeLabel label, List<Mark> marks) {
    return jdbc.sql("select id, sound_id, ready from recording where place = ?")
        .param(label.place())
        .query(
            (row, n) ->
                new Begun(row.getLong("id"), row.getLong("sound_id"), row.getBoolean("ready")))
        .optional()
        .orElseGet(() -> begin(label, marks));
  }

  private Begun begin(TapeLabel label, List<Mark> marks) {
    long sound = sounds.begin(TapeWriter.CHANNELS);
    jdbc.sql(
            """
            insert into recording (place, call_id, owner, other, line, began, sound_id, marks)
            values (?, ?, ?, ?, ?, ?, ?, ?)
            """)
        .params(
            label.place(),
            label.call().value(),
            label.owner().value(),
            party(label.other()),
            label.line() == null ? null : party(label.line()),
            Times.utc(label.began()),
            sound,
            CoreJson.JSON.writeValueAsString(marks))
        .update();
    long id = jdbc.sql("select last_insert_id()").query(Long.class).single();
    return new Begun(id, sound, false);
  }

  private static String party(Party party) {
    return CoreJson.JSON.writerFor(Party.class).writeValueAsString(party);
  }
}
