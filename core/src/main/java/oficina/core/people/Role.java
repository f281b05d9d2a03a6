package oficina.core.people;

/** What somebody is for the office's set-up. */
public enum Role {
  EMPLOYEE,
  /** May change who belongs to the office and how it works. */
  ADMINISTRATOR,
  /** A room with a telephone: nobody signs in as it, and its delegates act for it. */
  ROOM
}
