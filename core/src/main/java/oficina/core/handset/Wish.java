package oficina.core.handset;

/** What a telephone wants that is neither asked of the exchange nor looked up. */
public sealed interface Wish extends Effect {

  /** What is to be done for each wish; a forgotten one does not compile. */
  interface Wishes<R> {
    R of(Forward wish);

    R of(Assign wish);

    R of(SignOn wish);

    R of(GiveBack wish);
  }

  <R> R accept(Wishes<R> wishes);

  @Override
  default <R> R accept(Cases<R> cases) {
    return cases.of(this);
  }

  /**
   * Have every call of the holder go there.
   *
   * @param to as it was dialled; empty for no longer
   */
  record Forward(String to) implements Wish {
    @Override
    public <R> R accept(Wishes<R> wishes) {
      return wishes.of(this);
    }
  }

  /**
   * Let a key with a lamp stand for this.
   *
   * @param number as it was dialled; empty for nothing
   */
  record Assign(int key, String number) implements Wish {
    @Override
    public <R> R accept(Wishes<R> wishes) {
      return wishes.of(this);
    }
  }

  /** Have the telephone be somebody else's until they leave. */
  record SignOn(String extension, String pin) implements Wish {
    @Override
    public <R> R accept(Wishes<R> wishes) {
      return wishes.of(this);
    }
  }

  /** Have it be its owner's again. */
  record GiveBack() implements Wish {
    @Override
    public <R> R accept(Wishes<R> wishes) {
      return wishes.of(this);
    }
  }
}
