package oficina.server.people;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.people.PersonId;
import oficina.server.OficinaProperties;
import oficina.server.office.OfficeData;
import oficina.server.office.StandIn;
import oficina.server.people.PersonView.Lamp;
import org.springframework.stereotype.Component;

/** Who is there: people with a page open, and colleagues somebody stands in for. */
@Component
public class Presence {
  private final OfficeData office;
  private final boolean standIns;
  private final Map<PersonId, Integer> pages = new ConcurrentHashMap<>();

  Presence(OfficeData office, OficinaProperties properties) {
    this.office = office;
    this.standIns = properties.standIns();
  }

  /**
   * A page of this person came.
   *
   * @return whether it is the only one
   */
  public boolean pageCame(PersonId person) {
    return pages.merge(person, 1, Integer::sum) == 1;
  }

  /**
   * A page of this person has been gone for good.
   *
   * @return whether it was the last one
   */
  public boolean pageWent(PersonId person) {
    return pages.computeIfPresent(person, (p, count) -> count == 1 ? null : count - 1) == null;
  }

  public boolean hasPage(PersonId person) {
    return pages.containsKey(person);
  }

  /** How somebody stands in for this person right now. */
  public StandIn standIn(PersonId person) {
    return standIns && !hasPage(person) ? office.standIn(person) : StandIn.NONE;
  }

  /** Whether a call would ring anywhere. */
  public boolean reachable(PersonId person) {
    return hasPage(person) || standIn(person) != StandIn.NONE;
  }

  /** Their state while they have no call. */
  public Lamp lamp(PersonId person) {
    if (hasPage(person)) {
      return Lamp.FREE;
    }
    return switch (standIn(person)) {
      case DESK -> Lamp.FREE;
      case AWAY -> Lamp.AWAY;
      case NONE -> Lamp.OFF;
    };
  }
}
