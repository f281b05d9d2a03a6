package oficina.core.commands;

import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.numbers.Dialled;
import oficina.core.office.Settings;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** What an employee asks to have a call go on to somebody else, to wait, or to come back. */
public sealed interface SendCommand extends Command {

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(PutThrough command);

    R of(PullBack command);

    R of(Deflect command);

    R of(Announce command);

    R of(HandOver command);

    R of(Reconnect command);

    R of(Park command);

    R of(TakeParked command);

    R of(ToMailbox command);

    R of(TakeFromMailbox command);

    R of(RequestCallBack command);

    R of(CancelCallBack command);

    R of(TakeWaiting command);

    R of(MoveWaiting command);
  }

  <R> R accept(Cases<R> cases);

  @Override
  default <R> R accept(Command.Cases<R> cases) {
    return cases.of(this);
  }

  /**
   * Single-step transfer: send the other party on, without speaking to the target first.
   *
   * @param unanswered where it goes when nobody takes it there; null for what the office has set
   */
  record PutThrough(
      CallId call,
      PersonId person,
      Dialled to,
      @Nullable CallerIdChoice callerId,
      Settings.@Nullable Unanswered unanswered)
      implements SendCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Take back a call that was sent on, as long as nobody has answered it. */
  record PullBack(CallId call, PersonId person, DeviceId device)
      implements SendCommand, Command.ByPerson, Command.AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Deflect: send a ringing call on without answering it. */
  record Deflect(CallId call, PersonId person, Dialled to, @Nullable CallerIdChoice callerId)
      implements SendCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Consultation: hold this call and place another one to announce it.
   *
   * @param announcement identity of the new call
   */
  record Announce(
      CallId call,
      PersonId person,
      CallId announcement,
      DeviceId device,
      Dialled to,
      @Nullable CallerIdChoice callerId)
      implements SendCommand, Command.ByPerson, Command.RingsOutside {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Transfer: connect the other parties of two calls in hand and leave both. */
  record HandOver(CallId call, PersonId person, CallId other)
      implements SendCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Reconnect: end the announcing call and go back to the one it announces. */
  record Reconnect(CallId call, PersonId person) implements SendCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Park call.
   *
   * @param slot where; null for the next free one
   * @param forWhom whom it waits for; null for anybody
   * @param note what is to be known of it; empty when nothing
   */
  record Park(
      CallId call, PersonId person, @Nullable String slot, @Nullable PersonId forWhom, String note)
      implements SendCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Take the call that waits in a park slot.
   *
   * @param call the call expected there; null for whatever waits
   * @param evenForOthers whether it is wanted even if it is meant for somebody else
   */
  record TakeParked(
      @Nullable CallId call, PersonId person, DeviceId device, String slot, boolean evenForOthers)
      implements SendCommand, Command.AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Have a mailbox take a message: for oneself, of a call that rings here; of whom one has called
   * in vain; or from the caller one has announced, for whom one wanted to hand them over to.
   */
  record ToMailbox(CallId call, PersonId person) implements SendCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Speak with a caller who is leaving a message for oneself, or for a group of one's own. */
  record TakeFromMailbox(CallId call, PersonId person, DeviceId device)
      implements SendCommand, Command.AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Call back: after a call that failed, be connected as soon as the colleague is free. */
  record RequestCallBack(CallId call, PersonId person, CallId request)
      implements SendCommand, Command.ByPerson {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Cancel call back. */
  record CancelCallBack(CallId request, PersonId person) implements SendCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Speaks with a caller who waits at a line that one leads, out of turn. */
  record TakeWaiting(CallId call, PersonId person, DeviceId device)
      implements SendCommand, Command.AtDevice {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Has a caller who waits at a line that one leads wait at another one. */
  record MoveWaiting(CallId call, PersonId person, GroupId to) implements SendCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }
}
