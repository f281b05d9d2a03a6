package oficina.core.commands;

import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.numbers.PhoneNumber;
import org.jspecify.annotations.Nullable;

/** What the public network reports. */
public sealed interface NetworkCommand extends Command {

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(Arrive command);

    R of(NetworkRings command);

    R of(NetworkAnswers command);

    R of(NetworkFails command);

    R of(NetworkClears command);

    R of(NetworkKeys command);
  }

  <R> R accept(Cases<R> cases);

  @Override
  default <R> R accept(Command.Cases<R> cases) {
    return cases.of(this);
  }

  /** Reported by the public network for a call that it carries. */
  sealed interface ByNetwork extends NetworkCommand {
    CallId call();

    /** The connection of the outside party. */
    int leg();
  }

  /**
   * A call arrives from the public network.
   *
   * @param from null when the caller withheld it
   */
  record Arrive(CallId call, @Nullable PhoneNumber from, PhoneNumber to) implements NetworkCommand {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** It rings at the outside party. */
  record NetworkRings(CallId call, int leg) implements ByNetwork {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The outside party answered. */
  record NetworkAnswers(CallId call, int leg) implements ByNetwork {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The network cannot complete the call. */
  record NetworkFails(CallId call, int leg, Cause cause) implements ByNetwork {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The outside party hung up. */
  record NetworkClears(CallId call, int leg) implements ByNetwork {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** The outside party pressed keys. */
  record NetworkKeys(CallId call, int leg, String digits) implements ByNetwork {
    @Override
    public <R> R accept(Cases<R> cases) {
      return cases.of(this);
    }
  }
}
