package oficina.core.routing;

import java.util.List;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.office.Office;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;

/**
 * Where a party is reached at this moment, whatever they have decided about their calls: for calls
 * that come back to somebody, and for what their decisions lead to in the end. A pure function of
 * the office and of whom a call can reach now.
 *
 * @param reach who has devices and who takes calls at this moment
 */
public record Router(Office office, Reach reach) implements Party.Cases<Route> {
  static final Route NOT_IN_USE = new Route.Refuse(Cause.NUMBER_NOT_IN_USE, List.of());

  /** Where a call for this party leads now. */
  public Route to(Party party) {
    return party.accept(this);
  }

  /** Where a call for the front desk leads now. */
  public Route toFrontDesk() {
    return office.settings().frontDesk() == null
        ? NOT_IN_USE
        : to(new Party.Members(office.settings().frontDesk()));
  }

  @Override
  public Route of(Party.Employee party) {
    return office.directory().person(party.id()).map(this::person).orElse(NOT_IN_USE);
  }

  @Override
  public Route of(Party.Members party) {
    return office.directory().group(party.id()).map(this::group).orElse(NOT_IN_USE);
  }

  @Override
  public Route of(Party.Outside party) {
    return new Route.GoOut(party);
  }

  @Override
  public Route of(Party.Emergency party) {
    return new Route.GoOut(party);
  }

  @Override
  public Route of(Party.Slot party) {
    return NOT_IN_USE; // a slot is dialled to take a call, and nobody's number
  }

  @Override
  public Route of(Party.Nobody party) {
    return NOT_IN_USE;
  }

  @Override
  public Route of(Party.Mailbox party) {
    return office.hasMailbox(party.owner())
        ? new Route.TakeMessage(party, Cause.NO_ANSWER, List.of())
        : NOT_IN_USE;
  }

  @Override
  public Route of(Party.Attendant party) {
    return new Route.Attend(party);
  }

  @Override
  public Route of(Party.Welcome party) {
    return NOT_IN_USE; // it welcomes to a line, and is nobody's number
  }

  @Override
  public Route of(Party.Queue party) {
    return NOT_IN_USE; // it waits at a line, and is nobody's number
  }

  private Route person(Person person) {
    List<PersonId> wanted = List.of(person.id());
    if (!reach.hasDevice(person.id())) {
      return new Route.Refuse(Cause.NOT_SIGNED_IN, wanted);
    }
    if (!reach.takesCalls(person.id())) {
      return new Route.Refuse(Cause.BUSY, wanted);
    }
    return new Route.Ring(
        wanted, new Party.Employee(person.id()), person.ringTime(), /* outside= */ List.of());
  }

  /** Those of a line who take part in it and are there. */
  private List<PersonId> here(Group group) {
    return group.members().stream()
        .filter(each -> reach.takesPart(each, group.id()) && reach.hasDevice(each))
        .filter(each -> reach.status(each).takesCalls())
        .toList();
  }

  /** Those of a line at whom it would ring now, whether it keeps callers or not. */
  List<PersonId> free(GroupId line) {
    return office
        .directory()
        .group(line)
        .map(group -> here(group).stream().filter(reach::takesCalls).toList())
        .orElse(List.of());
  }

  private Route group(Group group) {
    List<PersonId> here = here(group);
    if (here.isEmpty()) {
      return new Route.Refuse(Cause.NOT_SIGNED_IN, group.members());
    }
    Queue queue = office.directions().queue(group.id());
    if (queue != null) {
      return reach.waitingAt(group.id()) < queue.most()
          ? new Route.Wait(new Party.Queue(group.id()))
          : new Route.Refuse(Cause.BUSY, here);
    }
    List<PersonId> free = here.stream().filter(reach::takesCalls).toList();
    return free.isEmpty()
        ? new Route.Refuse(Cause.BUSY, here)
        : new Route.Ring(
            free, new Party.Members(group.id()), group.ringTime(), /* outside= */ List.of());
  }
}
