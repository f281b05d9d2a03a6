package oficina.server.softphone;

import oficina.core.sound.Concealment;
import oficina.core.sound.G711;
import oficina.core.sound.Pcm;
import oficina.core.sound.Resampler;

/** G.711 for browsers on machines without Opus: telephone quality, at next to no cost. */
final class G711Codec implements Codec {
  private static final int RATE = 8_000;
  private static final int SAMPLES = RATE / 1000 * Pcm.FRAME_MS;

  private final G711 law;
  private final Resampler down = new Resampler(Pcm.RATE, RATE);
  private final Resampler up = new Resampler(RATE, Pcm.RATE);
  private final Concealment concealment = new Concealment();
  private final short[] narrowOut = new short[down.most(Pcm.FRAME)];
  private final short[] narrowIn = new short[SAMPLES];
  private final short[] wide = new short[up.most(SAMPLES)];

  G711Codec(G711 law) {
    this.law = law;
  }

  @Override
  public int ticksPerFrame() {
    return SAMPLES;
  }

  @Override
  public int encode(short[] frame, byte[] payload) {
    int samples = down.resample(frame, Pcm.FRAME, narrowOut);
    law.encode(narrowOut, samples, payload);
    return samples;
  }

  @Override
  public void decode(byte[] payload, int length, short[] frame) {
    int samples = Math.min(length, SAMPLES);
    law.decode(payload, samples, narrowIn);
    int written = up.resample(narrowIn, samples, wide);
    java.util.Arrays.fill(frame, (short) 0);
    System.arraycopy(wide, 0, frame, 0, Math.min(written, Pcm.FRAME));
    concealment.came(frame);
  }

  @Override
  public void conceal(short[] frame) {
    concealment.lost(frame);
  }

  @Override
  public void close() {
    // Nothing is held outside of Java.
  }
}
