package oficina.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import oficina.core.events.ExchangeEvent;
import org.junit.jupiter.api.Test;

/**
 * The rules of the exchange hold after every event, whatever people and the network do. A failure
 * names the seed and the shortest sequence found that still fails.
 */
class RandomSequencesTest {
  private static final int SEEDS = Integer.getInteger("oficina.random.seeds", 250);
  private static final int STEPS = 400;

  @Test
  void rules_hold_under_any_sequence_of_commands() {
    for (long seed = 1; seed <= SEEDS; seed++) {
      List<Step> steps = Step.random(new Random(seed), STEPS);
      if (broken(steps) != null) {
        List<Step> shortest = shortest(steps);
        throw new AssertionError(
            "seed " + seed + ", shortest sequence " + shortest, broken(shortest));
      }
    }
  }

  @Test
  void sequences_reach_every_event() {
    Set<Class<?>> all = kinds(ExchangeEvent.class).collect(Collectors.toSet());
    Set<Class<?>> reached = new HashSet<>();
    for (long seed = 1; seed <= 8 && !reached.equals(all); seed++) {
      Play play = new Play();
      Step.random(new Random(seed), 20 * STEPS).forEach(play::take); // some things take their time
      play.scene.events.forEach(event -> reached.add(event.getClass()));
    }
    assertThat(reached).containsExactlyInAnyOrderElementsOf(all);
  }

  private static Stream<Class<?>> kinds(Class<?> family) {
    return family.isSealed()
        ? Stream.of(family.getPermittedSubclasses()).flatMap(RandomSequencesTest::kinds)
        : Stream.of(family);
  }

  private static Throwable broken(List<Step> steps) {
    Play play = new Play();
    try {
      steps.forEach(play::take);
      play.end();
      return null;
    } catch (AssertionError | RuntimeException e) {
      return e;
    }
  }

  /** Leaves out ever smaller pieces as long as what is left still fails. */
  private static List<Step> shortest(List<Step> failing) {
    List<Step> best = failing;
    for (int piece = failing.size() / 2; piece > 0; piece /= 2) {
      for (int from = 0; from + piece <= best.size(); ) {
        List<Step> fewer = new ArrayList<>(best);
        fewer.subList(from, from + piece).clear();
        if (broken(fewer) != null) {
          best = fewer;
        } else {
          from += piece;
        }
      }
    }
    return best;
  }
}
