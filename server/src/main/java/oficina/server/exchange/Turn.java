package oficina.server.exchange;

/** Who is told first: the order in which listeners are told of each event. */
public enum Turn {
  /** Which line each outside party is at: the sound asks for it. */
  LINES,
  /** What each connection hears: voices and recordings are put at what the engine has by then. */
  SOUND,
  /** What voices of the office say. */
  VOICES,
  RECORDINGS,
  /** Devices, which show what is so by now. */
  DEVICES,
  /** Whoever only takes notes. */
  NOTES,
  /** Stand-ins, which act on it as people would: last of all. */
  STAND_INS
}
