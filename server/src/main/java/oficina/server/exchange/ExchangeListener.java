package oficina.server.exchange;

import oficina.core.call.CallId;
import oficina.core.events.ExchangeEvent;
import oficina.core.state.ExchangeState;

/**
 * Told of every event on the exchange's own thread, in order, once it is durable or the database is
 * known to be away; must not wait for anything.
 */
public interface ExchangeListener {

  /**
   * Told at once, before the event is durable: for keeping track of where things are, and for
   * nothing that anybody outside could notice.
   */
  default void applied(ExchangeEvent event) {}

  /** When it is told, among all who are. */
  Turn turn();

  default void happened(Told told) {}

  /**
   * Keys were pressed in a call in which a voice of the office takes them. They are in no event:
   * they may be a secret number.
   */
  default void pressed(CallId call, String keys) {}

  /** A rule has ended by itself: what follows from rules may look otherwise. */
  default void ruleEnded() {}

  /** The exchange has been taken up again, with whatever was there when the server stopped. */
  default void takenUp(ExchangeState state) {}
}
