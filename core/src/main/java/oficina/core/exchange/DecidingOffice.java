package oficina.core.exchange;

import oficina.core.call.CallId;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Refusal;
import oficina.core.draft.Draft;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import org.jspecify.annotations.Nullable;

/** Who decides on what becomes of devices and people, and what time brings. */
final class DecidingOffice implements OfficeCommand.Cases<@Nullable Refusal> {
  private final Services with;
  private final ExchangeState state;
  private final Draft draft;
  private final Timers timers;

  /**
   * @param state before the decision, which alone knows what is due
   */
  DecidingOffice(ExchangeState state, Services with) {
    this.with = with;
    this.state = state;
    draft = with.then().draft();
    timers = new Timers(with);
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.DeviceComes c) {
    return with.devices().comes(c);
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.DeviceGoes c) {
    return with.devices().goes(c);
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.LendDevice c) {
    return with.devices().lend(c);
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.SetStatus c) {
    return with.statuses().set(c);
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.TakePart c) {
    return with.members().takePart(c);
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.Finish c) {
    return with.members().finish(c);
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.Leave c) {
    with.callBacks().forget(c.person());
    with.members().forget(c.person());
    with.statuses().over(c.person());
    for (CallId id : state.inHand(c.person())) {
      Call call = draft.call(id);
      Connection own = call == null ? null : call.of(c.person());
      if (own != null) {
        with.handling().clear(call, own);
      }
    }
    with.devices().allGo(c.person());
    return null;
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.Tick c) {
    state.statusOverBy(draft.now).forEach(with.statuses()::over);
    state.dueBy(draft.now).forEach(timers::timeIsUp);
    state.queues().finishedBy(draft.now).forEach(with.members()::ends);
    with.phones().timeIsUp();
    return null;
  }
}
