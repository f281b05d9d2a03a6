package oficina.core.routing;

import java.time.Duration;
import java.util.List;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.people.PersonId;

/** Where a way leads at this moment. */
public sealed interface Route {

  /** What is to be done for each kind of route; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(Ring route);

    R of(GoOut route);

    R of(TakeMessage route);

    R of(Attend route);

    R of(Greet route);

    R of(Wait route);

    R of(Refuse route);
  }

  <R> R accept(Cases<R> cases);

  /** Whether it leads to nobody. */
  default boolean refuses() {
    return false;
  }

  /** Whether it goes on from there by further ways when nobody takes it. */
  default boolean goesOnFrom() {
    return false;
  }

  /**
   * It rings at the devices of these people.
   *
   * @param line the line it comes in on: the person's own or the group's
   * @param outside outside numbers that are rung beside them
   */
  record Ring(List<PersonId> people, Party line, Duration time, List<Party> outside)
      implements Route {
    public Ring {
      people = List.copyOf(people);
      outside = List.copyOf(outside);
    }

    @Override
    public boolean goesOnFrom() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** It goes out to the public network. */
  record GoOut(Party to) implements Route {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * A mailbox answers.
   *
   * @param why nobody else does
   * @param missedBy employees who were wanted and were never rung
   */
  record TakeMessage(Party.Mailbox mailbox, Cause why, List<PersonId> missedBy) implements Route {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A voice of the office answers at once. */
  record Attend(Party.Attendant attendant) implements Route {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A voice welcomes the caller, and what follows is what they dial, or the remaining ways. */
  record Greet(Party.Welcome welcome) implements Route {
    @Override
    public boolean goesOnFrom() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A line keeps the caller until a member is free, at once if one is. */
  record Wait(Party.Queue queue) implements Route {
    @Override
    public boolean goesOnFrom() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * It goes nowhere.
   *
   * @param missedBy employees who were wanted and cannot be rung
   */
  record Refuse(Cause cause, List<PersonId> missedBy) implements Route {
    @Override
    public boolean refuses() {
      return true;
    }

    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }
}
