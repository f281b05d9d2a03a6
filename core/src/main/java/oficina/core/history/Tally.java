package oficina.core.history;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.events.CallBackEvent.CallBackRings;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.MachineEvent.MailboxAnswered;
import oficina.core.events.MachineEvent.RecordingEnded;
import oficina.core.events.MachineEvent.Welcomed;
import oficina.core.events.QueueEvent.Queued;
import oficina.core.events.ReachEvent.Blocked;
import oficina.core.events.ReachEvent.Delivered;
import oficina.core.events.ReachEvent.Failed;
import oficina.core.events.ReachEvent.Originated;
import oficina.core.events.TalkEvent.CallCleared;
import oficina.core.events.TalkEvent.ConnectionCleared;
import oficina.core.events.TalkEvent.DigitsSent;
import oficina.core.events.TalkEvent.Established;
import oficina.core.events.TalkEvent.Merged;
import oficina.core.events.TalkEvent.Moved;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/**
 * What happened in one call, whoever it concerns: its course, who was there, since when somebody
 * has answered, why whoever was called could not be reached. Fed by every event of the call; what
 * is remembered for somebody is read from here.
 */
final class Tally {
  private final CallCourse course = new CallCourse();
  private final Map<Integer, Party> parties = new LinkedHashMap<>();
  private final StringBuilder digits = new StringBuilder();
  private Party caller;
  private Party called;
  private @Nullable Party answerer;
  private @Nullable Instant answered;
  private @Nullable Party lastToHangUp;
  private @Nullable Cause inVain;
  private Part.@Nullable Message message;
  private boolean over;

  /**
   * Takes in one event.
   *
   * @param after the call as it is after the event; null once it is over
   */
  void follow(ExchangeEvent event, @Nullable Call after) {
    course.follow(after, event.at());
    event.accept(new Following(after));
  }

  private final class Following implements FewEvents<@Nullable Void> {
    private final @Nullable Call after;

    Following(@Nullable Call after) {
      this.after = after;
    }

    @Override
    public @Nullable Void otherwise(ExchangeEvent event) {
      return null;
    }

    @Override
    public @Nullable Void of(Originated e) {
      began(e.leg(), e.caller(), e.called());
      return null;
    }

    @Override
    public @Nullable Void of(CallBackRings e) {
      began(e.leg(), e.caller(), e.called());
      return null;
    }

    @Override
    public @Nullable Void of(Delivered e) {
      parties.put(e.leg(), e.party());
      return null;
    }

    @Override
    public @Nullable Void of(Established e) {
      spoken(at(e.leg()), e.at());
      return null;
    }

    @Override
    public @Nullable Void of(Merged e) {
      if (after.leg(e.leg()).answered()) {
        spoken(at(e.leg()), e.at());
      }
      return null;
    }

    @Override
    public @Nullable Void of(Moved e) {
      course.goesOnElsewhere(e.at());
      return null;
    }

    @Override
    public @Nullable Void of(Failed e) {
      inVain = e.cause();
      return null;
    }

    @Override
    public @Nullable Void of(MailboxAnswered e) {
      parties.put(e.leg(), e.mailbox());
      inVain = inVain == null ? e.why() : inVain;
      return null;
    }

    @Override
    public @Nullable Void of(Welcomed e) {
      parties.put(e.leg(), e.welcome());
      return null;
    }

    @Override
    public @Nullable Void of(Queued e) {
      parties.put(e.leg(), e.queue());
      return null;
    }

    @Override
    public @Nullable Void of(Blocked e) {
      inVain = Cause.BLOCKED;
      return null;
    }

    @Override
    public @Nullable Void of(RecordingEnded e) {
      message = e.kept() ? Part.Message.LEFT : Part.Message.NOT_LEFT;
      return null;
    }

    @Override
    public @Nullable Void of(DigitsSent e) {
      digits.append(e.digits());
      return null;
    }

    @Override
    public @Nullable Void of(ConnectionCleared e) {
      if (answered != null && e.cause() == Cause.NORMAL) {
        lastToHangUp = at(e.leg());
      }
      return null;
    }

    @Override
    public @Nullable Void of(CallCleared e) {
      over = true;
      return null;
    }
  }

  private void began(int leg, Party by, Party to) {
    caller = by;
    called = to;
    parties.put(leg, by);
  }

  private void spoken(Party with, Instant at) {
    if (answered == null) {
      answered = at;
      answerer = with;
    }
  }

  /** Whoever comes over from another call is at this connection from now on. */
  void comesOver(int leg, Party party) {
    parties.put(leg, party);
  }

  /** Who is or was at a connection; of one that never rang, whoever was called. */
  Party at(int leg) {
    return parties.getOrDefault(leg, called);
  }

  CallCourse course() {
    return course;
  }

  Party caller() {
    return caller;
  }

  Party called() {
    return called;
  }

  /** Whom the caller reached: of a group that was called, whoever has answered. */
  Party reached() {
    return called.group() != null && answerer != null ? answerer : called;
  }

  /** Whoever answered first; null as long as nobody has. */
  @Nullable Party answerer() {
    return answerer;
  }

  /** Who hung up last; null when nobody has. */
  @Nullable Party lastToHangUp() {
    return lastToHangUp;
  }

  /** Why whoever was called could not be reached; null when that did not happen. */
  @Nullable Cause inVain() {
    return inVain;
  }

  /** What became of a message; null when none could be left. */
  Part.@Nullable Message message() {
    return message;
  }

  boolean isOver() {
    return over;
  }

  /** Digits sent so far, in order. */
  String digits() {
    return digits.toString();
  }
}
