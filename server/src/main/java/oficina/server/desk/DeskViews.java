package oficina.server.desk;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.decision.Permissions;
import oficina.core.events.ParkedCall;
import oficina.core.exchange.Exchange;
import oficina.core.history.CallRecords;
import oficina.core.office.Delegations;
import oficina.core.office.ParkSlot;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.seen.Lamp;
import oficina.core.seen.LineUse;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.people.PersonView;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Draws up how desks look from the state of the exchange. Only on the exchange's thread. What goes
 * wrong with one desk touches no other.
 */
@Component
public class DeskViews {
  private static final Logger LOG = LoggerFactory.getLogger(DeskViews.class);

  private final OfficeData office;
  private final Parties parties;
  private final CallViews calls;
  private final MovableClock clock;

  /** Everybody's own calls as they were drawn last. */
  private final Map<PersonId, List<CallView>> last = new HashMap<>();

  DeskViews(OfficeData office, Parties parties, CallViews calls, MovableClock clock) {
    this.office = office;
    this.parties = parties;
    this.calls = calls;
    this.clock = clock;
  }

  /**
   * How the desks of these people look; whoever is not of the office has none.
   *
   * @param concerned those whose own calls may look otherwise; those of all others are as they were
   */
  public List<DeskView> of(
      Collection<PersonId> people,
      Predicate<PersonId> concerned,
      Exchange exchange,
      CallRecords records) {
    List<DeskView> desks = new ArrayList<>(people.size());
    for (PersonId id : people) {
      Person person = office.directory().person(id).orElse(null);
      if (person == null) {
        last.remove(id);
        continue;
      }
      try {
        if (concerned.test(id) || !last.containsKey(id)) {
          last.put(id, calls(person, exchange, records));
        }
        desks.add(desk(person, last.get(id), exchange));
      } catch (RuntimeException e) {
        LOG.error("The desk of {} could not be drawn up", id, e);
      }
    }
    return desks;
  }

  /** What a call offers takes long to work out, and is so only for whoever has to do with it. */
  private List<CallView> calls(Person person, Exchange exchange, CallRecords records) {
    PersonId id = person.id();
    ExchangeState state = exchange.state();
    List<CallView> all = new ArrayList<>();
    for (CallId each : state.inHand(id)) {
      Call call = state.call(each);
      all.add(calls.view(call, id, state, records.of(each), exchange.offers(call, id)));
    }
    for (CallId each : state.sentOn(id)) {
      Call call = state.call(each);
      if (call.of(id) == null) {
        all.add(calls.sentView(call, id, records.of(each), exchange.offers(call, id)));
      }
    }
    return List.copyOf(all);
  }

  private DeskView desk(Person person, List<CallView> own, Exchange exchange) {
    PersonId id = person.id();
    ExchangeState state = exchange.state();
    Party forwarded = office.now().directions().forwardOf(id, clock.instant());
    PersonView board =
        PersonView.of(
            person,
            Lamp.of(id, state, forwarded),
            office.region(),
            forwarded == null ? null : parties.view(forwarded, /* viewer= */ null));
    return new DeskView(
        id,
        own,
        callBacks(id, state),
        leaving(id, state),
        others(id, exchange),
        lines(id, state),
        board);
  }

  private List<OthersCallView> others(PersonId person, Exchange exchange) {
    Delegations delegations = office.now().delegations();
    return exchange.actedFor(person).stream()
        .map(
            each ->
                calls.othersView(
                    each,
                    exchange.state().call(each.call()),
                    person,
                    !delegations.actsFor(person, each.holder())))
        .toList();
  }

  private List<LineUseView> lines(PersonId person, ExchangeState state) {
    List<LineUseView> lines = new ArrayList<>();
    for (GroupId id : office.directory().groupsOf(person)) {
      Group line = office.directory().group(id).orElseThrow();
      LineUse use = LineUse.of(line, state);
      if (!use.free()) {
        lines.add(
            new LineUseView(
                id.value(),
                line.name(),
                use.ringing(),
                use.ringsSince(),
                use.talking().stream().map(each -> office.now().nameOf(each)).toList()));
      }
    }
    return lines;
  }

  private List<LeavingView> leaving(PersonId person, ExchangeState state) {
    List<LeavingView> leaving = new ArrayList<>();
    for (CallId id : state.atMailboxes()) {
      Call call = state.call(id);
      Connection mailbox = call.mailbox();
      Party owner = mailbox.party().mailboxOf();
      Connection caller = call.opposite(mailbox.leg());
      if (caller != null && Permissions.mayHear(office.now(), owner, person)) {
        leaving.add(
            new LeavingView(
                id.value(),
                parties.view(caller.party(), person),
                parties.groupLine(owner),
                mailbox.since(),
                mailbox.taking() == Connection.Taking.MESSAGE));
      }
    }
    return leaving;
  }

  /** All park slots. */
  public Shelf shelf(ExchangeState state) {
    return new Shelf(
        office.settings().parking().slots().stream()
            .map(slot -> slot(slot, state.inSlot(slot.number())))
            .toList());
  }

  private Shelf.Slot slot(ParkSlot slot, @Nullable Call there) {
    SlotView view = new SlotView(slot.number(), slot.label(), waiting(there));
    return new Shelf.Slot(view, there == null ? null : there.parked());
  }

  private SlotView.@Nullable Waiting waiting(@Nullable Call call) {
    if (call == null) {
      return null;
    }
    ParkedCall parking = call.parked();
    PersonId forWhom = parking.forWhom();
    return new SlotView.Waiting(
        call.id().value(),
        parties.view(call.opposite(0).party(), /* viewer= */ null),
        forWhom == null ? null : office.now().nameOf(forWhom),
        forWhom == null ? null : forWhom.value(),
        office.now().nameOf(parking.by()),
        parking.note(),
        /* unasked= */ true,
        parking.since(),
        parking.until());
  }

  /** The wishes of a person that do not ring at them right now. */
  private List<CallBackView> callBacks(PersonId person, ExchangeState state) {
    return state.callBacks().stream()
        .filter(wish -> wish.by().equals(person) && !wish.ringing())
        .map(
            wish ->
                new CallBackView(
                    wish.request().value(), office.now().nameOf(wish.on()), wish.until()))
        .toList();
  }
}
