package oficina.server.standins;

import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.exchange.Call;
import oficina.core.exchange.Connection;
import oficina.core.numbers.PhoneNumber;

/**
 * The public network as the exchange needs it: what it is told. What it reports comes back as
 * commands of the exchange. All on the exchange's thread.
 */
interface OutsideNetwork {

  /**
   * Set up a call to an outside party.
   *
   * @param shown what the called party is shown; null when withheld
   */
  void setUp(CallId call, int leg, Party to, PhoneNumber shown);

  /** A call that the network brought in rings at the office. */
  void rings(CallId call);

  /** A call that the network brought in was answered. */
  void answered(CallId call);

  /** A call that the network brought in cannot be completed; the caller hears why. */
  void refused(CallId call, Cause cause);

  /** Keys were sent to the outside party. */
  void digits(CallId call, int leg, String digits);

  /** The office has made this party part of another call. */
  void moved(CallId from, int fromLeg, CallId to, int toLeg);

  /** The office's exchange has been away for a moment; this party's call goes on. */
  void takenUp(Call call, Connection party);

  /** The office has let go of this party. */
  void released(CallId call, int leg);
}
