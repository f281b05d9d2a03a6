package oficina.server.standins;

import java.time.Duration;
import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.exchange.Call;
import oficina.core.exchange.Command;
import oficina.core.exchange.Connection;
import oficina.core.exchange.ExchangeEvent;
import oficina.core.exchange.ExchangeEvent.CallBackRings;
import oficina.core.exchange.ExchangeEvent.Delivered;
import oficina.core.exchange.ExchangeEvent.Established;
import oficina.core.people.PersonId;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.office.StandIn;
import oficina.server.people.Presence;

/**
 * Stands in for colleagues whom nobody is signed in as: answers after a few seconds and hangs up
 * when all is said. On the exchange's thread.
 */
final class ColleagueStandIn implements ExchangeListener {
  private static final DeviceId DEVICE = new DeviceId("stand-in");

  private static final Duration PAGES_ARE_BACK = Duration.ofSeconds(15);

  private final ExchangeLoop loop;
  private final Presence presence;

  ColleagueStandIn(ExchangeLoop loop, Presence presence) {
    this.loop = loop;
    this.presence = presence;
  }

  @Override
  public void happened(ExchangeEvent event, Call after) {
    if (after == null) {
      return;
    }
    if (event instanceof CallBackRings e && atDesk(e.caller().employee())) {
      answersSoon(e.call(), e.caller().employee(), e.leg());
    } else if (event instanceof Delivered e && atDesk(e.party().employee())) {
      answersSoon(e.call(), e.party().employee(), e.leg());
    } else if (event instanceof Established e) {
      Connection answered = after.leg(e.leg());
      if (answered != null && DEVICE.equals(answered.device())) {
        PersonId person = answered.party().employee();
        long seconds = 100 + Math.floorMod(person.value() * 13, 60);
        loop.later(Duration.ofSeconds(seconds), () -> hangUp(e.call(), person, e.at()));
      }
    }
  }

  private void answersSoon(CallId call, PersonId person, int leg) {
    // Differs from person to person and call to call, but not from run to run.
    long seconds = 2 + Math.floorMod(person.value() * 7 + leg, 4);
    loop.later(Duration.ofSeconds(seconds), () -> answer(call, person));
  }

  @Override
  public void takenUp(Call call) {
    for (Connection connection : call.connections()) {
      PersonId person = connection.party().employee();
      if (person == null) {
        continue;
      }
      if (connection.rings()) {
        // Longer than a page takes to connect again: whoever was there shall answer themselves.
        loop.later(PAGES_ARE_BACK, () -> answer(call.id(), person));
      } else if (DEVICE.equals(connection.device())) {
        loop.later(PAGES_ARE_BACK.multipliedBy(2), () -> hangUp(call.id(), person, call.began()));
      }
    }
  }

  private boolean atDesk(PersonId person) {
    return person != null && presence.standIn(person) == StandIn.DESK;
  }

  private void answer(CallId call, PersonId person) {
    if (atDesk(person)) {
      loop.run(new Command.Answer(call, person, DEVICE));
    }
  }

  /** Only the conversation that was meant, and only as long as nobody has come to the desk. */
  private void hangUp(CallId id, PersonId person, Instant answered) {
    Call call = loop.call(id);
    Connection own = call == null ? null : call.of(person);
    if (own != null
        && DEVICE.equals(own.device())
        && !presence.hasPage(person)
        && !own.since().isBefore(answered)) {
      loop.run(new Command.Clear(id, person));
    }
  }
}
