package oficina.core.events;

import java.time.Instant;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.people.PersonId;

/** An event of a device. */
public sealed interface DeviceEvent extends ExchangeEvent {

  PersonId person();

  DeviceId device();

  @Override
  default PersonId deviceOf() {
    return person();
  }

  @Override
  default String subject() {
    return "device " + person() + " " + device();
  }

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(DeviceCame event);

    R of(DeviceWent event);
  }

  /** A device is there from now on, or there as something else than before. */
  record DeviceCame(PersonId person, DeviceId device, Instant at, DeviceKind kind, boolean attended)
      implements DeviceEvent {
    @Override
    public boolean begins() {
      return true;
    }

    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A device is no longer there. */
  record DeviceWent(PersonId person, DeviceId device, Instant at) implements DeviceEvent {
    @Override
    public boolean ends() {
      return true;
    }

    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }
}
