package oficina.core.handset;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.exchange.Exchange;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** What a telephone learns from where it is connected. Must not wait for anything. */
public interface Surroundings {

  /** Whose telephone it is now. */
  PersonId holder();

  /** Whether that is somebody else than its owner. */
  boolean lent();

  /** When it is given back by itself; null for when they leave. */
  @Nullable Instant lentUntil();

  /** How long a call rings elsewhere before it rings here too; null for never here. */
  @Nullable Duration ringsAfter();

  Exchange exchange();

  /** Identity for a call that is placed now. */
  CallId newCall();

  /** The party as the holder knows it; may be empty. */
  String name(Party party);

  /** Whom typed keys could mean, best first. */
  List<Found> find(String keys);

  /** What the keys with a lamp stand for, as dialled: empty for the own line, null for nothing. */
  List<@Nullable String> keys();

  /** Messages of the holder: new ones, and those that have been heard. */
  Messages messages();

  /**
   * Somebody who can be called.
   *
   * @param number what is dialled
   * @param shown the number as people here write it
   */
  record Found(String name, String number, String shown) {}

  /**
   * An earlier call.
   *
   * @param dial what is dialled to call them; null when there is no way
   * @param what how it went: MISSED, RECEIVED or PLACED
   */
  record Earlier(String name, @Nullable String dial, Instant at, String what) {}

  /** How many messages there are. */
  record Messages(int fresh, int old) {
    public static final Messages NONE = new Messages(0, 0);
  }
}
