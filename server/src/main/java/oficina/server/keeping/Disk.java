package oficina.server.keeping;

import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.stereotype.Component;

/** Whether the disk takes what is recorded. A full one refuses, and so does one that is gone. */
@Component
public class Disk {
  private final Set<Object> refusing = ConcurrentHashMap.newKeySet();
  private final List<Runnable> listeners = new CopyOnWriteArrayList<>();

  /** Whether something recorded waits for the disk, or is lost. */
  public boolean refuses() {
    return !refusing.isEmpty();
  }

  /** Has somebody told when that changes. */
  public void onChange(Runnable listener) {
    listeners.add(listener);
  }

  /**
   * It has refused what this one writes.
   *
   * @return whether it did not before
   */
  boolean refused(Object writer) {
    return changed(refusing.add(writer));
  }

  /** It has taken what this one writes. */
  void took(Object writer) {
    changed(refusing.remove(writer));
  }

  private boolean changed(boolean changed) {
    if (changed) {
      listeners.forEach(Runnable::run);
    }
    return changed;
  }
}
