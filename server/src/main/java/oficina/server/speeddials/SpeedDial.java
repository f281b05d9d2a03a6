package oficina.server.speeddials;

/**
 * A key somebody has made.
 *
 * @param page which of their pages it is on, from 1
 * @param label their own word for it; empty for the name of what it is for
 * @param of the identity of a person, group or contact, a park slot, or an E.164 number
 * @param number which of a contact's numbers, as it is dialled; empty for the first
 * @param picture whether it has a picture of its own
 */
record SpeedDial(
    long id, int page, String label, Kind kind, String of, String number, boolean picture) {

  /** What a key is for. */
  enum Kind {
    PERSON,
    CONTACT,
    NUMBER,
    GROUP,
    SLOT
  }
}
