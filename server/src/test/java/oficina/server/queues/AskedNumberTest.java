package oficina.server.queues;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import org.junit.jupiter.api.Test;

/** What is taken for the number that a caller was asked for. */
class AskedNumberTest {
  private final List<String> given = new ArrayList<>();
  private final Queue<Runnable> later = new ArrayDeque<>();
  private int asked;
  private final AskedNumber number =
      new AskedNumber(
          new oficina.core.queueing.Queue.Question("booking", 6),
          () -> asked++,
          given::add,
          (time, then) -> later.add(then));

  private void timePasses() {
    later.remove().run();
  }

  @Test
  void the_hash_key_ends_it_and_the_star_begins_it_anew() {
    number.asked();
    number.pressed("12*34");
    number.pressed("7#99");
    assertThat(given).containsExactly("347");
    later.forEach(Runnable::run);
    number.pressed("1#");
    assertThat(given).as("given once").hasSize(1);
  }

  @Test
  void as_many_digits_as_it_has_are_enough() {
    number.pressed("4711001");
    assertThat(given).containsExactly("471100");
  }

  @Test
  void who_says_nothing_is_asked_once_more_and_then_goes_on_without() {
    number.asked();
    timePasses();
    assertThat(asked).isEqualTo(1);
    assertThat(given).isEmpty();
    number.asked();
    timePasses();
    assertThat(given).containsExactly("");
  }

  @Test
  void who_stops_in_the_middle_has_said_what_they_have_said() {
    number.asked();
    number.pressed("471");
    timePasses();
    assertThat(given).as("they have pressed a key since").isEmpty();
    timePasses();
    assertThat(given).containsExactly("471");
  }
}
