package oficina.server.ledger;

import oficina.core.people.PersonId;

/** Whoever is signed in where something is done. */
public interface Doer {
  /** Who it is. */
  PersonId id();

  /** By which name they have signed in. */
  String signInName();
}
