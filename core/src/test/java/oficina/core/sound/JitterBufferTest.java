package oficina.core.sound;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import java.util.Random;
import oficina.core.sound.JitterBuffer.Taken;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class JitterBufferTest {
  private record Packet(int index, long arrives) {}

  private final JitterBuffer buffer = new JitterBuffer();
  private final byte[] into = new byte[1_500];
  private final List<Integer> played = new ArrayList<>();
  private int missing;
  private int silent;

  /** Frames are numbered in what they carry. */
  private void put(int sequence, int index, long at) {
    byte[] packet = {9, (byte) (index >> 16), (byte) (index >> 8), (byte) index};
    buffer.put(sequence & 0xFFFF, packet, 1, 3, at);
  }

  private void take() {
    Taken taken = buffer.take(into);
    if (taken == Taken.FRAME) {
      assertThat(buffer.length()).isEqualTo(3);
      played.add((into[0] & 0xFF) << 16 | (into[1] & 0xFF) << 8 | into[2] & 0xFF);
    } else if (taken == Taken.MISSING) {
      missing++;
    } else {
      silent++;
    }
  }

  /** Sends so many frames over a network that loses and delays, and plays them. */
  private void run(int frames, double loss, int jitterMillis, long seed, int firstSequence) {
    Random random = new Random(seed);
    PriorityQueue<Packet> underway = new PriorityQueue<>(Comparator.comparing(Packet::arrives));
    for (int i = 0; i < frames; i++) {
      if (random.nextDouble() >= loss) {
        long jitter = jitterMillis == 0 ? 0 : random.nextInt(jitterMillis + 1);
        underway.add(new Packet(i, i * 20L + 30 + jitter));
      }
    }
    for (long now = 0; now < frames * 20L + 400; now += 20) {
      while (!underway.isEmpty() && underway.peek().arrives() <= now) {
        Packet packet = underway.poll();
        put(firstSequence + packet.index(), packet.index(), packet.arrives());
      }
      take();
    }
  }

  @Test
  void on_an_even_line_nothing_waits_and_nothing_is_lost() {
    run(2_000, 0, 0, 1, 65_000);
    assertThat(played).hasSize(2_000).isSorted().doesNotHaveDuplicates();
    assertThat(buffer.delay()).isZero();
    assertThat(buffer.lost()).isLessThanOrEqualTo(10); // it goes on a little after the last one
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void packets_that_come_unevenly_are_played_in_order_and_few_are_too_late(long seed) {
    run(3_000, 0, 40, seed, (int) (seed * 9_000));
    assertThat(played).isSorted().doesNotHaveDuplicates();
    assertThat(played.size()).isGreaterThan(2_900);
    assertThat(buffer.delay()).isBetween(1, 3);
  }

  @ParameterizedTest
  @ValueSource(longs = {11, 12, 13, 14})
  void lost_packets_are_made_up_one_by_one(long seed) {
    run(3_000, 0.05, 40, seed, 0);
    assertThat(played).isSorted().doesNotHaveDuplicates();
    assertThat(played.size()).isBetween(2_700, 2_900);
    assertThat(missing).isBetween(80, 300);
  }

  @Test
  void a_pause_is_silence_and_what_comes_after_it_is_played_at_once() {
    run(100, 0, 0, 1, 10);
    silent = 0;
    for (int i = 0; i < 100; i++) {
      take();
    }
    assertThat(silent).isGreaterThan(85);
    put(5_000, 4_711, 9_000);
    take();
    assertThat(played).last().isEqualTo(4_711);
  }

  @Test
  void a_clock_that_goes_faster_does_not_make_the_delay_grow() {
    int sent = 0;
    for (int i = 0; i < 5_000; i++) {
      put(sent, sent, i * 20L);
      sent++;
      if (i % 50 == 0) {
        put(sent, sent, i * 20L);
        sent++;
      }
      take();
    }
    assertThat(buffer.depth()).isLessThan(16);
  }

  /** Frames that come each 20 ms, one taken for each. */
  private void evenly(int from, int frames, long firstAt) {
    for (int i = 0; i < frames; i++) {
      put(from + i, from + i, firstAt + i * 20L);
      take();
    }
  }

  @Test
  void after_a_standstill_of_everything_sound_is_soon_as_early_as_before() {
    evenly(0, 500, 0);
    for (int i = 0; i < 20; i++) {
      put(500 + i, 500 + i, 500 * 20L + 400); // what waited meanwhile comes at once
    }
    evenly(520, 350, 520 * 20L);
    assertThat(buffer.depth()).isLessThanOrEqualTo(1);
    assertThat(buffer.delay()).isZero();
    assertThat(played).isSorted().doesNotHaveDuplicates();
  }

  @Test
  void a_sender_who_pauses_without_saying_so_is_not_thought_late_for_long() {
    evenly(0, 500, 0);
    evenly(500, 2 * 250 + 50, 500 * 20L + 200);
    assertThat(buffer.delay()).isZero();
  }

  @Test
  void nonsense_is_survived() {
    Random random = new Random(5);
    for (int i = 0; i < 100_000; i++) {
      if (random.nextBoolean()) {
        buffer.put(random.nextInt(65_536), into, 0, random.nextInt(1_500), i);
      } else {
        buffer.take(into);
      }
    }
    buffer.put(1, new byte[9_000], 0, 9_000, 1);
    assertThat(buffer.depth()).isBetween(0, 64);
  }
}
