package oficina.server.softphone;

import com.sun.jna.Pointer;
import com.sun.jna.ptr.IntByReference;
import java.util.Arrays;
import oficina.core.sound.Pcm;

/** Opus, wideband, for speech, with its own making up of what was lost. */
final class OpusCodec implements Codec {
  /** RTP counts 48 kHz whatever the rate is (RFC 7587). */
  private static final int TICKS = 48_000 / 1000 * Pcm.FRAME_MS;

  private static final int BITS_PER_SECOND = 28_000;

  /** Of 10: more costs twice the time and is not heard in speech at this rate. */
  private static final int COMPLEXITY = 1;

  private final Object encoding = new Object();
  private final Object decoding = new Object();
  private Pointer encoder;
  private Pointer decoder;
  private boolean closed;

  OpusCodec() {
    IntByReference error = new IntByReference();
    encoder = Opus.opus_encoder_create(Pcm.RATE, 1, Opus.VOICE, error);
    decoder = Opus.opus_decoder_create(Pcm.RATE, 1, error);
    if (encoder == null || decoder == null) {
      throw new IllegalStateException("Opus: error " + error.getValue());
    }
    Opus.opus_encoder_ctl(encoder, Opus.SET_BITRATE, BITS_PER_SECOND);
    Opus.opus_encoder_ctl(encoder, Opus.SET_COMPLEXITY, COMPLEXITY);
    Opus.opus_encoder_ctl(encoder, Opus.SET_INBAND_FEC, 1);
    Opus.opus_encoder_ctl(encoder, Opus.SET_PACKET_LOSS, 5);
  }

  @Override
  public int ticksPerFrame() {
    return TICKS;
  }

  @Override
  public int encode(short[] frame, byte[] payload) {
    synchronized (encoding) {
      return closed
          ? 0
          : Math.max(0, Opus.opus_encode(encoder, frame, Pcm.FRAME, payload, payload.length));
    }
  }

  @Override
  public void decode(byte[] payload, int length, short[] frame) {
    synchronized (decoding) {
      int samples = closed ? 0 : Opus.opus_decode(decoder, payload, length, frame, Pcm.FRAME, 0);
      if (samples < 0) {
        conceal(frame);
      } else if (samples < Pcm.FRAME) {
        Arrays.fill(frame, samples, Pcm.FRAME, (short) 0);
      }
    }
  }

  @Override
  public void conceal(short[] frame) {
    synchronized (decoding) {
      if (closed || Opus.opus_decode(decoder, null, 0, frame, Pcm.FRAME, 0) < 0) {
        Arrays.fill(frame, (short) 0);
      }
    }
  }

  @Override
  public void close() {
    synchronized (encoding) {
      synchronized (decoding) {
        if (!closed) {
          closed = true;
          Opus.opus_encoder_destroy(encoder);
          Opus.opus_decoder_destroy(decoder);
        }
      }
    }
  }
}
