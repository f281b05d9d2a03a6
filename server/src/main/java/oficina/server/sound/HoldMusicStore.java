package oficina.server.sound;

import java.time.Instant;
import java.util.Optional;
import oficina.core.people.GroupId;
import oficina.core.sound.Pcm;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The office's own music in the database, and that of lines which have their own. */
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

  /** Of a line, when it has its own. */
  Optional<short[]> samples(GroupId line) {
    return jdbc.sql("select samples from line_music where group_id = ?")
        .param(line.value())
        .query(byte[].class)
        .optional()
        .map(Pcm::samples);
  }

  Optional<String> name(GroupId line) {
    return jdbc.sql("select name from line_music where group_id = ?")
        .param(line.value())
        .query(String.class)
        .optional();
  }

  void replace(GroupId line, String name, short[] samples, Instant at) {
    jdbc.sql("replace into line_music (group_id, name, samples, since) values (?, ?, ?, ?)")
        .params(line.value(), name, Pcm.bytes(samples), at)
        .update();
  }

  void remove(GroupId line) {
    jdbc.sql("delete from line_music where group_id = ?").param(line.value()).update();
  }

  /** Its name, when there is one. */
  Optional<String> name() {
    return jdbc.sql("select name from hold_music").query(String.class).optional();
  }

  void remove() {
    jdbc.sql("delete from hold_music").update();
  }
}
