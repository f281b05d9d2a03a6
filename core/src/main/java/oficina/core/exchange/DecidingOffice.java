package oficina.core.exchange;

import oficina.core.call.CallId;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Refusal;
import oficina.core.draft.Draft;
import oficina.core.services.CallBacks;
import oficina.core.services.Devices;
import oficina.core.services.Handling;
import oficina.core.services.OutsidePhones;
import oficina.core.services.Statuses;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import org.jspecify.annotations.Nullable;

/** Who decides on what becomes of devices and people, and what time brings. */
final class DecidingOffice implements OfficeCommand.Cases<@Nullable Refusal> {
  private final ExchangeState state;
  private final Draft draft;
  private final Handling handling;
  private final CallBacks callBacks;
  private final Devices devices;
  private final Statuses statuses;
  private final OutsidePhones phones;
  private final Timers timers;

  /**
   * @param state before the decision, which alone knows what is due
   */
  DecidingOffice(ExchangeState state, Services with) {
    this.state = state;
    draft = with.then().draft();
    handling = with.handling();
    callBacks = with.callBacks();
    devices = with.devices();
    statuses = with.statuses();
    phones = with.phones();
    timers = new Timers(with);
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.DeviceComes c) {
    return devices.comes(c);
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.DeviceGoes c) {
    return devices.goes(c);
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.LendDevice c) {
    return devices.lend(c);
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.SetStatus c) {
    return statuses.set(c);
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.Leave c) {
    callBacks.forget(c.person());
    statuses.over(c.person());
    for (CallId id : state.inHand(c.person())) {
      Call call = draft.call(id);
      Connection own = call == null ? null : call.of(c.person());
      if (own != null) {
        handling.clear(call, own);
      }
    }
    devices.allGo(c.person());
    return null;
  }

  @Override
  public @Nullable Refusal of(OfficeCommand.Tick c) {
    state.statusOverBy(draft.now).forEach(statuses::over);
    state.dueBy(draft.now).forEach(timers::timeIsUp);
    phones.timeIsUp();
    return null;
  }
}
