package oficina.core.commands;

import oficina.core.call.CallId;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;

/** What a voice of the office reports or asks for. */
public sealed interface MachineCommand extends Command {

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(GreetingOver command);

    R of(MessageSounds command);

    R of(CallerSilent command);

    R of(WelcomeOver command);

    R of(WelcomeConnects command);

    R of(CallerGives command);

    R of(WaiterChooses command);

    R of(AttendantClears command);

    R of(AttendantConnects command);
  }

  <R> R accept(Cases<R> cases);

  @Override
  default <R> R accept(Command.Cases<R> cases) {
    return cases.of(this);
  }

  /** Reported by what plays greetings and records messages, for a mailbox in a call. */
  sealed interface ByMailbox extends MachineCommand {
    CallId call();

    /** The connection of the mailbox. */
    int leg();
  }

  /** The greeting has been played. */
  record GreetingOver(CallId call, int leg) implements ByMailbox {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** As much has been said by now as makes a message. */
  record MessageSounds(CallId call, int leg) implements ByMailbox {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Nothing has been said for so long that no more is expected. */
  record CallerSilent(CallId call, int leg) implements ByMailbox {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Whoever was welcomed to a line has dialled nothing that is of use; it rings there now. */
  record WelcomeOver(CallId call, int leg) implements MachineCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Whoever was welcomed to a line has dialled an extension. */
  record WelcomeConnects(CallId call, int leg, Dialled to) implements MachineCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The voice that reads messages out has said its last word. */
  record AttendantClears(CallId call, int leg) implements MachineCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The voice that reads messages out connects whoever listens with somebody who left one.
   *
   * @param owner whose messages they are
   */
  record AttendantConnects(CallId call, int leg, PersonId owner, Dialled to)
      implements MachineCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Whoever was asked for a number of theirs has keyed it in.
   *
   * @param digits empty when they have given none
   */
  record CallerGives(CallId call, int leg, String digits) implements MachineCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Whoever waits at a line has chosen something by a key. */
  record WaiterChooses(CallId call, int leg, Choice choice) implements MachineCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** What whoever waits can choose. */
  enum Choice {
    /** To hang up, keep the place and be called back. */
    KEEP,
    MESSAGE,
    /** To go where the line's rules have those go whom nobody answers. */
    ELSEWHERE
  }
}
