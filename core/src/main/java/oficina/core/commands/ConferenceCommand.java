package oficina.core.commands;

import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;

/** What whoever has brought several together asks for them. */
public sealed interface ConferenceCommand extends Command {

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(Join command);

    R of(TakeAside command);

    R of(MuteMember command);

    R of(Drop command);

    R of(EndForAll command);
  }

  <R> R accept(Cases<R> cases);

  @Override
  default <R> R accept(Command.Cases<R> cases) {
    return cases.of(this);
  }

  /** Conference: bring the other parties of two calls in hand together and stay. */
  record Join(CallId call, PersonId person, CallId other)
      implements ConferenceCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Speak with one member of a conference alone, in a call of its own, until {@link Join} brings
   * both back.
   *
   * @param leg the member's connection
   * @param aside identity of the new call
   */
  record TakeAside(CallId call, PersonId person, int leg, CallId aside, DeviceId device)
      implements ConferenceCommand, Command.ByPerson, Command.AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Have a member of a conference heard by nobody, or heard again. */
  record MuteMember(CallId call, PersonId person, int leg, boolean on)
      implements ConferenceCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Clear connection of another member of a conference. */
  record Drop(CallId call, PersonId person, int leg)
      implements ConferenceCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Clear call: end a conference for everybody. */
  record EndForAll(CallId call, PersonId person) implements ConferenceCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }
}
