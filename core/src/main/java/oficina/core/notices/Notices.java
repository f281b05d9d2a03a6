package oficina.core.notices;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.events.CallBackEvent.CallBackCleared;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.MachineEvent.MailboxAnswered;
import oficina.core.events.MemberEvent.Rested;
import oficina.core.events.ParkedCall;
import oficina.core.events.PhoneEvent.PhoneReleased;
import oficina.core.events.ReachEvent.Failed;
import oficina.core.events.TalkEvent.CallCleared;
import oficina.core.events.TalkEvent.ConnectionCleared;
import oficina.core.events.TalkEvent.Established;
import oficina.core.events.TalkEvent.Parked;
import oficina.core.history.Part;
import oficina.core.notices.Notice.What;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.CallBack;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.ExchangeState;
import oficina.core.state.OutsidePhone;
import org.jspecify.annotations.Nullable;

/** Derives from what happens at the exchange what people should be told of it. */
public final class Notices {
  private Notices() {}

  /**
   * Whom to tell what of an event.
   *
   * @param before the state in which the event has not been applied yet
   */
  public static List<Notice> of(ExchangeEvent event, ExchangeState before) {
    return event.accept(new Telling(before)).stream()
        .map(notice -> notice.in(event.inCall()))
        .toList();
  }

  /**
   * Whether it is still so when everything that was decided together has happened: of a conference
   * that is ended for all nobody stays in it.
   *
   * @param after the state then
   */
  public static boolean holds(Notice notice, ExchangeState after) {
    return notice.what() != What.STAYS_IN_CONFERENCE || after.call(notice.call()) != null;
  }

  /**
   * What to tell the person of a part in a call that has ended without them; null when there is
   * nothing to tell, it never rang at them for a line of theirs, or it was told when the part
   * ended.
   */
  public static @Nullable Notice of(Part part) {
    boolean ofLine = part.line() != null && part.line().group() != null;
    if (part.callOver()
        || part.result() == Part.Result.MISSED_NOT_SIGNED_IN
        || (ofLine && part.rang().isZero())) {
      return null; // a line's missed calls wait in the list of all its members
    }
    if (part.result().missed()) {
      return new Notice(part.person(), What.MISSED, part.other(), null, null, null).in(part.call());
    }
    return part.result() == Part.Result.ANSWERED_ELSEWHERE
        ? new Notice(part.person(), What.ANSWERED_BY_OTHER, part.other(), taker(part), null, null)
            .in(part.call())
        : null;
  }

  /** Who answered; null when it was somebody outside. */
  private static @Nullable Party taker(Part part) {
    return part.answeredBy() == null ? null : new Party.Employee(part.answeredBy());
  }

  private record Telling(ExchangeState before) implements FewEvents<List<Notice>> {
    @Override
    public List<Notice> otherwise(ExchangeEvent event) {
      return List.of();
    }

    @Override
    public List<Notice> of(CallBackCleared e) {
      CallBack wish = before.callBack(e.call());
      return e.cause() == Cause.EXPIRED ? List.of(ofWish(wish, What.CALL_BACK_EXPIRED)) : List.of();
    }

    @Override
    public List<Notice> of(Rested e) {
      Party line = new Party.Members(e.line());
      return e.by() == null
          ? List.of(new Notice(e.person(), What.RESTED, line, null, null, null))
          : List.of();
    }

    @Override
    public List<Notice> of(ConnectionCleared e) {
      return left(before.call(e.call()), e);
    }

    @Override
    public List<Notice> of(Established e) {
      Call call = before.call(e.call());
      return answered(call, call.leg(e.leg()).party());
    }

    @Override
    public List<Notice> of(Failed e) {
      Call call = before.call(e.call());
      return call.sent() == null
          ? List.of()
          : List.of(new Notice(call.sent().by(), What.SENT_LOST, waiting(call), null, null, null));
    }

    @Override
    public List<Notice> of(MailboxAnswered e) {
      return toMailbox(before.call(e.call()), e.mailbox().owner());
    }

    @Override
    public List<Notice> of(Parked e) {
      Call call = before.call(e.call());
      boolean first = call.parked() == null;
      return first ? parkedFor(call, e.parking()) : List.of();
    }

    /** A call that was to be placed there has failed, which tells it. */
    @Override
    public List<Notice> of(PhoneReleased e) {
      OutsidePhone phone = before.outsidePhone(e.person());
      Party outside = new Party.Outside(phone.number());
      return e.inVain() == null || phone.places()
          ? List.of()
          : List.of(new Notice(e.person(), What.PHONE_NOT_ANSWERED, outside, null, null, null));
    }

