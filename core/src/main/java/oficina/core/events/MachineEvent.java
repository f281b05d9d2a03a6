package oficina.core.events;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.MessageEnd;
import oficina.core.call.Occasion;
import oficina.core.call.Party;
import oficina.core.people.PersonId;

/** What a voice of the office does that answers for somebody. */
public sealed interface MachineEvent extends CallEvent {

  /** What is to be done for each kind of them; a forgotten kind does not compile. */
  interface Cases<R> {
    R of(MailboxAnswered event);

    R of(Welcomed event);

    R of(RecordingBegan event);

    R of(MessageHeard event);

    R of(RecordingEnded event);
  }

  /**
   * A mailbox answers, and its greeting is played (Play Message of ECMA-269).
   *
   * @param occasion which greeting is played
   * @param why nobody else answers
   * @param missedBy employees who were wanted and were never rung
   * @param until when the greeting is over at the latest
   */
  record MailboxAnswered(
      CallId call,
      Instant at,
      int leg,
      Party.Mailbox mailbox,
      Occasion occasion,
      Cause why,
      List<PersonId> missedBy,
      Instant until)
      implements MachineEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The caller of a line is welcomed before it rings (Play Message and collect digits of ECMA-269).
   *
   * @param until when it rings at the latest
   */
  record Welcomed(CallId call, Instant at, int leg, Party.Welcome welcome, Instant until)
      implements MachineEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * The greeting is over: after a tone, what the caller says is recorded (Record Message).
   *
   * @param until when the message is as long as it may be
   */
  record RecordingBegan(CallId call, Instant at, int leg, Instant until) implements MachineEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /** So much has been said by now that the message is kept, however it ends. */
  record MessageHeard(CallId call, Instant at, int leg) implements MachineEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }

  /**
   * No more is recorded.
   *
   * @param kept whether enough was said to be a message
   */
  record RecordingEnded(CallId call, Instant at, int leg, MessageEnd how, boolean kept)
      implements MachineEvent {
    @Override
    public <R> R accept(ExchangeEvent.Cases<R> cases) {
      return cases.of(this);
    }
  }
}
