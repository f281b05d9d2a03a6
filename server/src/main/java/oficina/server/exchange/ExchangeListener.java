package oficina.server.exchange;

import oficina.core.exchange.Call;
import oficina.core.exchange.ExchangeEvent;

/** Told of every event on the exchange's own thread, in order; must not wait for anything. */
public interface ExchangeListener {

  /**
   * @param after the call as it is now; null when the event ended it
   */
  void happened(ExchangeEvent event, Call after);

  /** A call that was in progress when the server stopped goes on. */
  default void takenUp(Call call) {}
}
