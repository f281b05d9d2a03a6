package oficina.server.sound;

import java.time.Instant;
import java.util.Optional;
import oficina.core.sound.Pcm;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The office's own music in the database. */
@Repository
class HoldMusicStore {
  private final JdbcClient jdbc;

  HoldMusicStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  Optional<short[]> samples() {
    return jdbc.sql("select samples from hold_music")
        .query(byte[].class)
        .optional()
        .map(Pcm::samples);
  }

  void replace(String name, short[] samples, Instant at) {
    jdbc.sql("replace into hold_music (only_one, name, samples, since) values (1, ?, ?, ?)")
        .params(name, Pcm.bytes(samples), at)
        .update();
  }

  /** Its name, when there is one. */
  Optional<String> name() {
    return jdbc.sql("select name from hold_music").query(String.class).optional();
  }

  void remove() {
    jdbc.sql("delete from hold_music").update();
  }
}
