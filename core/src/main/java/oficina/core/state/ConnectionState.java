package oficina.core.state;

/** State of a connection, as ECMA-269 (CSTA phase III) section 6.1.5 names them. */
public enum ConnectionState {
  /** The public network is setting the call up; nothing rings yet. */
  INITIATED,
  /** The devices of this party ring. */
  ALERTING,
  /** Answered at an outside number that stands for somebody's device, and asked for a key. */
  ASKED,
  /** Takes part in the call: speaks, or hears it ring, or hears the tone that tells why not. */
  CONNECTED,
  /** Put the others on hold. */
  HOLD
}
