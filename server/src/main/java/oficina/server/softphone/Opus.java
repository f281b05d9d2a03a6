package oficina.server.softphone;

import com.sun.jna.Native;
import com.sun.jna.NativeLibrary;
import com.sun.jna.Pointer;
import com.sun.jna.ptr.IntByReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The Opus codec (RFC 6716) of the machine, by Debian's libopus0. */
final class Opus {
  private static final Logger LOG = LoggerFactory.getLogger(Opus.class);

  /** Whether this machine has it. */
  static final boolean THERE = load();

  static final int VOICE = 2048;
  static final int SET_BITRATE = 4002;
  static final int SET_COMPLEXITY = 4010;
  static final int SET_INBAND_FEC = 4012;
  static final int SET_PACKET_LOSS = 4014;

  private Opus() {}

  private static boolean load() {
    try {
      Native.register(NativeLibrary.getInstance("libopus.so.0"));
      return true;
    } catch (UnsatisfiedLinkError e) {
      LOG.warn(
          "Opus is not on this machine (Debian's libopus0): voices are carried by G.711, as on an"
              + " ordinary telephone line");
      return false;
    }
  }

  static native Pointer opus_encoder_create(
      int rate, int channels, int application, IntByReference error);

  static native int opus_encode(
      Pointer encoder, short[] samples, int count, byte[] packet, int most);

  static native int opus_encoder_ctl(Pointer encoder, int request, int value);

  static native void opus_encoder_destroy(Pointer encoder);

  static native Pointer opus_decoder_create(int rate, int channels, IntByReference error);

  static native int opus_decode(
      Pointer decoder, byte[] packet, int length, short[] samples, int count, int fromNext);

  static native void opus_decoder_destroy(Pointer decoder);
}
