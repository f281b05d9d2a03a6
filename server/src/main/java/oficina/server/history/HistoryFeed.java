package oficina.server.history;

import oficina.core.people.PersonId;

/** Is told when somebody's history has changed otherwise than by a call. */
public interface HistoryFeed {
  void historyChanged(PersonId person);

  /** Somebody has said who calls whom back. */
  void toReturnChanged();
}
