package oficina.core.contacts;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Contacts by something that several may share. */
final class Grouped<K> {
  private final Map<K, List<Listed>> all = new HashMap<>();

  List<Listed> of(K key) {
    return all.getOrDefault(key, List.of());
  }

  void add(K key, Listed listed) {
    all.computeIfAbsent(key, k -> new ArrayList<>(1)).add(listed);
  }

  void remove(K key, Listed listed) {
    all.computeIfPresent(
        key,
        (k, found) -> {
          found.remove(listed);
          return found.isEmpty() ? null : found;
        });
  }
}
