package oficina.server.trunk;

import oficina.core.call.Cause;
import oficina.core.numbers.PhoneNumber;
import org.jspecify.annotations.Nullable;

/** What the public network reports. All on the exchange's thread. */
public interface TrunkReports {

  /**
   * A call arrives for a number of the office.
   *
   * @param from null when the caller withheld it
   */
  void arrives(TrunkCall call, @Nullable PhoneNumber from, PhoneNumber to);

  /** It rings at the outside party. */
  void rings(TrunkCall call);

  /** The outside party answered. */
  void answers(TrunkCall call);

  /** The network cannot complete the call. */
  void fails(TrunkCall call, Cause cause);

  /** The outside party pressed keys (RFC 4733 events). */
  void keys(TrunkCall call, String digits);

  /** The outside party hung up. */
  void clears(TrunkCall call);
}
