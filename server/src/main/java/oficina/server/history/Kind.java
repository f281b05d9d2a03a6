package oficina.server.history;

import oficina.core.history.Part;

/** What entries are told apart by when only some are wanted. */
enum Kind {
  PLACED,
  /** And not missed. */
  RECEIVED,
  MISSED;

  static Kind of(Part part) {
    if (part.result().missed()) {
      return MISSED;
    }
    return part.direction() == Part.Direction.PLACED ? PLACED : RECEIVED;
  }
}
