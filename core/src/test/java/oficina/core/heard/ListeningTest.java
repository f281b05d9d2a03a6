package oficina.core.heard;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.ConferenceCommand;
import oficina.core.exchange.Scene;
import oficina.core.heard.Listening.Sound;
import oficina.core.state.Connection;
import org.junit.jupiter.api.Test;

/** Who hears whom, by connections: two who withhold their numbers are not the same voice. */
class ListeningTest {
  private final Scene scene = new Scene();

  private Listening hears(CallId call, int leg) {
    return Listening.of(scene.state(call), scene.state(call).leg(leg));
  }

  @Test
  void a_call_from_ringing_to_its_end() {
    CallId call = scene.call(TOMASZ, "222");
    assertThat(hears(call, 1).sound()).isEqualTo(Sound.RINGING);
    assertThat(hears(call, 2).sound()).as("it rings there").isEqualTo(Sound.SILENCE);
    scene.answer(call, ZOE);
    assertThat(hears(call, 1).voices()).containsExactly(2);
    assertThat(hears(call, 2).voices()).containsExactly(1);
    scene.run(new CallCommand.Hold(call, ZOE));
    assertThat(hears(call, 1).sound()).isEqualTo(Sound.MUSIC);
    assertThat(hears(call, 2).sound()).isEqualTo(Sound.SILENCE);
  }

  @Test
  void whoever_cannot_be_connected_hears_why() {
    CallId call = scene.call(TOMASZ, "213");
    scene.run(new CallCommand.Decline(call, BRAM));
    assertThat(hears(call, 1).sound()).isEqualTo(Sound.REFUSAL);
  }

  @Test
  void two_withheld_callers_in_a_conference_hear_each_other_and_not_themselves() {
    CallId first = scene.arrive(null, "+441914980221");
    scene.answer(first, TOMASZ);
    CallId second = scene.arrive(null, "+441914980221");
    scene.answer(second, TOMASZ);
    assertThat(scene.run(new ConferenceCommand.Join(first, TOMASZ, second))).isNull();
    assertThat(scene.state(first).connections()).hasSize(3);
    for (Connection listener : scene.state(first).connections()) {
      if (listener.party().employee() == null) {
        assertThat(Listening.of(scene.state(first), listener).voices())
            .as("the other caller and Tomasz")
            .hasSize(2)
            .doesNotContain(listener.leg());
      }
    }
  }

  @Test
  void a_member_who_is_muted_is_heard_by_nobody_and_hears_everybody() {
    CallId call = scene.arrive(DOV, "+441914980221");
    scene.answer(call, TOMASZ);
    CallId other = scene.call(TOMASZ, "212");
    scene.answer(other, ADAEZE);
    assertThat(scene.run(new ConferenceCommand.Join(call, TOMASZ, other))).isNull();
    scene.run(new CallCommand.Mute(call, TOMASZ, true));
    int tomasz = scene.state(call).of(TOMASZ).leg();
    assertThat(hears(call, 1).voices()).hasSize(1).doesNotContain(tomasz);
    scene.run(new CallCommand.Retrieve(call, TOMASZ));
    assertThat(hears(call, tomasz).voices()).hasSize(2);
  }
}
