package oficina.core.notices;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.exchange.Call;
import oficina.core.exchange.CallBack;
import oficina.core.exchange.Connection;
import oficina.core.exchange.ConnectionState;
import oficina.core.exchange.ExchangeEvent;
import oficina.core.exchange.ExchangeEvent.CallBackCleared;
import oficina.core.exchange.ExchangeEvent.ConnectionCleared;
import oficina.core.exchange.ExchangeEvent.Established;
import oficina.core.exchange.ExchangeEvent.Failed;
import oficina.core.exchange.ExchangeEvent.Parked;
import oficina.core.exchange.ExchangeState;
import oficina.core.notices.Notice.What;
import oficina.core.people.PersonId;

/** Derives from what happens at the exchange what people should be told of it. */
public final class Notices {
  private Notices() {}

  /**
   * Whom to tell what of an event.
   *
   * @param before the state in which the event has not been applied yet
   */
  public static List<Notice> of(ExchangeEvent event, ExchangeState before) {
    if (event instanceof CallBackCleared e && e.cause() == Cause.EXPIRED) {
      CallBack wish = before.callBack(e.call());
      return List.of(ofWish(wish, What.CALL_BACK_EXPIRED));
    }
    Call call = before.call(event.call());
    if (event instanceof ConnectionCleared e) {
      return left(call, e);
    }
    if (event instanceof Established e) {
      return answered(call, call.leg(e.leg()).party().employee());
    }
    if (event instanceof Failed e && call.sent() != null) {
      return List.of(new Notice(call.sent().by(), What.SENT_LOST, waiting(call), null, null, null));
    }
    if (event instanceof Parked e && e.parking().comeBacks() == 0) {
      return parkedFor(call, e.parking());
    }
    if (event instanceof ExchangeEvent.CallCleared e && call.origin().callBack() != null) {
      CallBack wish = before.callBack(call.origin().callBack());
      return wish == null ? List.of() : List.of(ofWish(wish, What.CALL_BACK_BUSY_AGAIN));
    }
    return List.of();
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
    if (e.cause() != Cause.NORMAL || !leaving.answered()) {
      return List.of();
    }
    if (call.parked() != null) {
      Call.Parking parked = call.parked();
      Duration waited = Duration.between(parked.since(), e.at());
      return List.of(
          new Notice(
              parked.by(), What.PARKED_GAVE_UP, leaving.party(), null, parked.slot(), waited));
    }
    if (call.sent() != null) {
      return List.of(
          new Notice(call.sent().by(), What.SENT_GAVE_UP, leaving.party(), null, null, null));
    }
    return call.conference() ? List.of() : heldBy(call, leaving, e.at());
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

  private static List<Notice> answered(Call call, PersonId by) {
    if (call.parked() != null && !call.parked().by().equals(by)) {
      return List.of(
          new Notice(
              call.parked().by(),
              What.PARKED_TAKEN,
              waiting(call),
              by,
              call.parked().slot(),
              null));
    }
    if (call.sent() != null && by != null && !call.sent().by().equals(by)) {
      return List.of(
          new Notice(call.sent().by(), What.SENT_ANSWERED, waiting(call), by, null, null));
    }
    return List.of();
  }

  private static List<Notice> parkedFor(Call call, Call.Parking parking) {
    return parking.forWhom() == null || parking.forWhom().equals(parking.by())
        ? List.of()
        : List.of(
            new Notice(
                parking.forWhom(),
                What.PARKED_FOR_YOU,
                waiting(call),
                parking.by(),
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
