package oficina.core.figures;

import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.MachineEvent;
import oficina.core.events.QueueEvent;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.figures.Wait.Outcome;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/** Finds in the events of calls what becomes of each that comes to wait at a line. */
public final class Waits {
  /** A wait that has begun; left is when the music ended, and what follows says why. */
  private record Open(
      GroupId line, @Nullable PhoneNumber number, Instant entered, @Nullable Instant left) {
    static Open at(Call call, GroupId line, Instant entered) {
      return new Open(line, call.caller().outsideNumber(), entered, null);
    }

    Open from(Instant start) {
      return new Open(line, number, start, null);
    }

    Open until(Instant end) {
      return new Open(line, number, entered, end);
    }
  }

  private final Map<CallId, Open> open = new HashMap<>();

  /** Goes on with a call that is in progress already, after a restart. */
  public void takeUp(Call call) {
    if (call.waits() || (call.place() != null && call.place().isAsked())) {
      open.put(call.id(), Open.at(call, call.place().line(), call.place().entered()));
    }
  }

  /**
   * Takes in one event.
   *
   * @param before the call as it was before the event; null when there was none
   * @return the wait that has ended with it; null when none has
   */
  public @Nullable Wait follow(ExchangeEvent event, @Nullable Call before) {
    if (event instanceof QueueEvent.Queued queued && queued.kept() != null) {
      return null; // called back in vain, they go on waiting
    }
    if (event instanceof QueueEvent.Queued queued) {
      Wait earlier = end(queued.call(), queued.at(), Outcome.SENT_ON, null);
      open.put(queued.call(), Open.at(before, queued.queue().line(), queued.at()));
      return earlier;
    }
    CallId call = event.inCall();
    Open wait = call == null ? null : open.get(call);
    return wait == null ? null : event.accept(new Following(wait, before));
  }

  private @Nullable Wait end(CallId call, Instant at, Outcome outcome, @Nullable PersonId by) {
    Open wait = open.remove(call);
    return wait == null
        ? null
        : new Wait(
            call,
            wait.line,
            wait.number,
            wait.entered,
            wait.left == null ? at : wait.left,
            outcome,
            by);
  }

  private final class Following implements FewEvents<@Nullable Wait> {
    private final Open wait;
    private final @Nullable Call before;

    Following(Open wait, @Nullable Call before) {
      this.wait = wait;
      this.before = before;
    }

    @Override
    public @Nullable Wait otherwise(ExchangeEvent event) {
      return null;
    }

    @Override
    public @Nullable Wait of(TalkEvent.Established e) {
      PersonId employee = before.leg(e.leg()).party().employee();
      if (!before.keepsPlace()) {
        return end(e.call(), e.at(), Outcome.ANSWERED, employee);
      }
      return employee == null
          ? end(e.call(), e.at(), Outcome.CALLED_BACK, before.place().by())
          : null; // who now calls them
    }

    @Override
    public @Nullable Wait of(TalkEvent.ConnectionCleared e) {
      if (before.leg(e.leg()).party().waitsAt() != null && !before.keepsPlace()) {
        open.put(e.call(), wait.until(e.at()));
      }
      return null;
    }

    /** Until then they could not have been answered: the wait begins here. */
    @Override
    public @Nullable Wait of(QueueEvent.NumberGiven e) {
      open.put(e.call(), wait.from(e.at()));
      return null;
    }

    @Override
    public @Nullable Wait of(ReachEvent.Routed e) {
      return sentOn(e.call(), e.at());
    }

    @Override
    public @Nullable Wait of(ReachEvent.SentOn e) {
      return sentOn(e.call(), e.at());
    }

    @Override
    public @Nullable Wait of(ReachEvent.Delivered e) {
      return sentOn(e.call(), e.at());
    }

    @Override
    public @Nullable Wait of(ReachEvent.NetworkReached e) {
      return sentOn(e.call(), e.at());
    }

    @Override
    public @Nullable Wait of(MachineEvent.MailboxAnswered e) {
      return end(e.call(), e.at(), Outcome.MESSAGE, null);
    }

    @Override
    public @Nullable Wait of(ReachEvent.Failed e) {
      return end(e.call(), e.at(), Outcome.FAILED, null);
    }

    @Override
    public @Nullable Wait of(TalkEvent.CallCleared e) {
      boolean leftThere = e.cause() == Cause.TRANSFERRED;
      return end(e.call(), e.at(), leftThere ? Outcome.SENT_ON : Outcome.GIVEN_UP, null);
    }

    /** Something that happens to it after the music has ended. */
    private @Nullable Wait sentOn(CallId call, Instant at) {
      return wait.left == null ? null : end(call, at, Outcome.SENT_ON, null);
    }
  }
}
