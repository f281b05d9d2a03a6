package oficina.core.services;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.call.Party;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Onward;
import oficina.core.events.DeviceEvent;
import oficina.core.events.TalkEvent;
import oficina.core.people.PersonId;
import oficina.core.routing.Way;
import oficina.core.routing.Ways;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.Device;
import org.jspecify.annotations.Nullable;

/** The devices through which people can be reached: they come and go. */
public final class Devices {
  private final Draft draft;
  private final Onward onward;
  private final Clearing clearing;

  /** For one decision. */
  public Devices(Consequences then) {
    draft = then.draft();
    onward = then.onward();
    clearing = then.clearing();
  }

  /** A device is there from now on; calls that were had at it are attended again. */
  public @Nullable Refusal comes(OfficeCommand.DeviceComes c) {
    if (draft.office.directory().person(c.person()).isEmpty()) {
      return Refusal.of(Reason.UNKNOWN_PERSON);
    }
    // One outside comes by being rung; and no window is any of the others.
    if (c.device().isOutside() || (c.kind() == DeviceKind.WINDOW && !c.device().isWindow())) {
      return Refusal.of(Reason.NO_SUCH_DEVICE);
    }
    Device there = new Device(c.device(), c.person(), c.kind(), c.attended());
    if (!draft.state.devices(c.person()).contains(there)) {
      draft.emit(
          new DeviceEvent.DeviceCame(c.person(), c.device(), draft.now, c.kind(), c.attended()));
      lookAfterCalls(c.person(), c.device());
    }
    return null;
  }

  /** A device is there no longer; nothing to do when it was not. */
  public @Nullable Refusal goes(OfficeCommand.DeviceGoes c) {
    if (draft.state.devices(c.person()).stream().anyMatch(d -> d.id().equals(c.device()))) {
      goes(c.person(), c.device());
    }
    return null;
  }

  /** Somebody uses another's device until they give it back; refused while it is in use. */
  public @Nullable Refusal lend(OfficeCommand.LendDevice c) {
    Device there =
        draft.state.devices(c.from()).stream()
            .filter(each -> each.id().equals(c.device()))
            .findFirst()
            .orElse(null);
    if (there == null) {
      return Refusal.of(Reason.NO_SUCH_DEVICE);
    }
    for (CallId id : draft.state.inHand(c.from())) {
      if (c.device().equals(draft.call(id).of(c.from()).device())) {
        return Refusal.of(Reason.DEVICE_IN_USE, c.from());
      }
    }
    if (draft.office.directory().person(c.to()).isEmpty()) {
      return Refusal.of(Reason.NO_SUCH_PERSON);
    }
    goes(c.from(), c.device());
    return comes(new OfficeCommand.DeviceComes(c.to(), c.device(), there.kind(), there.attended()));
  }

  /** Whoever leaves the office has no device any more. */
  public void allGo(PersonId person) {
    draft.state.devices(person).forEach(device -> goes(person, device.id()));
  }

  private void goes(PersonId person, DeviceId device) {
    draft.emit(new DeviceEvent.DeviceWent(person, device, draft.now));
    lookAfterCalls(person, device);
  }

  /**
   * A call in hand is attended by the device on which it is, and by no other one: nowhere else can
   * it be heard. When that goes, the other end hears music until the call is moved to another one
   * or the device is back, and after a time it is given up. Of a device that was never told of, as
   * of a program that asks for services, the exchange believes that it is there as long as somebody
   * is known to be at any other.
   *
   * @param changed the device that has come, gone or been given a call
   */
  public void lookAfterCalls(PersonId person, DeviceId changed) {
    List<Device> there = draft.state.devices(person);
    boolean somebody = there.stream().anyMatch(Device::attended);
    for (CallId id : draft.state.inHand(person)) {
      Connection mine = draft.call(id).of(person);
      if (mine == null || !mine.answered()) {
        continue;
      }
      boolean outside = DeviceId.OUTSIDE.equals(mine.device());
      if (outside && draft.call(id).failure() != null) {
        continue; // nobody is lost: the reason is shown until it is over
      }
      boolean here =
          outside
              ? draft.state.outsidePhone(person) != null
              : there.stream().anyMatch(device -> device.id().equals(mine.device()));
      boolean went = !here && (changed.equals(mine.device()) || !somebody);
      if (mine.attended() ? went : here) {
        Instant lostAt =
            mine.attended() ? draft.now.plus(draft.settings().times().unattended()) : null;
        draft.emit(new TalkEvent.Unattended(id, draft.now, mine.leg(), lostAt));
      }
    }
  }

  /**
   * Nobody has come back to a connection in time. Whoever is still there goes where a call goes
   * that nobody answers, if it was they who called and that leads anywhere.
   */
  public void givenUp(Call call, Connection gone) {
    Connection left = call.opposite(gone.leg());
    Party owner = gone.line() == null ? gone.party() : gone.line();
    boolean waits =
        call.connections().size() == 2
            && left != null
            && left.party().equals(call.caller())
            && left.state() == ConnectionState.CONNECTED
            && left.attended()
            && call.heldFor() == null;
    if (waits) {
      clearing.clear(call.id(), gone, Cause.LOST);
      List<Way> ways = Ways.whenComingIn(draft.office, owner, left.party());
      if (onward.leads(draft.call(call.id()), ways, Cause.NO_ANSWER, List.of())) {
        return;
      }
      clearing.end(draft.call(call.id()), Cause.LOST);
    } else {
      clearing.gone(call, gone, Cause.LOST);
    }
  }
}
