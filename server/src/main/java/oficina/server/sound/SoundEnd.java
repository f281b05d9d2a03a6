package oficina.server.sound;

/**
 * Somewhere sound comes from and goes to: a page, a stand-in's voice, later a SIP telephone or a
 * mailbox. Asked by threads of the engine, one at a time; must not wait.
 */
public interface SoundEnd {

  /**
   * What is spoken in the next 20 ms.
   *
   * @param frame is written to
   * @return false when nobody speaks; then nothing was written
   */
  boolean speak(short[] frame);

  /** What is heard in the next 20 ms; not to be kept. */
  void hear(short[] frame);

  /** Nothing is to be heard: this end is in no call. Told again every 20 ms. */
  default void idle() {}
}
