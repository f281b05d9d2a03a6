package oficina.server.standins;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.isNull;
import static org.mockito.ArgumentMatchers.same;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;

import java.time.Instant;
import oficina.server.softphone.Softphones;
import oficina.server.sound.SoundEngine;
import oficina.server.standins.Subscriber.Habit;
import oficina.server.trunk.TrunkCall;
import org.junit.jupiter.api.Test;

class SubscriberVoicesTest {
  private final Scripts scripts = mock(Scripts.class);
  private final SubscriberVoices voices =
      new SubscriberVoices(mock(SoundEngine.class), scripts, mock(Softphones.class));
  private final Runnable said = () -> {};

  private void calls(Habit habit) {
    Subscriber subscriber =
        Subscriber.all().stream().filter(each -> each.habit() == habit).findFirst().orElseThrow();
    voices.begins(
        new OutsideCall(
            new TrunkCall("t1"), subscriber.number(), null, /* incoming= */ true, Instant.EPOCH),
        subscriber,
        said);
  }

  @Test
  void whoever_answers_leaves_a_message_with_a_machine() {
    calls(Habit.ANSWERS);
    verify(scripts).voice(any(), any(), same(said));
  }

  @Test
  void whoever_waits_at_their_own_telephone_takes_no_tone_for_a_machine() {
    calls(Habit.TAKES);
    verify(scripts).voice(any(), any(), isNull());
  }
}
