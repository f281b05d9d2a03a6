package oficina.server.desk;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.seen.Lamp;
import oficina.server.office.OfficeData;
import oficina.server.people.PersonView;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** How every desk, and the shelf, was shown last. */
@Component
public class Desks {
  private final OfficeData office;
  private final Map<PersonId, DeskView> desks = new ConcurrentHashMap<>();
  private volatile Shelf shelf = Shelf.EMPTY;

  Desks(OfficeData office) {
    this.office = office;
  }

  /**
   * Shows a desk.
   *
   * @return as it was shown before; null when it was not
   */
  public @Nullable DeskView put(DeskView desk) {
    return desks.put(desk.person(), desk);
  }

  public void put(Shelf now) {
    shelf = now;
  }

  public void forget(PersonId person) {
    desks.remove(person);
  }

  /** Whoever has just come has nothing in hand. */
  public DeskView of(PersonId person) {
    DeskView desk = desks.get(person);
    if (desk != null) {
      return desk;
    }
    PersonView nothing =
        PersonView.of(
            office.person(person),
            new Lamp(Lamp.Light.OFF, /* since= */ null, /* status= */ null),
            office.region(),
            /* forwardedTo= */ null);
    return new DeskView(person, List.of(), List.of(), List.of(), List.of(), List.of(), nothing);
  }

  /** The people board, in the order of the directory. */
  public List<PersonView> people() {
    return people(office.directory().people().stream().map(Person::id).toList());
  }

  /** Those of them who are of the office. */
  public List<PersonView> people(Collection<PersonId> ids) {
    return ids.stream()
        .filter(id -> office.directory().person(id).isPresent())
        .map(this::person)
        .toList();
  }

  /** What everybody sees of one person of the office. */
  public PersonView person(PersonId id) {
    return of(id).board();
  }

  /** The park slots as this person sees them. */
  public List<SlotView> shelf(PersonId viewer) {
    return shelf.seenBy(viewer, office.now());
  }

  /** The park slot of this number as this person sees it, or null. */
  public @Nullable SlotView slot(String number, PersonId viewer) {
    return shelf(viewer).stream()
        .filter(each -> each.slot().equals(number))
        .findFirst()
        .orElse(null);
  }
}
