package oficina.core.commands;

import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.numbers.Dialled;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** What an employee asks for a call of theirs, or to have one. */
public sealed interface CallCommand extends Command {

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(MakeCall command);

    R of(Answer command);

    R of(Decline command);

    R of(Silence command);

    R of(Clear command);

    R of(Hold command);

    R of(Retrieve command);

    R of(Mute command);

    R of(SendDigits command);

    R of(MoveHere command);

    R of(PickUp command);

    R of(TakeOver command);

    R of(Tape command);
  }

  <R> R accept(Cases<R> cases);

  @Override
  default <R> R accept(Command.Cases<R> cases) {
    return cases.of(this);
  }

  /**
   * Make call.
   *
   * @param call identity of the new call
   * @param to what was dialled
   * @param callerId what a called outsider is to be shown; null for what the person has chosen
   * @param line the line it goes out on, whose number is shown instead; null for none
   * @param behalf the colleague in whose name it is placed; null for one's own
   */
  record MakeCall(
      CallId call,
      PersonId person,
      DeviceId device,
      Dialled to,
      @Nullable CallerIdChoice callerId,
      @Nullable GroupId line,
      @Nullable PersonId behalf)
      implements CallCommand, Command.ByPerson, Command.RingsOutside {

    /** On one's own line, in one's own name. */
    public MakeCall(
        CallId call,
        PersonId person,
        DeviceId device,
        Dialled to,
        @Nullable CallerIdChoice callerId) {
      this(call, person, device, to, callerId, null, null);
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Answer call. */
  record Answer(CallId call, PersonId person, DeviceId device)
      implements CallCommand, Command.ByPerson, Command.AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Refuse a ringing call; it goes where an unanswered one would. */
  record Decline(CallId call, PersonId person) implements CallCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Stop the noise of a ringing call. */
  record Silence(CallId call, PersonId person) implements CallCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Clear connection: hang up. */
  record Clear(CallId call, PersonId person) implements CallCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Hold call. */
  record Hold(CallId call, PersonId person) implements CallCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Retrieve call; another active one is held. */
  record Retrieve(CallId call, PersonId person) implements CallCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Be heard by nobody, or be heard again. */
  record Mute(CallId call, PersonId person, boolean on) implements CallCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Generate digits: send these to the outside party. */
  record SendDigits(CallId call, PersonId person, String digits)
      implements CallCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Go on with a call on another of one's own devices. */
  record MoveHere(CallId call, PersonId person, DeviceId device)
      implements CallCommand, Command.ByPerson, Command.RingsOutside {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Directed or group pickup: answer the call that has been ringing longest there.
   *
   * @param from at whom it rings; null for one's pickup group
   */
  record PickUp(PersonId person, DeviceId device, @Nullable PersonId from)
      implements CallCommand, Command.AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Answer, or go on with, a call that rings at somebody or is held by them for whom one acts, or
   * who has it in one's own name.
   */
  record TakeOver(CallId call, PersonId person, DeviceId device)
      implements CallCommand, Command.AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Start or stop recording one's part in a call. */
  record Tape(CallId call, PersonId person, boolean on) implements CallCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }
}
