package oficina.server.sound;

import java.util.List;

/**
 * Somewhere what is spoken in a call goes to be recorded, in two channels.
 *
 * @param ours connections heard in the first channel
 * @param theirs connections heard in the second
 * @param tones whether a tone now and then tells everybody that it is recorded
 */
public record Tap(List<Integer> ours, List<Integer> theirs, boolean tones, Sink sink) {

  /** Takes what is spoken in 20 ms; on the engine's clock, must not wait. */
  public interface Sink {
    /** Neither is to be kept by the taker. */
    void take(short[] ours, short[] theirs);
  }
}
