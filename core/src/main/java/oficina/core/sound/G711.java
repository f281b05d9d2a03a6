package oficina.core.sound;

/**
 * The two companding laws of ITU-T G.711, one byte for each sample of 8 kHz. Every browser speaks
 * both (RFC 7874).
 */
public enum G711 {
  /** Payload type 0 of RTP (RFC 3551). */
  MU_LAW(0) {
    @Override
    byte compress(int sample) {
      int sign = sample < 0 ? 0x80 : 0;
      int size = Math.min(Math.abs(sample), MU_CLIP) + MU_BIAS;
      int exponent = 7;
      for (int mask = 0x4000; (size & mask) == 0 && exponent > 0; mask >>= 1) {
        exponent--;
      }
      return (byte) ~(sign | exponent << 4 | size >> exponent + 3 & 0xF);
    }

    @Override
    int expand(int code) {
      int bits = ~code & 0xFF;
      int size = ((bits & 0xF) << 3) + MU_BIAS << ((bits & 0x70) >> 4);
      return (bits & 0x80) != 0 ? MU_BIAS - size : size - MU_BIAS;
    }
  },
  /** Payload type 8 of RTP. */
  A_LAW(8) {
    @Override
    byte compress(int sample) {
      int sign = sample >= 0 ? 0x80 : 0;
      int size = sample >= 0 ? sample : -sample - 1;
      int exponent = 7;
      for (int mask = 0x4000; (size & mask) == 0 && exponent > 0; mask >>= 1) {
        exponent--;
      }
      int mantissa = size >> (exponent == 0 ? 4 : exponent + 3) & 0xF;
      return (byte) ((sign | exponent << 4 | mantissa) ^ EVEN_BITS);
    }

    @Override
    int expand(int code) {
      int bits = (code ^ EVEN_BITS) & 0xFF;
      int exponent = (bits & 0x70) >> 4;
      int size = ((bits & 0xF) << 4) + 8;
      if (exponent > 0) {
        size = size + 0x100 << exponent - 1;
      }
      return (bits & 0x80) != 0 ? size : -size;
    }
  };

  private static final int MU_BIAS = 0x84;
  private static final int MU_CLIP = 32_635;

  /** A-law inverts every other bit. */
  private static final int EVEN_BITS = 0x55;

  private final int payloadType;
  private final short[] expanded = new short[256];
  private final byte[] compressed = new byte[65_536];

  G711(int payloadType) {
    this.payloadType = payloadType;
    for (int i = 0; i < expanded.length; i++) {
      expanded[i] = (short) expand(i);
    }
    for (int i = 0; i < compressed.length; i++) {
      compressed[i] = compress((short) i);
    }
  }

  abstract byte compress(int sample);

  abstract int expand(int code);

  /** By which RTP names it. */
  public int payloadType() {
    return payloadType;
  }

  /** Compresses samples of 8 kHz. */
  public void encode(short[] samples, int count, byte[] out) {
    for (int i = 0; i < count; i++) {
      out[i] = compressed[samples[i] & 0xFFFF];
    }
  }

  /** Expands to samples of 8 kHz. */
  public void decode(byte[] bytes, int count, short[] out) {
    for (int i = 0; i < count; i++) {
      out[i] = expanded[bytes[i] & 0xFF];
    }
  }
}
