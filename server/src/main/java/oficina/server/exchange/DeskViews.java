package oficina.server.exchange;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.exchange.Call;
import oficina.core.exchange.Connection;
import oficina.core.exchange.ExchangeState;
import oficina.core.history.CallRecords;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.people.PersonView;
import oficina.server.people.PersonView.Lamp;
import oficina.server.people.Presence;
import org.springframework.stereotype.Component;

/** Draws up how desks look from the state of the exchange. Only on the exchange's thread. */
@Component
class DeskViews {
  private final OfficeData office;
  private final Parties parties;
  private final Presence presence;
  private final CallViews calls;
  private final DeskFeed feed;

  DeskViews(OfficeData office, Parties parties, Presence presence, CallViews calls, DeskFeed feed) {
    this.office = office;
    this.parties = parties;
    this.presence = presence;
    this.calls = calls;
    this.feed = feed;
  }

  /** Publishes everybody's desk before the first event. */
  void start(ExchangeState state, CallRecords records) {
    List<PersonId> everybody = office.directory().people().stream().map(Person::id).toList();
    feed.publish(Batch.ofDesks(of(everybody, state, records), shelf(state)));
  }

  List<DeskView> of(Collection<PersonId> people, ExchangeState state, CallRecords records) {
    List<DeskView> desks = new ArrayList<>(people.size());
    for (PersonId person : people) {
      List<Call> inHand = new ArrayList<>();
      for (CallId id : state.inHand(person)) {
        inHand.add(state.call(id));
      }
      List<CallView> all = new ArrayList<>();
      for (Call call : inHand) {
        all.add(calls.view(call, person, records.of(call.id()), state));
      }
      for (CallId id : state.sentOn(person)) {
        Call call = state.call(id);
        if (call.of(person) == null) {
          all.add(calls.sentView(call, records.of(id), person));
        }
      }
      desks.add(
          new DeskView(
              person, all, callBacks(person, state), board(office.person(person), inHand)));
    }
    return desks;
  }

  /** All park slots, whoever looks. */
  List<SlotView> shelf(ExchangeState state) {
    return office.settings().parkSlots().stream()
        .map(
            slot -> new SlotView(slot.number(), slot.label(), waiting(state.inSlot(slot.number()))))
        .toList();
  }

  private SlotView.Waiting waiting(Call call) {
    if (call == null) {
      return null;
    }
    Call.Parking parking = call.parked();
    PersonId forWhom = parking.forWhom();
    return new SlotView.Waiting(
        call.id().value(),
        parties.view(CallViews.opposite(call, 0).party()),
        forWhom == null ? null : office.person(forWhom).name(),
        forWhom == null ? null : forWhom.value(),
        office.person(parking.by()).name(),
        parking.note(),
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
                    wish.request().value(), office.person(wish.on()).name(), wish.until()))
        .toList();
  }

  private PersonView board(Person person, List<Call> inHand) {
    Instant talkingSince = null;
    Instant ringingSince = null;
    for (Call call : inHand) {
      Connection own = call.of(person.id());
      if (own.rings()) {
        ringingSince = earlier(ringingSince, own.since());
      } else {
        talkingSince =
            earlier(talkingSince, call.answered() == null ? call.began() : call.answered());
      }
    }
    Lamp lamp = presence.lamp(person.id());
    Instant since = null;
    if (talkingSince != null) {
      lamp = Lamp.ON_CALL;
      since = talkingSince;
    } else if (ringingSince != null) {
      lamp = Lamp.RINGING;
      since = ringingSince;
    }
    return PersonView.of(person, lamp, since);
  }

  private static Instant earlier(Instant one, Instant other) {
    return one == null || other.isBefore(one) ? other : one;
  }
}
