package oficina.server.standins;

import java.time.Duration;
import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.commands.CallCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.events.CallBackEvent.CallBackRings;
import oficina.core.events.DeviceEvent.DeviceCame;
import oficina.core.events.DeviceEvent.DeviceWent;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.ReachEvent.Delivered;
import oficina.core.events.TalkEvent.Established;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Told;
import oficina.server.exchange.Turn;
import oficina.server.office.OfficeData;
import oficina.server.office.StandIn;
import oficina.server.sound.EndId;
import oficina.server.sound.SoundEngine;
import org.jspecify.annotations.Nullable;

/**
 * Stands in for colleagues who are not there: has a telephone on their desk, answers it after a few
 * seconds and hangs up when all is said. On the exchange's thread.
 */
final class ColleagueStandIn implements ExchangeListener {
  private static final Duration PAGES_ARE_BACK = Duration.ofSeconds(15);

  private final ExchangeLoop loop;
  private final OfficeData office;
  private final SoundEngine engine;
  private final Scripts scripts;

  ColleagueStandIn(ExchangeLoop loop, OfficeData office, SoundEngine engine, Scripts scripts) {
    this.loop = loop;
    this.office = office;
    this.engine = engine;
    this.scripts = scripts;
  }

  @Override
  public Turn turn() {
    return Turn.STAND_INS;
  }

  @Override
  public void happened(Told told) {
    told.event().accept(new Happened(told.after()));
  }

  private final class Happened implements FewEvents<@Nullable Void> {
    private final @Nullable Call after;

    Happened(@Nullable Call after) {
      this.after = after;
    }

    @Override
    public @Nullable Void otherwise(ExchangeEvent event) {
      return null;
    }

    @Override
    public @Nullable Void of(CallBackRings e) {
      return rings(e.call(), e.caller().employee(), e.leg());
    }

    @Override
    public @Nullable Void of(Delivered e) {
      return rings(e.call(), e.party().employee(), e.leg());
    }

    private @Nullable Void rings(CallId call, @Nullable PersonId person, int leg) {
      if (person != null && atDesk(person)) {
        // Differs from person to person and call to call, but not from run to run.
        long seconds = 2 + Math.floorMod(person.value() * 7 + leg, 4);
        loop.later(Duration.ofSeconds(seconds), () -> answer(call, person));
      }
      return null;
    }

    @Override
    public @Nullable Void of(Established e) {
      Connection answered = after == null ? null : after.leg(e.leg());
      if (answered != null && DeviceId.STAND_IN.equals(answered.device())) {
        PersonId person = answered.party().employee();
        speaks(person);
        long seconds = 100 + Math.floorMod(person.value() * 13, 60);
        loop.later(Duration.ofSeconds(seconds), () -> hangUp(e.call(), person, e.at()));
      }
      return null;
    }

    @Override
    public @Nullable Void of(DeviceCame e) {
      comesOrGoes(e.person());
      return null;
    }

    @Override
    public @Nullable Void of(DeviceWent e) {
      comesOrGoes(e.person());
      return null;
    }
  }

  @Override
  public void takenUp(ExchangeState state) {
    office.directory().people().stream().map(Person::id).forEach(this::comesOrGoes);
    for (Call call : state.calls()) {
      for (Connection connection : call.connections()) {
        PersonId person = connection.party().employee();
        if (person == null) {
          continue;
        }
        if (connection.rings()) {
          // Longer than a page takes to connect again: whoever was there shall answer themselves.
          loop.later(PAGES_ARE_BACK, () -> answer(call.id(), person));
        } else if (DeviceId.STAND_IN.equals(connection.device())) {
          speaks(person);
          loop.later(PAGES_ARE_BACK.multipliedBy(2), () -> hangUp(call.id(), person, call.began()));
        }
      }
    }
  }

  /** From the beginning, as somebody does who has just answered. */
  private void speaks(PersonId person) {
    engine.attach(
        new EndId.Device(person, DeviceId.STAND_IN),
        scripts.voice(Scripts.Role.COLLEAGUE, office.now().nameOf(person), null));
  }

  /** Whether somebody is there themselves: at a window, or at the telephone of this person. */
  private boolean isThere(PersonId person) {
    return loop.state().devices(person).stream()
        .anyMatch(each -> !each.id().equals(DeviceId.STAND_IN));
  }

  /** The telephone is there as long as its person is not. */
  private void comesOrGoes(PersonId person) {
    StandIn habit = office.standIn(person);
    if (habit == StandIn.NONE || isThere(person)) {
      loop.run(new OfficeCommand.DeviceGoes(person, DeviceId.STAND_IN));
    } else {
      loop.run(
          new OfficeCommand.DeviceComes(
              person, DeviceId.STAND_IN, DeviceKind.TELEPHONE, habit == StandIn.DESK));
    }
  }

  private boolean atDesk(PersonId person) {
    return office.standIn(person) == StandIn.DESK && !isThere(person);
  }

  private void answer(CallId call, PersonId person) {
    if (atDesk(person)) {
      loop.run(new CallCommand.Answer(call, person, DeviceId.STAND_IN));
    }
  }

  /** Only the conversation that was meant, and only as long as nobody has come to the desk. */
  private void hangUp(CallId id, PersonId person, Instant answered) {
    Call call = loop.state().call(id);
    Connection own = call == null ? null : call.of(person);
    if (own != null
        && DeviceId.STAND_IN.equals(own.device())
        && !isThere(person)
        && !own.since().isBefore(answered)) {
      loop.run(new CallCommand.Clear(id, person));
    }
  }
}
