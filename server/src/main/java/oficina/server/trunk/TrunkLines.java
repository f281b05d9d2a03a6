package oficina.server.trunk;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.call.PhoneStage;
import oficina.core.commands.Command;
import oficina.core.commands.NetworkCommand;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.MachineEvent;
import oficina.core.events.PhoneEvent;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import oficina.core.state.OutsidePhone;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Told;
import oficina.server.exchange.Turn;
import org.jspecify.annotations.Nullable;

/**
 * Between the exchange and the outside lines: which connection of which call each of them is. The
 * network is told of events when they are durable, and its reports are for where the party is by
 * now, which may be another call by then.
 */
public final class TrunkLines implements ExchangeListener, TrunkReports {
  private record Place(CallId call, int leg) {}

  /** A telephone outside is alone at the end of its line. */
  private static final int ONLY = 1;

  private final ExchangeLoop loop;
  private final Trunk trunk;

  /** Where each party is, as the exchange has it now. */
  private final Map<TrunkCall, Place> now = new HashMap<>();

  /** Which party is at each place, as the exchange has it now. */
  private final Map<Place, TrunkCall> places = new HashMap<>();

  /** Which party was at each place when what everybody is being told of happened. */
  private final Map<Place, TrunkCall> then = new HashMap<>();

  /** Who was at a telephone outside at that time, and its line. */
  private final Map<PersonId, CallId> phones = new HashMap<>();

  /**
   * @param connect makes the network that reports here
   */
  public TrunkLines(ExchangeLoop loop, Function<TrunkReports, ? extends Trunk> connect) {
    this.loop = loop;
    this.trunk = connect.apply(this);
  }

  /** The network at the other end. */
  public Trunk trunk() {
    return trunk;
  }

  /** The line to a telephone outside that is one of somebody's devices; null when there is none. */
  public @Nullable TrunkCall phoneOn(CallId line) {
    return at(line, ONLY);
  }

  /** The line to the telephone outside at which this person is; null when they are at none. */
  public @Nullable TrunkCall phoneOf(PersonId person) {
    CallId line = phones.get(person);
    return line == null ? null : phoneOn(line);
  }

  /**
   * The outside line that a connection was when what everybody is being told of happened; null when
   * it was none.
   */
  public @Nullable TrunkCall at(CallId call, int leg) {
    return then.get(new Place(call, leg));
  }

  private TrunkCall newCall(Place place) {
    TrunkCall call = new TrunkCall(UUID.randomUUID().toString());
    occupy(call, place);
    return call;
  }

  private void occupy(TrunkCall call, Place place) {
    now.put(call, place);
    places.put(place, call);
    then.put(place, call);
  }

  // --- what the exchange tells ------------------------------------------------------------------

  @Override
  public Turn turn() {
    return Turn.LINES;
  }

  @Override
  public void applied(ExchangeEvent event) {
    event.accept(new Applied());
  }

  private final class Applied implements FewEvents<@Nullable Void> {
    @Override
    public @Nullable Void otherwise(ExchangeEvent event) {
      return null;
    }

    @Override
    public @Nullable Void of(ReachEvent.NetworkReached e) {
      newCall(new Place(e.call(), e.leg()));
      return null;
    }

    @Override
    public @Nullable Void of(PhoneEvent.PhoneCalled e) {
      newCall(new Place(e.line(), ONLY));
      return null;
    }

    @Override
    public @Nullable Void of(TalkEvent.Merged e) {
      Place before = new Place(e.other(), e.otherLeg());
      TrunkCall moved = places.remove(before);
      if (moved != null) {
        now.put(moved, new Place(e.call(), e.leg()));
        places.put(new Place(e.call(), e.leg()), moved);
      }
      return null;
    }
  }

  @Override
  public void happened(Told told) {
    told.event().accept(new Happened(told.after()));
  }

  private final class Happened implements FewEvents<@Nullable Void> {
    /** Whoever brings a call in is its first party. */
    private static final int CALLER = 1;

    private final @Nullable Call after;

    Happened(@Nullable Call after) {
      this.after = after;
    }

    @Override
    public @Nullable Void otherwise(ExchangeEvent event) {
      return null;
    }

    @Override
    public @Nullable Void of(ReachEvent.NetworkReached e) {
      CallerId shown = e.shown() == null ? after.callerId() : e.shown();
      trunk.setUp(then.get(new Place(e.call(), e.leg())), e.party(), shown.number());
      return null;
    }

    @Override
    public @Nullable Void of(PhoneEvent.PhoneCalled e) {
      TrunkCall line = then.get(new Place(e.line(), ONLY));
      trunk.setUp(line, new Party.Outside(e.number()), e.shown().number());
      return null;
    }

    @Override
    public @Nullable Void of(PhoneEvent.PhoneProgressed e) {
      if (e.stage() == PhoneStage.THERE) {
        phones.put(e.person(), e.line());
      }
      return null;
    }

