package oficina.server.keeping;

import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * Sound in the database, by seconds, so that any part of it is read alone. Whoever asks knows that
 * it may be heard.
 */
@Repository
public class SoundStore {
  private final JdbcClient jdbc;

  SoundStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * Some sound.
   *
   * @param samples of each channel
   */
  public record Sound(long id, int channels, int samples) {
    public int seconds() {
      return (samples + KeptSound.CHUNK - 1) / KeptSound.CHUNK;
    }
  }

  /** New sound, of which nothing is there yet. */
  public long begin(int channels) {
    jdbc.sql("insert into sound (channels, samples) values (?, 0)").param(channels).update();
    return jdbc.sql("select last_insert_id()").query(Long.class).single();
  }

  /** A second of it; one that is there already stays as it is. */
  public void append(long id, int second, byte[] kept) {
    jdbc.sql("insert ignore into sound_second (sound_id, second, sound) values (?, ?, ?)")
        .params(id, second, kept)
        .update();
  }

  /** It is all there. */
  public void finish(long id, int samples) {
    jdbc.sql("update sound set samples = ? where id = ?").params(samples, id).update();
  }

  /** Keeps sound of one channel and says what it is called. */
  public long keep(byte[] kept) {
    long id = begin(1);
    for (int from = 0; from < kept.length; from += KeptSound.CHUNK) {
      int to = Math.min(kept.length, from + KeptSound.CHUNK);
      append(id, from / KeptSound.CHUNK, Arrays.copyOfRange(kept, from, to));
    }
    finish(id, kept.length);
    return id;
  }

  public Optional<Sound> sound(long id) {
    return jdbc.sql("select * from sound where id = ?")
        .param(id)
        .query(
            (row, n) -> new Sound(row.getLong("id"), row.getInt("channels"), row.getInt("samples")))
        .optional();
  }

  /** A second as it is kept; nothing when it has none of that number. */
  public byte[] second(long id, int second) {
    return jdbc.sql("select sound from sound_second where sound_id = ? and second = ?")
        .params(id, second)
        .query(byte[].class)
        .optional()
        .orElse(new byte[0]);
  }

  /** So many seconds as they are kept, one after the other. */
  public byte[] seconds(long id, int from, int count) {
    List<byte[]> seconds =
        jdbc.sql(
                """
                select sound from sound_second
                where sound_id = ? and second >= ? and second < ? order by second
                """)
            .params(id, from, from + count)
            .query(byte[].class)
            .list();
    byte[] all = new byte[seconds.stream().mapToInt(second -> second.length).sum()];
    int at = 0;
    for (byte[] second : seconds) {
      System.arraycopy(second, 0, all, at, second.length);
      at += second.length;
    }
    return all;
  }

  /** Removes those of these for good that nothing has any more. */
  public void forget(Collection<Long> ids) {
    if (!ids.isEmpty()) {
      jdbc.sql(
              """
              delete from sound where id in (:ids)
              and id not in (select sound_id from message)
              and id not in (select sound_id from recording)
              """)
          .param("ids", ids)
          .update();
    }
  }
}
