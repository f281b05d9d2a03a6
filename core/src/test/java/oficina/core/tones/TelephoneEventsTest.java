package oficina.core.tones;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class TelephoneEventsTest {
  private static final int HELD = 0;
  private static final int ENDS = 0x80 | 10;
  private final TelephoneEvents events = new TelephoneEvents();
  private final StringBuilder pressed = new StringBuilder();

  private void packet(int event, int flags, int duration, int timestamp) {
    byte[] packet = {99, (byte) event, (byte) flags, (byte) (duration >> 8), (byte) duration};
    Character key = events.take(packet, 1, 4, timestamp);
    if (key != null) {
      pressed.append(key);
    }
  }

  @Test
  void a_key_counts_once_however_often_it_is_reported_and_whichever_packets_are_lost() {
    packet(5, HELD, 160, 1_000);
    packet(5, HELD, 320, 1_000);
    packet(5, ENDS, 480, 1_000);
    packet(5, ENDS, 480, 1_000);
    packet(5, ENDS, 480, 9_000); // the same key anew, of which only the end has arrived
    packet(5, ENDS, 480, 9_000);
    assertThat(pressed).hasToString("55");
  }

  @Test
  void all_keys_are_known_and_other_events_are_none() {
    for (int event = 0; event <= 17; event++) {
      packet(event, ENDS, 480, 1_000 * event);
    }
    assertThat(pressed).hasToString("0123456789*#ABCD");
  }

  @Test
  void a_key_held_down_beyond_what_one_report_can_say_is_one_key() {
    packet(1, HELD, 0xFFFF, 1_000);
    packet(1, HELD, 800, 1_000 + 0xFFFF);
    packet(1, ENDS, 1_600, 1_000 + 0xFFFF);
    packet(1, ENDS, 480, 200_000);
    assertThat(pressed).hasToString("11");
  }

  @Test
  void what_comes_late_or_is_cut_short_is_nothing() {
    packet(2, ENDS, 480, Integer.MAX_VALUE - 10);
    packet(3, ENDS, 480, Integer.MAX_VALUE - 500);
    packet(4, ENDS, 480, Integer.MIN_VALUE + 100); // the clock has gone round
    assertThat(events.take(new byte[] {5, 0, 0}, 0, 3, Integer.MIN_VALUE + 900)).isNull();
    assertThat(pressed).hasToString("24");
  }
}
