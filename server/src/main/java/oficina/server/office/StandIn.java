package oficina.server.office;

/** How a simulated colleague stands in for an employee while nobody is signed in as them. */
public enum StandIn {
  /** Sits at the desk and answers after a few seconds. */
  DESK,
  /** Signed in but not at the desk: it rings and nobody answers. */
  AWAY,
  /** Nobody stands in. */
  NONE
}
