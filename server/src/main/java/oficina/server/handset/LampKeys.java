package oficina.server.handset;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.handset.Panel;
import oficina.core.office.Office;
import oficina.core.office.ParkSlot;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What the keys with a lamp stand for: whatever their person has assigned, and before that the own
 * line, the lines one belongs to, two slots and colleagues of the team.
 */
@Component
class LampKeys {
  private static final int USUAL_SLOTS = 2;

  private final PhoneStore store;
  private final OfficeData office;
  private final Map<PersonId, List<@Nullable String>> assigned;

  LampKeys(PhoneStore store, OfficeData office) {
    this.store = store;
    this.office = office;
    assigned = new ConcurrentHashMap<>(store.keys());
  }

  /** For each key a number as dialled: empty for the own line, null for nothing. */
  List<@Nullable String> of(PersonId person) {
    List<@Nullable String> own = assigned.get(person);
    return own == null ? usual(person) : own;
  }

  private List<@Nullable String> usual(PersonId person) {
    Office now = office.now();
    List<@Nullable String> keys = new ArrayList<>();
    keys.add("");
    for (GroupId group : now.directory().groupsOf(person)) {
      now.directory().group(group).ifPresent(each -> keys.add(each.extension()));
    }
    now.settings().parking().slots().stream()
        .limit(USUAL_SLOTS)
        .map(ParkSlot::number)
        .forEach(keys::add);
    now.directory().teamOf(person).stream()
        .filter(each -> !each.equals(person))
        .flatMap(each -> now.directory().person(each).stream())
        .forEach(each -> keys.add(each.extension()));
    while (keys.size() < Panel.LINE_KEYS) {
      keys.add(null);
    }
    return keys.subList(0, Panel.LINE_KEYS);
  }

  /**
   * Has a key stand for this.
   *
   * @param number empty for nothing; the own line keeps a key
   */
  void assign(PersonId person, int key, String number) {
    List<@Nullable String> keys = new ArrayList<>(of(person));
    keys.set(key, number.isEmpty() ? null : number);
    if (!keys.contains("")) {
      keys.set(0, "");
    }
    store.keepKeys(person, keys);
    assigned.put(person, keys);
  }
}
