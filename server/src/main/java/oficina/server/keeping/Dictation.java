package oficina.server.keeping;

import java.util.List;
import java.util.Optional;
import oficina.core.people.PersonId;
import oficina.server.speech.Transcriber.Word;
import org.jspecify.annotations.Nullable;

/** Sound that waits for being written down. */
public interface Dictation {

  /** What is to be written down next; empty when nothing is. */
  Optional<Long> next();

  /** The sound it is made of, in pieces short enough to let something more urgent go first. */
  List<Piece> pieces(long id);

  /** A piece, as samples of {@link oficina.core.sound.Pcm}. */
  short[] samples(Piece piece);

  /** Who is to read it; empty when several people are. */
  Optional<PersonId> reader(long id);

  /**
   * What was understood, with times from the beginning of the whole.
   *
   * @param words of each channel; null when it cannot be written down
   */
  void written(long id, @Nullable List<List<Word>> words);

  /**
   * A piece of sound.
   *
   * @param second with which it begins
   */
  record Piece(long sound, int channel, int second, int seconds) {}
}
