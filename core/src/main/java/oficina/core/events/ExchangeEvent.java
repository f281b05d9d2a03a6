package oficina.core.events;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened at the exchange, in the words of ECMA-269. Everything else - what a desk
 * shows, the history, the drawn course of a call - is derived from these and from nothing else.
 */
public sealed interface ExchangeEvent
    permits CallEvent, DeviceEvent, MemberEvent, PhoneEvent, StatusEvent {

  /** What it happened to, as the journal files it: a call, a wish, a device or a status. */
  String subject();

  Instant at();

  /** The call or wish it happened to; null when it happened to a device. */
  default @Nullable CallId inCall() {
    return null;
  }

  /** Whose device it happened to; null when it happened to a call. */
  default @Nullable PersonId deviceOf() {
    return null;
  }

  /**
   * Who says something of themselves with it, or is a member; null when it happened to something
   * else.
   */
  default @Nullable PersonId statusOf() {
    return null;
  }

  /** The other subject that it changes too; null when none. All of them are replayed together. */
  default @Nullable String changesToo() {
    return null;
  }

  /** Whether its subject begins with it and is to be taken up again after a restart. */
  default boolean begins() {
    return false;
  }

  /** Whether its subject is over with it. */
  default boolean ends() {
    return false;
  }

  <R> R accept(Cases<R> cases);

  /** What is to be done for each kind of event; a forgotten kind does not compile. */
  interface Cases<R>
      extends ReachEvent.Cases<R>,
          TalkEvent.Cases<R>,
          MachineEvent.Cases<R>,
          QueueEvent.Cases<R>,
          MemberEvent.Cases<R>,
          TapeEvent.Cases<R>,
          CallBackEvent.Cases<R>,
          DeviceEvent.Cases<R>,
          PhoneEvent.Cases<R>,
          StatusEvent.Cases<R> {}
}
