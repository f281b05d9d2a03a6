package oficina.server.preferences;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import org.springframework.stereotype.Component;

/** Everybody's preferences. What the exchange needs of them is a part of the office. */
@Component
public class Preferences {
  private final PreferenceStore store;
  private final OfficeData office;
  private final Map<PersonId, List<String>> hiddenSlots;

  Preferences(PreferenceStore store, OfficeData office) {
    this.store = store;
    this.office = office;
    hiddenSlots = new ConcurrentHashMap<>(store.hiddenSlots());
  }

  public Preference of(PersonId id) {
    Person person = office.person(id);
    return new Preference(
        person.callWaiting(),
        person.calls().callerId(),
        person.calls().recording(),
        hiddenSlots.getOrDefault(id, List.of()));
  }

  /** One after the other, so that memory and database never differ. */
  void choose(PersonId id, Preference preference) {
    office.change(
        () -> {
          store.write(id, preference);
          hiddenSlots.put(id, preference.hiddenSlots());
        });
  }
}
