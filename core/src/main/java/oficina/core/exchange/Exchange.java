package oficina.core.exchange;

import java.time.Instant;
import java.util.List;
import oficina.core.commands.Command;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Decision;
import oficina.core.draft.Draft;
import oficina.core.events.ExchangeEvent;
import oficina.core.office.Office;
import oficina.core.people.PersonId;
import oficina.core.queueing.Lately;
import oficina.core.services.ActedFor;
import oficina.core.state.Call;
import oficina.core.state.ExchangeState;
import org.jspecify.annotations.Nullable;

/**
 * The office's telephone exchange: a deterministic state machine in the words of ECMA-269 (CSTA).
 *
 * <p>{@link #decide} says what a command would lead to and changes nothing; {@link #apply} carries
 * events out; {@link #nextDue} says when a {@link OfficeCommand.Tick} is wanted. Time and
 * identities come in with the commands.
 *
 * <p>Not safe for use by several threads.
 */
public final class Exchange {
  private final ExchangeState state = new ExchangeState();
  private Office office;

  /** What was asked last what it would refuse; null since something has changed. */
  private @Nullable Services asked;

  public Exchange(Office office) {
    this.office = office;
  }

  /** From now on decisions rest on this office; calls in progress are not touched. */
  public void office(Office changed) {
    office = changed;
    asked = null;
  }

  /**
   * What the command leads to.
   *
   * @param now not before the time of any event applied so far
   */
  public Decision decide(Command command, Instant now) {
    return new Deciding(state, office, now).decide(command);
  }

  /**
   * What this person is offered for a call of theirs, or one they have sent on.
   *
   * @param call one they have a part in, or have sent on
   */
  public Offers offers(Call call, PersonId person) {
    return new Offering(asked()).of(call, person);
  }

  /** The calls of others that concern this person by delegation, the oldest first. */
  public List<ActedFor> actedFor(PersonId person) {
    return office.delegations().counterparts(person).isEmpty()
        ? List.of() // as for most people, whose desks are drawn with every event
        : asked().delegating().seenBy(person);
  }

  /** Asking changes nothing: as long as nothing happens all who look ask the same. */
  private Services asked() {
    if (asked == null) {
      asked = Services.with(new Draft(state, office, Instant.MAX));
    }
    return asked;
  }

  /** Carries out what was decided, or what is replayed. */
  public void apply(ExchangeEvent event) {
    state.apply(event);
    asked = null;
  }

  /** Begins with what earlier calls have left behind, before anything is replayed. */
  public void begin(Lately lately) {
    state.know(lately);
  }

  /** When the next tick is wanted, or null when nothing is pending. */
  public @Nullable Instant nextDue() {
    return state.nextDue();
  }

  public ExchangeState state() {
    return state;
  }

  public Office office() {
    return office;
  }
}
