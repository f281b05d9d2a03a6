package oficina.server.sound;

import java.util.concurrent.CompletableFuture;
import oficina.core.tones.HoldMusic;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** The music that waiting callers hear: the office's own, or the piece that ships. */
@Component
public class Music {
  private static final Logger LOG = LoggerFactory.getLogger(Music.class);

  private final HoldMusicStore store;
  private final Clip clip = new Clip(new short[0], /* again= */ true);
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
   * Writes the frame that is so many frames from the beginning; it begins again when it is over.
   */
  public void write(long frame, short[] out) {
    clip().write(frame, out);
  }

  /** Whoever waits hears the new music at once. */
  void refresh() {
    CompletableFuture.supplyAsync(this::samples).thenAccept(clip::become);
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
