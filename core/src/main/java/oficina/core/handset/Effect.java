package oficina.core.handset;

import oficina.core.commands.Command;

/** What the press of a key leads to, beyond the telephone itself. */
public sealed interface Effect permits Effect.Do, Effect.Look, Wish {

  /** What is to be done for each kind of effect; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(Do effect);

    R of(Look effect);

    R of(Wish effect);
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
}
