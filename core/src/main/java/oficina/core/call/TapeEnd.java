package oficina.core.call;

/** Why a call is no longer recorded for somebody, although both are still in it. */
public enum TapeEnd {
  /** They have stopped it, and may go on. */
  STOPPED,
  /** The outsider did not want it; what was recorded is not kept. */
  REFUSED,
  /** Somebody is in the call now who has refused to be recorded. */
  REFUSER_CAME,
  /** It became a call with the emergency services, which are not recorded here. */
  EMERGENCY,
  /** It has become a conference that is recorded for somebody else. */
  RECORDED_BY_OTHER
}
