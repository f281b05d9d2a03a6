package oficina.server.calls;

import java.util.Optional;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.history.ToReturn;
import oficina.core.people.PersonId;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.history.HistoryStore;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** The calls a person has, or has had. */
@Component
public class OwnCalls {
  private final ExchangeLoop loop;
  private final HistoryStore history;

  OwnCalls(ExchangeLoop loop, HistoryStore history) {
    this.loop = loop;
    this.history = history;
  }

  /**
   * Whom a call of this person's is or was with, as {@link ToReturn#key} has it; null when there is
   * no telling.
   *
   * @throws Problem when it is no call of theirs
   */
  public @Nullable String other(PersonId person, CallId id) {
    return ToReturn.key(party(person, id));
  }

  /**
   * Whom a call of this person's is or was with.
   *
   * @throws Problem when it is no call of theirs
   */
  public Party party(PersonId person, CallId id) {
    return Commands.await(loop.ask(() -> inHand(person, id)))
        .or(() -> history.part(person, id).map(part -> part.other()))
        .orElseThrow(() -> new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_CALL"));
  }

  private Optional<Party> inHand(PersonId person, CallId id) {
    return Optional.ofNullable(loop.state().call(id)).map(call -> call.otherFor(person));
  }
}
