package oficina.server.topics;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Function;
import oficina.core.people.PersonId;
import oficina.server.passwords.Employee;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Where it is said that something has changed for somebody. Nothing here waits for anything. */
@Component
public class Topics {
  private final List<Follower> followers = new CopyOnWriteArrayList<>();
  private final Map<Topic, Function<Employee, Object>> views = new ConcurrentHashMap<>();

  /** Is told what has changed, and for whom. */
  public interface Follower {
    void changed(Collection<PersonId> people, Topic topic);

    /** For everybody. */
    default void changed(Topic topic) {}

    /** Somebody is to be told something once. */
    default void toBeTold(PersonId to, String what, Map<String, String> about) {}
  }

  public void follow(Follower follower) {
    followers.add(follower);
  }

  /** Has pages told at once what their person sees of a topic, instead of asking for it. */
  public void show(Topic topic, Function<Employee, Object> view) {
    views.put(topic, view);
  }

  /** What somebody sees of a topic now; null when pages ask for it if they show it. */
  public @Nullable Object seen(Topic topic, Employee viewer) {
    Function<Employee, Object> view = views.get(topic);
    return view == null ? null : view.apply(viewer);
  }

  public void tell(PersonId person, Topic topic) {
    tell(List.of(person), topic);
  }

  public void tell(Collection<PersonId> people, Topic topic) {
    followers.forEach(each -> each.changed(people, topic));
  }

  /**
   * Tells somebody something once.
   *
   * @param what pages have a sentence for it
   */
  public void notice(PersonId to, String what, Map<String, String> about) {
    followers.forEach(each -> each.toBeTold(to, what, about));
  }

  public void tellAll(Topic topic) {
    followers.forEach(each -> each.changed(topic));
  }
}
