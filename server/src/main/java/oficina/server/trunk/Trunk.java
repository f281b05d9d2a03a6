package oficina.server.trunk;

import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import org.jspecify.annotations.Nullable;

/**
 * The outside lines: what the public network is told. What it reports comes back through {@link
 * TrunkReports}. All on the exchange's thread.
 */
public interface Trunk {

  /**
   * Set up a call to an outside party.
   *
   * @param shown what the called party is shown; null when withheld
   */
  void setUp(TrunkCall call, Party to, @Nullable PhoneNumber shown);

  /** A call that the network brought in was answered. */
  void answered(TrunkCall call);

  /** A call that the network brought in cannot be completed; the caller hears why. */
  void refused(TrunkCall call, Cause cause);

  /** Keys were sent to the outside party. */
  void digits(TrunkCall call, String digits);

  /** The office has let go of this party. */
  void released(TrunkCall call);

  /**
   * The office's exchange has been away for a moment; this party's call goes on.
   *
   * @param incoming whether the office had called them
   * @param shown what they are shown if their call still has to be set up
   */
  void goesOn(
      TrunkCall call, Party party, boolean incoming, Stage stage, @Nullable PhoneNumber shown);

  /** How far a call has come. */
  enum Stage {
    SETTING_UP,
    RINGING,
    TALKING
  }
}
