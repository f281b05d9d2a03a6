package oficina.core.events;

import java.time.Instant;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import org.jspecify.annotations.Nullable;

/** Something that somebody says of themselves. */
public sealed interface StatusEvent extends ExchangeEvent {

  PersonId person();

  @Override
  default PersonId statusOf() {
    return person();
  }

  @Override
  default String subject() {
    return "status " + person();
  }

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(StatusSet event);

    R of(StatusOver event);
  }

  /**
   * Somebody says of themselves what they are.
   *
   * @param until when it undoes itself; null for when they change it
   */
  record StatusSet(
      PersonId person, Instant at, Status.Kind kind, String text, @Nullable Instant until)
      implements StatusEvent {
    @Override
    public boolean begins() {
      return true;
    }

    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Somebody says nothing of themselves any more. */
  record StatusOver(PersonId person, Instant at) implements StatusEvent {
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
