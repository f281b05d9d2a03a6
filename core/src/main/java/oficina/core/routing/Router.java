package oficina.core.routing;

import java.util.List;
import java.util.function.Predicate;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.people.Group;
import oficina.core.people.Person;
import oficina.core.people.PersonId;

/** Decides where a call goes. A pure function of the office and of who can take another call. */
public final class Router {
  private Router() {}

  /**
   * Where a call for this party goes now.
   *
   * @param takesCalls whether this person may be rung once more, calls in hand considered
   */
  public static Route route(Office office, Party called, Predicate<PersonId> takesCalls) {
    if (called instanceof Party.Employee employee) {
      return office
          .directory()
          .person(employee.id())
          .map(person -> toPerson(office, person, takesCalls))
          .orElse(new Route.Refuse(Cause.NUMBER_NOT_IN_USE, List.of()));
    }
    if (called instanceof Party.Members members) {
      return office
          .directory()
          .group(members.id())
          .map(group -> toGroup(office, group, takesCalls))
          .orElse(new Route.Refuse(Cause.NUMBER_NOT_IN_USE, List.of()));
    }
    if (called instanceof Party.Nobody || called instanceof Party.Slot) {
      return new Route.Refuse(Cause.NUMBER_NOT_IN_USE, List.of());
    }
    return new Route.GoOut(called);
  }

  private static Route toPerson(Office office, Person person, Predicate<PersonId> takesCalls) {
    List<PersonId> wanted = List.of(person.id());
    if (!office.reachable().test(person.id())) {
      return new Route.Refuse(Cause.NOT_SIGNED_IN, wanted);
    }
    if (!takesCalls.test(person.id())) {
      return new Route.Refuse(Cause.BUSY, wanted);
    }
    return new Route.Ring(wanted, new Party.Employee(person.id()), person.ringTime());
  }

  private static Route toGroup(Office office, Group group, Predicate<PersonId> takesCalls) {
    List<PersonId> here = group.members().stream().filter(office.reachable()).toList();
    if (here.isEmpty()) {
      return new Route.Refuse(Cause.NOT_SIGNED_IN, group.members());
    }
    List<PersonId> free = here.stream().filter(takesCalls).toList();
    return free.isEmpty()
        ? new Route.Refuse(Cause.BUSY, here)
        : new Route.Ring(free, new Party.Members(group.id()), group.ringTime());
  }
}
