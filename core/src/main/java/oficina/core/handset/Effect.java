package oficina.core.handset;

import oficina.core.exchange.Command;

/** What the press of a key leads to, beyond the telephone itself. */
public sealed interface Effect {

  /** What is to be done for each kind of effect; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(Do effect);

    R of(Look effect);

    R of(Forward effect);

    R of(Assign effect);

    R of(SignOn effect);

    R of(GiveBack effect);
  }

  <R> R accept(Cases<R> cases);

  /** Ask this of the exchange. */
  record Do(Command command) implements Effect {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** A list of earlier calls of the holder. */
  enum Kind {
    HISTORY,
    MISSED,
    /** The call placed last, to be placed once more. */
    REDIAL
  }

  /** Look this up, and tell the telephone. */
  record Look(Kind kind) implements Effect {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Have every call of the holder go there.
   *
   * @param to as it was dialled; empty for no longer
   */
  record Forward(String to) implements Effect {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * Let a key with a lamp stand for this.
   *
   * @param number as it was dialled; empty for nothing
   */
  record Assign(int key, String number) implements Effect {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Have the telephone be somebody else's until they leave. */
  record SignOn(String extension, String pin) implements Effect {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Have it be its owner's again. */
  record GiveBack() implements Effect {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }
}
