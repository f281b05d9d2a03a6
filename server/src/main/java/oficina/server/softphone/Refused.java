package oficina.server.softphone;

import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;

/** What was not taken at the port for sound, counted. */
public final class Refused {
  /** Packets from an address that has not proved to be a page. */
  final AtomicLong strangers = new AtomicLong();

  /** Pages that said they came from where another one is. */
  final AtomicLong addresses = new AtomicLong();

  /** Requests for the way here without the right password. */
  final AtomicLong credentials = new AtomicLong();

  /**
   * Pages that came with another certificate than they had said, or with none of DTLS' steps done.
   */
  final AtomicLong handshakes = new AtomicLong();

  /** Packets whose tag is not right. */
  final AtomicLong forged = new AtomicLong();

  /** Packets that had been there before. */
  final AtomicLong replayed = new AtomicLong();

  Refused() {}

  /** How many of each kind since the server started. */
  public Map<String, Long> counts() {
    return Map.of(
        "SOUND_OF_STRANGERS", strangers.get(),
        "SOUND_ADDRESS_HELD", addresses.get(),
        "SOUND_WRONG_CREDENTIALS", credentials.get(),
        "SOUND_WRONG_HANDSHAKE", handshakes.get(),
        "SOUND_FORGED", forged.get(),
        "SOUND_REPLAYED", replayed.get());
  }
}
