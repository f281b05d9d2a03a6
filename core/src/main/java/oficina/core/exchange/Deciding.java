package oficina.core.exchange;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.MachineCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Decision;
import oficina.core.decision.Refusal;
import oficina.core.draft.Draft;
import oficina.core.office.Office;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import org.jspecify.annotations.Nullable;

/**
 * One decision: who decides on which family of commands, and what follows from every one. The
 * answer to a command is the refusal, or null when it is carried out.
 */
final class Deciding implements Command.Cases<@Nullable Refusal> {
  private final ExchangeState state;
  private final Services services;

  /** What follows whatever was decided, in this order. */
  private final List<Runnable> followUps;

  Deciding(ExchangeState state, Office office, Instant now) {
    this.state = state;
    services = Services.with(new Draft(state, office, now));
    followUps =
        List.of(
            services.phones()::letGo,
            services.callBacks()::advance,
            services.returning()::followUp,
            services.members()::followUp,
            services.waiting()::distribute,
            services.tapes()::followUp);
  }

  /** What the decision works on. */
  Draft draft() {
    return services.then().draft();
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
    return draft().accepted();
  }

  private @Nullable Refusal notThere(Command command) {
    return command instanceof Command.AtDevice at && !(at instanceof Command.RingsOutside)
        ? services.phones().mustBeThere(at.person(), at.device())
        : null;
  }

  /** This party turns the call away, or is gone for another reason. */
  void gone(Call call, Connection leaving, Cause cause) {
    services.then().clearing().gone(call, leaving, cause);
    followUps.forEach(Runnable::run);
  }

  /** Has happen what is due in this call. */
  void timeIsUp(CallId id) {
    new Timers(services).timeIsUp(id);
    followUps.forEach(Runnable::run);
  }

  @Override
  public @Nullable Refusal of(CallCommand command) {
    return command.accept(new DecidingCalls(services));
  }

  @Override
  public @Nullable Refusal of(SendCommand command) {
    return command.accept(new DecidingSends(services));
  }

  @Override
  public @Nullable Refusal of(ConferenceCommand command) {
    return command.accept(new DecidingConferences(services));
  }

  @Override
  public @Nullable Refusal of(MachineCommand command) {
    return command.accept(new DecidingMachines(services));
  }

  @Override
  public @Nullable Refusal of(NetworkCommand command) {
    return command.accept(new DecidingNetwork(services));
  }

  @Override
  public @Nullable Refusal of(OfficeCommand command) {
    return command.accept(new DecidingOffice(state, services));
  }
}
