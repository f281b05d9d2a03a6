package oficina.core.exchange;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.MachineCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.commands.SendCommand;
import oficina.core.exchange.Decision.Accepted;
import oficina.core.office.Office;
import oficina.core.state.ExchangeState;
import org.jspecify.annotations.Nullable;

/**
 * One decision: who decides on which family of commands, and what follows from every one. The
 * answer to a command is the refusal, or null when it is carried out.
 */
final class Deciding implements Command.Cases<@Nullable Refusal> {
  private final ExchangeState state;
  private final Draft draft;
  private final OutsidePhones phones;

  /** What follows whatever was decided, in this order. */
  private final List<Runnable> followUps;

  Deciding(ExchangeState state, Office office, Instant now) {
    this.state = state;
    draft = new Draft(state, office, now);
    phones = new OutsidePhones(draft);
    followUps = List.of(phones::letGo, new CallBacks(draft)::advance, new Tapes(draft)::followUp);
  }

  /** What the decision works on. */
  Draft draft() {
    return draft;
  }

  Decision decide(Command command) {
    Refusal refusal = notThere(command);
    if (refusal == null) {
      refusal = command.accept(this);
    }
    if (refusal != null) {
      return refusal;
    }
    followUps.forEach(Runnable::run);
    return new Accepted(draft.events());
  }

  private @Nullable Refusal notThere(Command command) {
    return command instanceof Command.AtDevice at && !(at instanceof Command.RingsOutside)
        ? phones.mustBeThere(at.person(), at.device())
        : null;
  }

  /** Has happen what is due in this call. */
  void timeIsUp(CallId id) {
    new Timers(draft).timeIsUp(id);
  }

  @Override
  public @Nullable Refusal of(CallCommand command) {
    return command.accept(new DecidingCalls(draft));
  }

  @Override
  public @Nullable Refusal of(SendCommand command) {
    return command.accept(new DecidingSends(draft));
  }

  @Override
  public @Nullable Refusal of(ConferenceCommand command) {
    return command.accept(new DecidingConferences(draft));
  }

  @Override
  public @Nullable Refusal of(MachineCommand command) {
    return command.accept(new DecidingMachines(draft));
  }

  @Override
  public @Nullable Refusal of(NetworkCommand command) {
    return command.accept(new DecidingNetwork(draft));
  }

  @Override
  public @Nullable Refusal of(OfficeCommand command) {
    return command.accept(new DecidingOffice(state, draft));
  }
}
