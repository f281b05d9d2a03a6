package oficina.core.commands;

import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;

/** What the exchange can be asked to do: services of ECMA-269, and what the network reports. */
public sealed interface Command
    permits CallCommand,
        SendCommand,
        ConferenceCommand,
        MachineCommand,
        NetworkCommand,
        OfficeCommand {

  /** What is to be done for each family of commands. */
  interface Cases<R> {
    R of(CallCommand command);

    R of(SendCommand command);

    R of(ConferenceCommand command);

    R of(MachineCommand command);

    R of(NetworkCommand command);

    R of(OfficeCommand command);
  }

  <R> R accept(Cases<R> cases);

  /** Asked by an employee for a call that they have a part in. */
  interface ByPerson {
    CallId call();

    PersonId person();
  }

  /** What is done at a device of the person. */
  interface AtDevice {
    PersonId person();

    DeviceId device();
  }

  /** The same, where a telephone outside can be that device: it is rung first. */
  interface RingsOutside extends AtDevice {}
}