    @Override
    public List<Notice> of(CallCleared e) {
      CallId request = before.call(e.call()).callBack();
      CallBack wish = request == null ? null : before.callBack(request);
      return wish == null ? List.of() : List.of(ofWish(wish, What.CALL_BACK_BUSY_AGAIN));
    }
  }

  private static Notice ofWish(CallBack wish, What what) {
    return new Notice(wish.by(), what, new Party.Employee(wish.on()), null, null, null);
  }

  private static List<Notice> left(Call call, ConnectionCleared e) {
    Connection leaving = call.leg(e.leg());
    PersonId person = leaving.party().employee();
    if (e.cause() == Cause.DROPPED && person != null) {
      return List.of(
          new Notice(person, What.DROPPED, new Party.Employee(call.starter()), null, null, null));
    }
    boolean cutOff = e.cause() == Cause.NETWORK_FAILURE;
    if ((e.cause() != Cause.NORMAL && !cutOff) || !leaving.answered()) {
      return List.of();
    }
    if (call.parked() != null) {
      ParkedCall parked = call.parked();
      Duration waited = Duration.between(parked.since(), e.at());
      return List.of(
          new Notice(
              parked.by(), What.PARKED_GAVE_UP, leaving.party(), null, parked.slot(), waited));
    }
    if (call.sent() != null) {
      return List.of(
          new Notice(call.sent().by(), What.SENT_GAVE_UP, leaving.party(), null, null, null));
    }
    if (cutOff) {
      return cutOff(call, leaving);
    }
    return call.conference() ? staying(call, leaving) : heldBy(call, leaving, e.at());
  }

  /** Whoever leaves is told who is with whom then. */
  private static List<Notice> staying(Call call, Connection leaving) {
    PersonId person = leaving.party().employee();
    List<Party> rest =
        call.connections().stream()
            .filter(each -> each.answered() && each.leg() != leaving.leg())
            .map(Connection::party)
            .toList();
    if (person == null || rest.size() < 2) {
      return List.of();
    }
    return rest.stream()
        .map(
            each -> {
              Party with = rest.get(each.equals(rest.get(0)) ? 1 : 0);
              return new Notice(person, What.STAYS_IN_CONFERENCE, each, with, null, null);
            })
        .toList();
  }

  private static List<Notice> cutOff(Call call, Connection lost) {
    List<Notice> notices = new ArrayList<>();
    for (Connection other : call.connections()) {
      PersonId person = other.party().employee();
      if (person != null && other.answered() && other.leg() != lost.leg()) {
        notices.add(new Notice(person, What.CUT_OFF, lost.party(), null, null, null));
      }
    }
    return notices;
  }

  private static List<Notice> heldBy(Call call, Connection leaving, Instant at) {
    List<Notice> notices = new ArrayList<>();
    for (Connection holder : call.in(ConnectionState.HOLD)) {
      PersonId person = holder.party().employee();
      if (person != null && holder.leg() != leaving.leg()) {
        Duration waited = Duration.between(holder.since(), at);
        notices.add(new Notice(person, What.HELD_GAVE_UP, leaving.party(), null, null, waited));
      }
    }
    return notices;
  }

  private static List<Notice> answered(Call call, Party by) {
    if (call.parked() != null && !call.parked().by().equals(by.employee())) {
      return List.of(
          new Notice(
              call.parked().by(),
              What.PARKED_TAKEN,
              waiting(call),
              by,
              call.parked().slot(),
              null));
    }
    if (call.sent() != null && !call.sent().by().equals(by.employee())) {
      return List.of(
          new Notice(call.sent().by(), What.SENT_ANSWERED, waiting(call), by, null, null));
    }
    return List.of();
  }

  /** Whoever sent it to the mailbox themselves knows. */
  private static List<Notice> toMailbox(Call call, Party owner) {
    PersonId by = call.parked() == null ? null : call.parked().by();
    if (call.sent() != null) {
      by = call.sent().to().mailboxOf() == null ? call.sent().by() : null;
    }
    return by == null
        ? List.of()
        : List.of(new Notice(by, What.SENT_TO_MAILBOX, waiting(call), owner, null, null));
  }

  private static List<Notice> parkedFor(Call call, ParkedCall parking) {
    return parking.forWhom() == null || parking.forWhom().equals(parking.by())
        ? List.of()
        : List.of(
            new Notice(
                parking.forWhom(),
                What.PARKED_FOR_YOU,
                waiting(call),
                new Party.Employee(parking.by()),
                parking.slot(),
                null));
  }

  /** Whoever is there and waits for somebody. */
  private static Party waiting(Call call) {
    return call.connections().stream()
        .filter(Connection::answered)
        .map(Connection::party)
        .findFirst()
        .orElse(call.caller());
  }
}
