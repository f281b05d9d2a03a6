package oficina.server.softphone;

import java.util.Random;
import oficina.core.sound.G711;
import oficina.core.sound.Pcm;
import oficina.server.sound.SoundEnd;

/** An end that does all the work of a page's connection but for the network. For measuring. */
public final class CodecEnd implements SoundEnd, AutoCloseable {
  private static final int HEADER = 12;

  private final Codec codec;
  private final Codec speaker;
  private final Srtp keys = new Srtp(new byte[Srtp.KEY], new byte[Srtp.SALT]);
  private final byte[] payload = new byte[1_400];
  private final byte[] packet = new byte[1_500];
  private final byte[][] spoken = new byte[50][];
  private int at;
  private int number;

  /**
   * @param opus Opus when it is there, or G.711
   */
  public CodecEnd(boolean opus) {
    codec = make(opus);
    speaker = make(opus);
    Random random = new Random(1);
    short[] frame = new short[Pcm.FRAME];
    for (int i = 0; i < spoken.length; i++) {
      for (int k = 0; k < Pcm.FRAME; k++) {
        double t = (i * Pcm.FRAME + k) / (double) Pcm.RATE;
        double voice = Math.sin(2 * Math.PI * (180 + 60 * Math.sin(t * 3)) * t);
        frame[k] = (short) (6_000 * voice + 300 * random.nextGaussian());
      }
      spoken[i] = java.util.Arrays.copyOf(payload, speaker.encode(frame, payload));
      System.arraycopy(payload, 0, spoken[i], 0, spoken[i].length);
    }
  }

  private static Codec make(boolean opus) {
    return opus && Opus.THERE ? new OpusCodec() : new G711Codec(G711.A_LAW);
  }

  @Override
  public boolean speak(short[] frame) {
    byte[] next = spoken[at++ % spoken.length];
    codec.decode(next, next.length, frame);
    return true;
  }

  @Override
  public void hear(short[] frame) {
    int size = codec.encode(frame, payload);
    packet[0] = (byte) 0x80;
    packet[2] = (byte) (number >> 8);
    packet[3] = (byte) number++;
    System.arraycopy(payload, 0, packet, HEADER, size);
    keys.protect(packet, HEADER + size);
  }

  /** How long the codec alone takes for one frame both ways, in nanoseconds. */
  public double codecNanos() {
    short[] frame = new short[Pcm.FRAME];
    long begun = 0;
    int count = 4_000;
    for (int i = -1_000; i < count; i++) {
      if (i == 0) {
        begun = System.nanoTime();
      }
      speak(frame);
      codec.encode(frame, payload);
    }
    return (System.nanoTime() - begun) / (double) count;
  }

  @Override
  public void close() {
    codec.close();
    speaker.close();
  }
}
