package oficina.core.routing;

import oficina.core.call.Party;

/**
 * One way a call can go, with the reason that led to it. A call carries the ways that remain as
 * data: when nobody takes it where it is, it goes the next one that leads anywhere then.
 */
public record Way(Step step, Reason reason) {

  /** What is done on a way. */
  public sealed interface Step {
    /** What is to be done for each kind of step; a forgotten kind does not compile. */
    interface Cases<R> {
      R of(To step);

      R of(FrontDesk step);

      R of(WaitOn step);

      R of(ToMailbox step);

      R of(NextRing step);

      R of(ByRules step);
    }

    <R> R accept(Cases<R> cases);
  }

  /** It rings at this party, or goes out to them. */
  public record To(Party party) implements Step {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** It rings at the group that gets calls nobody else took, whichever that is by then. */
  public record FrontDesk() implements Step {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** It goes on waiting in its park slot. */
  public record WaitOn() implements Step {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The mailbox of this party takes a message. */
  public record ToMailbox(Party owner) implements Step {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * It rings at those whom somebody, or a line, has put at this place of their order.
   *
   * @param place from 0
   */
  public record NextRing(Party owner, int place) implements Step {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Where somebody's, or a line's, rules have it go that nobody has taken. */
  public record ByRules(Party owner) implements Step {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** Why a call goes a way (causes of a diversion, RFC 7044 and ITU-T I.252). */
  public enum Reason {
    /** Somebody dialled the number. */
    CALLED,
    /** Somebody sent the call there. */
    SENT_ON,
    /** Nobody took it where it was sent, or out of its slot: back to whoever sent or parked it. */
    BACK,
    /** They did not take it back either. */
    FRONT_DESK,
    /** Nobody took it anywhere, and it may wait once more. */
    WAITS_ON,
    /** Nobody took it; what the caller wanted to say is kept. */
    MESSAGE,
    /** Whoever was called has decided so. */
    BY_RULE,
    /** Whoever was welcomed has dialled nothing, or nobody took what they dialled. */
    WELCOMED
  }
}
