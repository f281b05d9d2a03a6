package oficina.server.returning;

import java.util.HashSet;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.call.Owner;
import oficina.core.call.Party;
import oficina.core.people.Directory;
import oficina.core.people.Group;
import oficina.core.people.PersonId;
import org.springframework.stereotype.Component;

/** Which lists of calls to return have changed since somebody was told. */
@Component
public class ReturnLists {
  private final Set<String> changed = ConcurrentHashMap.newKeySet();

  void changed(String list) {
    changed.add(list);
  }

  /** Everybody whose list has changed since this was last asked. */
  public Set<PersonId> takeChanged(Directory directory) {
    Set<PersonId> people = new HashSet<>();
    for (String list : Set.copyOf(changed)) {
      changed.remove(list);
      Party whose = Owner.of(list);
      if (whose.employee() != null) {
        people.add(whose.employee());
      } else {
        directory.group(whose.group()).map(Group::members).ifPresent(people::addAll);
      }
    }
    return people;
  }
}
