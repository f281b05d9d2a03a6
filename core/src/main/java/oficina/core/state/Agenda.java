package oficina.core.state;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/** When something is due for whom or what, the soonest first. */
final class Agenda<K extends Comparable<K>> {
  private record Due<K>(Instant at, K what) {}

  private final TreeSet<Due<K>> all =
      new TreeSet<>(Comparator.<Due<K>, Instant>comparing(Due::at).thenComparing(Due::what));

  /** It is due at another time than before; null for never. */
  void change(K what, @Nullable Instant before, @Nullable Instant now) {
    if (before != null && !before.equals(now)) {
      all.remove(new Due<>(before, what));
    }
    if (now != null && !now.equals(before)) {
      all.add(new Due<>(now, what));
    }
  }

  /** When the next is due; null when nothing is. */
  @Nullable Instant next() {
    return all.isEmpty() ? null : all.first().at();
  }

  /** What is due by then, in its order. */
  List<K> by(Instant now) {
    List<K> due = new ArrayList<>();
    for (Due<K> next : all) {
      if (next.at().isAfter(now)) {
        break;
      }
      due.add(next.what());
    }
    return due;
  }

  @Override
  public String toString() {
    return all.toString();
  }
}
