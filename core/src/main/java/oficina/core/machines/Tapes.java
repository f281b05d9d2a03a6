package oficina.core.machines;

import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.TapeEnd;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.TalkEvent;
import oficina.core.events.TapeEvent;
import oficina.core.office.Settings;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.people.RecordingChoice;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.Tape;
import org.jspecify.annotations.Nullable;

/**
 * Which calls are recorded, and for whom. Each employee's part is recorded for them alone, so that
 * a call sent on is recorded further only where the office or the next one wants it; a conference
 * is recorded once.
 */
public final class Tapes {
  private static final String REFUSING_KEY = "*";

  private final Draft draft;

  /** For one decision. */
  public Tapes(Consequences then) {
    draft = then.draft();
  }

  private RecordingChoice choice(PersonId person) {
    return draft
        .office
        .directory()
        .person(person)
        .map(Person::calls)
        .map(calls -> draft.settings().recording().of(calls.recording()))
        .orElse(RecordingChoice.NEVER);
  }

  private static @Nullable Connection otherOn(Call call, Connection mine) {
    return call.connections().stream()
        .filter(each -> each.tape().on() && each.leg() != mine.leg())
        .findFirst()
        .orElse(null);
  }

  private static boolean refused(Call call) {
    return call.connections().stream().anyMatch(each -> each.tape().refused());
  }

  /** Refused where the office, the person or the other party does not want it, or nobody speaks. */
  public @Nullable Refusal mayStart(Call call, Connection mine) {
    if (choice(mine.party().employee()) == RecordingChoice.NEVER) {
      return Refusal.of(Reason.RECORDING_NOT_ALLOWED);
    }
    if (!mine.answered()
        || !call.conversation()
        || call.mailbox() != null
        || Attendants.in(call) != null) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    if (emergencyNotRecorded(call)) {
      return Refusal.of(Reason.EMERGENCY_NOT_RECORDED);
    }
    if (refused(call)) {
      return Refusal.of(Reason.RECORDING_REFUSED);
    }
    Connection other = call.conference() ? otherOn(call, mine) : null;
    return other == null ? null : Refusal.of(Reason.RECORDED_BY_OTHER, other.party().employee());
  }

  private boolean emergencyNotRecorded(Call call) {
    return !draft.settings().recording().emergencies()
        && call.connections().stream().anyMatch(each -> each.party().alwaysGoesOut());
  }

  /** Refused unless the call is recorded for this person. */
  public @Nullable Refusal mayStop(Connection mine) {
    return mine.tape().on() ? null : Refusal.of(Reason.NOT_RECORDED);
  }

  /** Begins or ends what is recorded for this person; nothing to do when it is so already. */
  public @Nullable Refusal switchTo(Call call, Connection mine, boolean on) {
    if (mine.tape().on() == on) {
      return null;
    }
    Refusal refusal = on ? mayStart(call, mine) : mayStop(mine);
    if (refusal == null && on) {
      start(call, mine);
    } else if (refusal == null) {
      stop(call, mine, TapeEnd.STOPPED);
    }
    return refusal;
  }

  private void start(Call call, Connection mine) {
    draft.emit(new TapeEvent.TapeStarted(call.id(), draft.now, mine.leg()));
    if (otherOn(call, mine) == null) { // else everybody knows already
      announce(call, mine);
    }
  }

  private void announce(Call call, Connection mine) {
    if (draft.settings().recording().announced() != Settings.Announced.NOT) {
      draft.emit(new TapeEvent.TapeAnnounced(call.id(), draft.now, mine.leg()));
    }
  }

  private void stop(Call call, Connection mine, TapeEnd why) {
    draft.emit(new TapeEvent.TapeStopped(call.id(), draft.now, mine.leg(), why));
  }

  /** An outsider has pressed keys: one says that they do not want to be recorded. */
  public void keys(Call call, Connection outsider, String digits) {
    boolean refusable =
        call.connections().stream().anyMatch(each -> each.tape().canBeRefused(draft.now));
    if (refusable && digits.contains(REFUSING_KEY)) {
      draft.emit(new TapeEvent.TapeRefused(call.id(), draft.now, outsider.leg()));
      call.connections().stream()
          .filter(each -> each.tape().on() || each.tape().state() == Tape.State.STOPPED)
          .forEach(each -> stop(call, each, TapeEnd.REFUSED));
    }
  }

  /** Those for whom a call is recorded, the one for whom it has been longest first. */
  private static List<Connection> on(Call call) {
    return call.connections().stream()
        .filter(each -> each.tape().on())
        .sorted(
            Comparator.<Connection, Instant>comparing(each -> each.tape().since())
                .thenComparing(Connection::leg))
        .toList();
  }

  /** After each decision: what has changed may begin or end a recording. */
  public void followUp() {
    Set<CallId> changed = new LinkedHashSet<>();
    for (ExchangeEvent event : draft.events()) {
      if (event.inCall() != null) {
        changed.add(event.inCall());
      }
      if (event instanceof TalkEvent.Merged merged) {
        changed.add(merged.other());
        newcomer(merged);
      }
    }
    for (CallId id : changed) {
      Call call = draft.call(id);
      if (call != null) {
        endWhatMayNotBe(call);
        beginByItself(draft.call(id));
      }
    }
  }

  /** An outsider who comes into a call that is recorded is told so, and can refuse. */
  private void newcomer(TalkEvent.Merged merged) {
    Call call = draft.call(merged.call());
    Connection came = call == null ? null : call.leg(merged.leg());
    if (came != null && came.party().usesOutsideLine() && !on(call).isEmpty()) {
      announce(call, on(call).get(0));
    }
  }

  private void endWhatMayNotBe(Call call) {
    List<Connection> on = on(call);
    if (refused(call)) {
      on.forEach(each -> stop(call, each, TapeEnd.REFUSER_CAME));
    } else if (emergencyNotRecorded(call)) {
      on.forEach(each -> stop(call, each, TapeEnd.EMERGENCY));
    } else if (call.conference()) {
      on.stream().skip(1).forEach(each -> stop(call, each, TapeEnd.RECORDED_BY_OTHER));
    }
  }

  private void beginByItself(Call call) {
    for (Connection each : call.connections()) {
      PersonId person = each.party().employee();
      if (person != null
          && each.tape().state() == Tape.State.NONE
          && choice(person) == RecordingChoice.EVERY_CALL
          && mayStart(draft.call(call.id()), each) == null) {
        start(draft.call(call.id()), each);
      }
    }
  }
}
