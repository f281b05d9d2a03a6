package oficina.core.decision;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.events.ExchangeEvent;
import org.jspecify.annotations.Nullable;

/** What the exchange answers to a command. */
public sealed interface Decision permits Decision.Accepted, Refusal {

  /**
   * It will be done.
   *
   * @param events what happens, in order; empty when there was nothing to do
   * @param passedOn null when nothing is
   */
  record Accepted(List<ExchangeEvent> events, @Nullable PassedOn passedOn) implements Decision {}

  /**
   * Keys that a machine in the call takes. They are in no event, as they may be a secret number:
   * nobody else is to know them.
   */
  record PassedOn(CallId call, String keys) {}
}
