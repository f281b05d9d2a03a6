package oficina.core.decision;

import java.util.List;
import oficina.core.events.ExchangeEvent;

/** What the exchange answers to a command. */
public sealed interface Decision permits Decision.Accepted, Refusal {

  /**
   * It will be done.
   *
   * @param events what happens, in order; empty when there was nothing to do
   */
  record Accepted(List<ExchangeEvent> events) implements Decision {}
}
