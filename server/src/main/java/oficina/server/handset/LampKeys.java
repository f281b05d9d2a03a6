package oficina.server.handset;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.handset.Panel;
import oficina.core.office.Office;
import oficina.core.office.ParkSlot;
import oficina.core.people.Directory;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/**
 * What the keys with a lamp stand for: whatever their person has assigned, and before that the own
 * line, the lines one belongs to, two slots and colleagues of the team.
 */
@Component
public class LampKeys {
  private static final Logger LOG = LoggerFactory.getLogger(LampKeys.class);
  private static final int USUAL_SLOTS = 2;

  private final PhoneStore store;
  private final OfficeData office;
  private final Map<PersonId, List<@Nullable String>> assigned;

  LampKeys(PhoneStore store, OfficeData office) {
    this.store = store;
    this.office = office;
    assigned = new ConcurrentHashMap<>(store.keys());
    office.onChange((before, after) -> follow(moved(before.directory(), after.directory())));
  }

  /** Extensions of people and lines that have another one now. */
  private static Map<String, String> moved(Directory before, Directory after) {
    Map<String, String> moved = new HashMap<>();
    for (Person was : before.people()) {
      after
          .person(was.id())
          .filter(is -> !is.extension().equals(was.extension()))
          .ifPresent(is -> moved.put(was.extension(), is.extension()));
    }
    for (Group was : before.groups()) {
      after
          .group(was.id())
          .filter(is -> !is.extension().equals(was.extension()))
          .ifPresent(is -> moved.put(was.extension(), is.extension()));
    }
    return moved;
  }

  /**
   * Has keys stand for the same at another extension.
   *
   * @param moved extensions by those before; empty for nothing any more
   */
  public void follow(Map<String, String> moved) {
    if (moved.isEmpty()) {
      return;
    }
    assigned.forEach(
        (person, keys) -> {
          List<@Nullable String> then = new ArrayList<>();
          keys.forEach(key -> then.add(key == null ? null : at(moved, key)));
          if (!then.equals(keys)) {
            assigned.put(person, then);
            keep(person, then);
          }
        });
  }

  /** The office has changed already: what follows from it must not stop anything else. */
  private void keep(PersonId person, List<@Nullable String> keys) {
    try {
      store.keepKeys(person, keys);
    } catch (DataAccessException e) {
      LOG.warn("Keys of {} stand for what has moved until the next start only", person, e);
    }
  }

  private static @Nullable String at(Map<String, String> moved, String key) {
    String there = moved.getOrDefault(key, key);
    return there.isEmpty() && !key.isEmpty() ? null : there;
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
