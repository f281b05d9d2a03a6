package oficina.core.commands;

import java.time.Duration;
import java.time.Instant;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import org.jspecify.annotations.Nullable;

/** What becomes of devices and people, and that time passes. */
public sealed interface OfficeCommand extends Command {

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(DeviceComes command);

    R of(DeviceGoes command);

    R of(LendDevice command);

    R of(SetStatus command);

    R of(TakePart command);

    R of(Finish command);

    R of(Leave command);

    R of(Tick command);
  }

  <R> R accept(Cases<R> cases);

  @Override
  default <R> R accept(Command.Cases<R> cases) {
    return cases.of(this);
  }

  /**
   * A device of this person is there from now on.
   *
   * @param attended whether somebody is known to be at it
   */
  record DeviceComes(PersonId person, DeviceId device, DeviceKind kind, boolean attended)
      implements OfficeCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A device of this person is no longer there. */
  record DeviceGoes(PersonId person, DeviceId device) implements OfficeCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A device is somebody else's from now on, if nobody is on a call at it. */
  record LendDevice(DeviceId device, PersonId from, PersonId to) implements OfficeCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Says of oneself what one is. Free, and nothing more, is to say nothing.
   *
   * @param text in one's own words; empty for none
   * @param until when it undoes itself; null for when one changes it
   */
  record SetStatus(PersonId person, Status.Kind kind, String text, @Nullable Instant until)
      implements OfficeCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Takes part in a line from now on, or rests.
   *
   * @param line null for all lines of theirs
   * @param reason for resting, from the office's list; empty for none
   * @param by who decides it: themselves, or somebody who leads the line
   */
  record TakePart(
      PersonId person, @Nullable GroupId line, boolean rests, String reason, PersonId by)
      implements OfficeCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Is done with writing down what a call for a queue was about, or needs longer for it.
   *
   * @param more how much longer; null when it is done
   */
  record Finish(PersonId person, @Nullable Duration more) implements OfficeCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Somebody is no longer of the office: their calls, wishes and devices end. */
  record Leave(PersonId person) implements OfficeCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Time has passed: do what is due. */
  record Tick() implements OfficeCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }
}
