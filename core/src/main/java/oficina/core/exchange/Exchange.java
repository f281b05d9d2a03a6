package oficina.core.exchange;

import java.time.Instant;
import oficina.core.routing.Office;

/**
 * The office's telephone exchange: a deterministic state machine in the words of ECMA-269 (CSTA).
 *
 * <p>{@link #decide} says what a command would lead to and changes nothing; {@link #apply} carries
 * events out; {@link #nextDue} says when a {@link Command.Tick} is wanted. Time and identities come
 * in with the commands.
 *
 * <p>Not safe for use by several threads.
 */
public final class Exchange {
  private final ExchangeState state = new ExchangeState();
  private Settings settings;
  private Office office;

  public Exchange(Settings settings, Office office) {
    this.settings = settings;
    this.office = office;
  }

  /** From now on decisions rest on this office; calls in progress are not touched. */
  public void office(Settings settings, Office office) {
    this.settings = settings;
    this.office = office;
  }

  /**
   * What the command leads to.
   *
   * @param now not before the time of any event applied so far
   */
  public Decision decide(Command command, Instant now) {
    return new Deciding(state, settings, office, now).decide(command);
  }

  /** Carries out what was decided, or what is replayed. */
  public void apply(ExchangeEvent event) {
    state.apply(event);
  }

  /** When the next tick is wanted, or null when nothing is pending. */
  public Instant nextDue() {
    return state.nextDue();
  }

  public ExchangeState state() {
    return state;
  }

  public Office office() {
    return office;
  }
}
