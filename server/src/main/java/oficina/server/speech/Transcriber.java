package oficina.server.speech;

import java.util.List;

/** Writes down what was said. */
public interface Transcriber {

  /**
   * A word that was heard.
   *
   * @param from milliseconds from the beginning
   * @param to milliseconds from the beginning
   * @param doubtful whether it may well have been another one
   */
  record Word(String text, int from, int to, boolean doubtful) {}

  /** Whether this machine can do it at all, in the office's language. */
  boolean able();

  /**
   * Listens to sound. Takes long; one at a time.
   *
   * @param samples as in {@link oficina.core.sound.Pcm}
   * @param names words that may well be said and are in no dictionary, as they are written
   * @return what was understood, nothing when nobody spoke
   * @throws SpeechException when it failed or took too long
   */
  List<Word> listen(short[] samples, List<String> names) throws SpeechException;
}
