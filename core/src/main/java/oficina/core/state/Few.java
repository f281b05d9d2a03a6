package oficina.core.state;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/** Lists of few things that are replaced whole: a draft begins with the same ones. */
final class Few {
  private Few() {}

  static <T> @Nullable T first(List<T> all, Predicate<T> which) {
    return all.stream().filter(which).findFirst().orElse(null);
  }

  static <T> List<T> plus(List<T> all, T one) {
    List<T> more = new ArrayList<>(all);
    more.add(one);
    return List.copyOf(more);
  }

  static <T> List<T> without(List<T> all, Predicate<T> which) {
    return all.stream().filter(which.negate()).toList();
  }

  static <T> List<T> changed(List<T> all, Predicate<T> which, UnaryOperator<T> change) {
    return all.stream().map(each -> which.test(each) ? change.apply(each) : each).toList();
  }
}
