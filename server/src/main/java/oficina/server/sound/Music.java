package oficina.server.sound;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.people.GroupId;
import oficina.core.tones.HoldMusic;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/**
 * The music that waiting callers hear: a line's own, else the office's own, else the piece that
 * ships.
 */
@Component
public class Music {
  private static final Logger LOG = LoggerFactory.getLogger(Music.class);

  private final HoldMusicStore store;
  private final Clip clip = new Clip(new short[0], /* again= */ true);
  private final Map<GroupId, Clip> ofLines = new ConcurrentHashMap<>();
  private boolean wanted;

  Music(HoldMusicStore store) {
    this.store = store;
  }

  /** Made when it is wanted for the first time, elsewhere; until then it is silent. */
  synchronized Clip clip() {
    if (!wanted) {
      wanted = true;
      refresh();
    }
    return clip;
  }

  /**
   * Writes the frame of the music of a line that is so many frames from the beginning; it begins
   * again when it is over.
   */
  public void write(GroupId line, long frame, short[] out) {
    ofLines.computeIfAbsent(line, this::load).write(frame, out);
  }

  /** Silent until it is known whether the line has its own. */
  private Clip load(GroupId line) {
    Clip loading = new Clip(new short[0], /* again= */ true);
    CompletableFuture.supplyAsync(() -> samples(line))
        .thenAccept(
            own ->
                own.ifPresentOrElse(loading::become, () -> ofLines.replace(line, loading, clip())));
    return loading;
  }

  /** Whoever waits hears the new music at once. */
  void refresh() {
    CompletableFuture.supplyAsync(this::samples).thenAccept(clip::become);
  }

  /** The same at one line. */
  void refresh(GroupId line) {
    ofLines.remove(line);
  }

  private Optional<short[]> samples(GroupId line) {
    try {
      return store.samples(line);
    } catch (DataAccessException e) {
      LOG.warn("The music of a line cannot be read now: {}", e.getMessage());
      return Optional.empty();
    }
  }

  private short[] samples() {
    try {
      return store.samples().orElseGet(HoldMusic::piece);
    } catch (DataAccessException e) {
      LOG.warn("The office's own music cannot be read now: {}", e.getMessage());
      return HoldMusic.piece();
    }
  }
}
