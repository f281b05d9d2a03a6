package oficina.core.exchange;

import java.util.function.BiConsumer;
import oficina.core.commands.MachineCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Draft;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/** Who decides on what voices of the office report and ask for. */
final class DecidingMachines implements MachineCommand.Cases<@Nullable Refusal> {
  private final Services with;
  private final Draft draft;

  DecidingMachines(Services with) {
    this.with = with;
    draft = with.then().draft();
  }

  private @Nullable Refusal atMailbox(
      MachineCommand.ByMailbox command, BiConsumer<Call, Connection> what) {
    Call call = draft.call(command.call());
    Connection mailbox = call == null ? null : call.mailbox();
    if (mailbox == null || mailbox.leg() != command.leg()) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    what.accept(call, mailbox);
    return null;
  }

  @Override
  public @Nullable Refusal of(MachineCommand.GreetingOver c) {
    return atMailbox(c, with.mailboxes()::greetingOver);
  }

  @Override
  public @Nullable Refusal of(MachineCommand.MessageSounds c) {
    return atMailbox(c, with.mailboxes()::sounds);
  }

  @Override
  public @Nullable Refusal of(MachineCommand.CallerSilent c) {
    return atMailbox(c, with.mailboxes()::silent);
  }

  @Override
  public @Nullable Refusal of(MachineCommand.CallerGives c) {
    return with.returning().given(c);
  }

  @Override
  public @Nullable Refusal of(MachineCommand.WaiterChooses c) {
    return with.returning().choose(c);
  }

  @Override
  public @Nullable Refusal of(MachineCommand.AttendantClears c) {
    return with.attendants().clear(c);
  }

  @Override
  public @Nullable Refusal of(MachineCommand.AttendantConnects c) {
    return with.attendants().connect(c);
  }

  @Override
  public @Nullable Refusal of(MachineCommand.WelcomeOver c) {
    return with.welcomes().over(c);
  }

  @Override
  public @Nullable Refusal of(MachineCommand.WelcomeConnects c) {
    return with.welcomes().connect(c);
  }
}