    @Override
    public @Nullable Void of(PhoneEvent.PhoneReleased e) {
      phones.values().remove(e.line());
      released(new Place(e.line(), ONLY));
      return null;
    }

    @Override
    public @Nullable Void of(TalkEvent.Merged e) {
      TrunkCall moved = then.remove(new Place(e.other(), e.otherLeg()));
      if (moved != null) {
        then.put(new Place(e.call(), e.leg()), moved);
      }
      return null;
    }

    @Override
    public @Nullable Void of(TalkEvent.DigitsSent e) {
      TrunkCall call = then.get(new Place(e.call(), e.leg()));
      if (call != null) {
        trunk.digits(call, e.digits());
      }
      return null;
    }

    @Override
    public @Nullable Void of(TalkEvent.Established e) {
      if (e.leg() != CALLER) {
        answered(e.call());
      }
      return null;
    }

    @Override
    public @Nullable Void of(MachineEvent.MailboxAnswered e) {
      answered(e.call());
      return null;
    }

    @Override
    public @Nullable Void of(MachineEvent.Welcomed e) {
      answered(e.call());
      return null;
    }

    private void answered(CallId call) {
      TrunkCall caller = then.get(new Place(call, CALLER));
      if (caller != null) {
        trunk.answered(caller);
      }
    }

    @Override
    public @Nullable Void of(ReachEvent.Failed e) {
      TrunkCall caller = then.get(new Place(e.call(), CALLER));
      if (caller != null && e.cause() != Cause.RINGS_ON) { // whoever calls is not to know it
        trunk.refused(caller, e.cause());
      }
      return null;
    }

    @Override
    public @Nullable Void of(TalkEvent.ConnectionCleared e) {
      released(new Place(e.call(), e.leg()));
      return null;
    }

    private void released(Place place) {
      TrunkCall call = then.remove(place);
      if (call != null) {
        places.remove(now.remove(call));
        trunk.released(call);
      }
    }
  }

  @Override
  public void takenUp(ExchangeState state) {
    for (Call call : state.calls()) {
      for (Connection party : call.connections()) {
        if (party.party().usesOutsideLine()) {
          goesOn(call, party);
        }
      }
    }
    state.outsidePhones().forEach(this::goesOn);
  }

  private void goesOn(OutsidePhone phone) {
    Trunk.Stage stage =
        switch (phone.stage()) {
          case SETTING_UP -> Trunk.Stage.SETTING_UP;
          case RINGING -> Trunk.Stage.RINGING;
          case ASKED, THERE -> Trunk.Stage.TALKING;
        };
    if (phone.isThere()) {
      phones.put(phone.person(), phone.line());
    }
    TrunkCall line = newCall(new Place(phone.line(), ONLY));
    Party there = new Party.Outside(phone.number());
    trunk.goesOn(line, there, /* incoming= */ true, stage, phone.shown().number());
  }

  private void goesOn(Call call, Connection party) {
    boolean incoming = !party.party().equals(call.caller());
    Trunk.Stage stage =
        switch (party.state()) {
          case INITIATED -> Trunk.Stage.SETTING_UP;
          case ALERTING -> Trunk.Stage.RINGING;
          case ASKED -> Trunk.Stage.TALKING;
          case CONNECTED, HOLD ->
              call.answered() == null && call.standIn() == null
                  ? Trunk.Stage.RINGING
                  : Trunk.Stage.TALKING;
        };
    TrunkCall line = newCall(new Place(call.id(), party.leg()));
    trunk.goesOn(line, party.party(), incoming, stage, call.shownTo(party).number());
  }

  // --- what the network reports -----------------------------------------------------------------

  private interface OnPlace {
    Command report(CallId call, int leg);
  }

  /** What is reported of a party whom the office has let go of meanwhile concerns nobody. */
  private void report(TrunkCall call, OnPlace what) {
    Place place = now.get(call);
    if (place != null) {
      loop.run(what.report(place.call(), place.leg()));
    }
  }

  @Override
  public void arrives(TrunkCall call, @Nullable PhoneNumber from, PhoneNumber to) {
    CallId id = new CallId(UUID.randomUUID().toString());
    occupy(call, new Place(id, Happened.CALLER));
    loop.run(new NetworkCommand.Arrive(id, from, to));
  }

  @Override
  public void rings(TrunkCall call) {
    report(call, NetworkCommand.NetworkRings::new);
  }

  @Override
  public void answers(TrunkCall call) {
    report(call, NetworkCommand.NetworkAnswers::new);
  }

  @Override
  public void fails(TrunkCall call, Cause cause) {
    report(call, (id, leg) -> new NetworkCommand.NetworkFails(id, leg, cause));
  }

  @Override
  public void keys(TrunkCall call, String digits) {
    report(call, (id, leg) -> new NetworkCommand.NetworkKeys(id, leg, digits));
  }

  @Override
  public void clears(TrunkCall call) {
    report(call, NetworkCommand.NetworkClears::new);
  }
}
