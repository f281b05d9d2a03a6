package oficina.core.exchange;

import java.time.Instant;
import oficina.core.call.Party;
import oficina.core.exchange.ExchangeEvent.CallBackAnswered;
import oficina.core.exchange.ExchangeEvent.ConnectionCleared;
import oficina.core.exchange.ExchangeEvent.Delivered;
import oficina.core.exchange.ExchangeEvent.DigitsSent;
import oficina.core.exchange.ExchangeEvent.Established;
import oficina.core.exchange.ExchangeEvent.Failed;
import oficina.core.exchange.ExchangeEvent.Held;
import oficina.core.exchange.ExchangeEvent.HoldReminded;
import oficina.core.exchange.ExchangeEvent.Moved;
import oficina.core.exchange.ExchangeEvent.Muted;
import oficina.core.exchange.ExchangeEvent.NetworkReached;
import oficina.core.exchange.ExchangeEvent.Parked;
import oficina.core.exchange.ExchangeEvent.Retrieved;
import oficina.core.exchange.ExchangeEvent.SentOn;
import oficina.core.exchange.ExchangeEvent.Silenced;
import oficina.core.people.PersonId;

/** What an event makes of the one call in which it happened. */
final class Changes {
  private Changes() {}

  /** The call after this event, which happened in it and concerns no other. */
  static Call of(Call call, ExchangeEvent event) {
    if (event instanceof NetworkReached e) {
      return call.plus(
          begun(call, e.leg(), e.party(), ConnectionState.INITIATED, e.at(), e.until(), e.party()));
    }
    if (event instanceof Delivered e) {
      Connection reached = call.leg(e.leg());
      return reached == null
          ? call.plus(
              begun(
                  call, e.leg(), e.party(), ConnectionState.ALERTING, e.at(), e.until(), e.line()))
          : call.replacing(reached.to(ConnectionState.ALERTING, e.at(), e.until()));
    }
    if (event instanceof Silenced e) {
      return call.replacing(call.leg(e.leg()).quiet());
    }
    if (event instanceof CallBackAnswered e) {
      return call.replacing(call.leg(e.leg()).establishedOn(e.device(), e.at()));
    }
    if (event instanceof Established e) {
      return call.replacing(call.leg(e.leg()).establishedOn(e.device(), e.at()))
          .with(call.standing().answeredAt(e.at()));
    }
    if (event instanceof Held e) {
      return call.replacing(call.leg(e.leg()).to(ConnectionState.HOLD, e.at(), e.remindAt()));
    }
    if (event instanceof HoldReminded e) {
      return call.replacing(call.leg(e.leg()).afterReminder());
    }
    if (event instanceof Retrieved e) {
      return call.replacing(call.leg(e.leg()).to(ConnectionState.CONNECTED, e.at(), null));
    }
    if (event instanceof Muted e) {
      return call.replacing(call.leg(e.leg()).muted(e.on()));
    }
    if (event instanceof Moved e) {
      return call.replacing(call.leg(e.leg()).movedTo(e.device()));
    }
    if (event instanceof SentOn e) {
      return call.with(call.standing().sentOn(e.sent()));
    }
    if (event instanceof Parked e) {
      return call.with(call.standing().parkedAt(e.parking()));
    }
    if (event instanceof Failed e) {
      return call.failing(new Call.Failure(e.cause(), e.until()), e.missedBy());
    }
    if (event instanceof ConnectionCleared e) {
      return call.without(call.leg(e.leg()));
    }
    if (event instanceof DigitsSent) {
      return call;
    }
    throw new IllegalStateException("unknown event " + event);
  }

  private static Connection begun(
      Call call, int leg, Party party, ConnectionState state, Instant at, Instant due, Party line) {
    PersonId sender = call.sent() == null ? null : call.sent().by();
    return Connection.begun(leg, party, null, state, at, due).on(line, sender);
  }
}
