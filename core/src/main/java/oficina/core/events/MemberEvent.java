package oficina.core.events;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** What becomes of somebody as a member of lines (agent states of ECMA-269). */
public sealed interface MemberEvent extends ExchangeEvent {

  PersonId person();

  @Override
  default PersonId statusOf() {
    return person();
  }

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(Rested event);

    R of(TookPart event);

    R of(FinishingBegan event);

    R of(FinishingEnded event);
  }

  /**
   * They are rung for the line no longer (Agent Not Ready).
   *
   * @param reason from the office's list; empty when none was given
   * @param by who has decided it; null when the exchange has, because they answered twice in vain
   */
  record Rested(PersonId person, GroupId line, Instant at, String reason, @Nullable PersonId by)
      implements MemberEvent {
    @Override
    public String subject() {
      return restOf(person, line);
    }

    @Override
    public boolean begins() {
      return true;
    }

    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** They are rung for the line again (Agent Ready). */
  record TookPart(PersonId person, GroupId line, Instant at, PersonId by) implements MemberEvent {
    @Override
    public String subject() {
      return restOf(person, line);
    }

    @Override
    public boolean ends() {
      return true;
    }

    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * A call for a queue is over, and they write down what it was about (Agent Working After Call);
   * or they need longer for it.
   *
   * @param until when they are rung again
   */
  record FinishingBegan(PersonId person, GroupId line, Instant at, CallId call, Instant until)
      implements MemberEvent {
    @Override
    public String subject() {
      return "finishing " + person;
    }

    @Override
    public boolean begins() {
      return true;
    }

    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** They are done with it, or their time for it is. */
  record FinishingEnded(PersonId person, Instant at) implements MemberEvent {
    @Override
    public String subject() {
      return "finishing " + person;
    }

    @Override
    public boolean ends() {
      return true;
    }

    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  private static String restOf(PersonId person, GroupId line) {
    return "rest " + person + " " + line;
  }
}
