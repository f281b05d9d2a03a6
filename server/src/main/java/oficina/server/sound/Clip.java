package oficina.server.sound;

import oficina.core.sound.Pcm;

/**
 * Sound that is played from memory. What it consists of may be replaced while it is played: a
 * sentence that is only being spoken takes the place of a tone.
 */
final class Clip {
  private final boolean again;
  private volatile short[] samples;

  /**
   * @param samples as in {@link Pcm}
   * @param again whether it begins again when it is over
   */
  Clip(short[] samples, boolean again) {
    this.samples = samples;
    this.again = again;
  }

  void become(short[] other) {
    samples = other;
  }

  /** Writes the frame that is so many frames from the beginning; silence when it is over. */
  void write(long frame, short[] out) {
    Pcm.play(samples, frame * Pcm.FRAME, again, out);
  }

  boolean over(long frame) {
    return !again && frame * Pcm.FRAME >= samples.length;
  }
}
