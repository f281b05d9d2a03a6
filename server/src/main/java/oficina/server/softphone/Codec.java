package oficina.server.softphone;

/**
 * Turns frames of 20 ms into the payload of a packet and back. Encoding and decoding may happen on
 * two threads at once, each on one at a time.
 */
interface Codec extends AutoCloseable {

  /** By how much the time of a packet goes on with each frame. */
  int ticksPerFrame();

  /**
   * @return how many bytes were written
   */
  int encode(short[] frame, byte[] payload);

  void decode(byte[] payload, int length, short[] frame);

  /** A frame in place of one that was lost. */
  void conceal(short[] frame);

  @Override
  void close();
}
