package oficina.core.seen;

import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.SendCommand;
import oficina.core.exchange.Scene;
import oficina.core.people.PersonId;
import oficina.core.seen.Standpoint.Phase;
import oficina.core.seen.Standpoint.Whole;
import org.junit.jupiter.api.Test;

/** How a call stands for those who are in it. */
class StandpointTest {
  private final Scene scene = new Scene();

  private Phase of(CallId id, PersonId person) {
    return Standpoint.of(scene.state(id), person).phase();
  }

  /** Seconds it has stood so for this person. */
  private long seconds(CallId id, PersonId person) {
    return Duration.between(Standpoint.of(scene.state(id), person).since(), scene.now())
        .toSeconds();
  }

  private Whole whole(CallId id) {
    return Standpoint.whole(scene.state(id));
  }

  @Test
  void from_ringing_to_talking_and_who_holds_whom() {
    CallId call = scene.call(BRAM, "221");
    assertThat(of(call, BRAM)).isEqualTo(Phase.CALLING);
    assertThat(of(call, TOMASZ)).isEqualTo(Phase.RINGING);
    assertThat(whole(call)).isEqualTo(Whole.RINGING);
    scene.answer(call, TOMASZ);
    assertThat(of(call, BRAM)).isEqualTo(Phase.TALKING);
    scene.run(new CallCommand.Hold(call, TOMASZ));
    assertThat(of(call, TOMASZ)).isEqualTo(Phase.HELD);
    assertThat(of(call, BRAM)).isEqualTo(Phase.WAITING);
    assertThat(whole(call)).isEqualTo(Whole.HELD);
  }

  /** A desk phone once counted from when the call was answered, the screen from the hold on. */
  @Test
  void since_when_it_stands_so_for_each_of_them() {
    CallId call = scene.call(BRAM, "221");
    scene.wait(5);
    assertThat(seconds(call, BRAM)).isEqualTo(5);
    scene.answer(call, TOMASZ);
    scene.wait(30);
    scene.run(new CallCommand.Hold(call, TOMASZ));
    scene.wait(4);
    assertThat(seconds(call, TOMASZ)).isEqualTo(4);
    assertThat(seconds(call, BRAM)).isEqualTo(4);
    scene.run(
        new SendCommand.PutThrough(call, TOMASZ, scene.office.plan.interpret("222"), null, null));
    scene.wait(2);
    assertThat(of(call, TOMASZ)).isEqualTo(Phase.SENT);
    assertThat(seconds(call, TOMASZ)).isEqualTo(2);
    assertThat(Standpoint.of(scene.state(call), TOMASZ).other())
        .isEqualTo(new Party.Employee(BRAM));
  }

  @Test
  void whoever_is_handed_over_is_spoken_with_since_then() {
    CallId call = scene.call(BRAM, "221");
    scene.answer(call, TOMASZ);
    CallId announcing = scene.nextId();
    scene.run(
        new SendCommand.Announce(
            call, TOMASZ, announcing, Scene.WINDOW, scene.office.plan.interpret("222"), null));
    scene.answer(announcing, ZOE);
    scene.wait(20);
    scene.run(new SendCommand.HandOver(call, TOMASZ, announcing));
    scene.wait(3);
    assertThat(seconds(call, BRAM)).isEqualTo(3);
    assertThat(seconds(call, ZOE)).isEqualTo(3);
  }

  /** A desk phone once showed that it was being dialled. */
  @Test
  void whoever_is_parked_waits() {
    CallId call = scene.call(BRAM, "221");
    scene.answer(call, TOMASZ);
    scene.run(new SendCommand.Park(call, TOMASZ, "62", ZOE, ""));
    assertThat(of(call, BRAM)).isEqualTo(Phase.WAITING);
    assertThat(whole(call)).isEqualTo(Whole.PARKED);
    scene.wait(181); // it comes back
    assertThat(of(call, BRAM)).isEqualTo(Phase.WAITING);
    assertThat(of(call, TOMASZ)).isEqualTo(Phase.RINGING);
  }

  /** Nobody has been rung yet; and asked for a key at one's telephone outside one is not there. */
  @Test
  void at_a_telephone_outside_it_is_dialled_until_the_key_is_pressed() {
    CallId call = scene.nextId();
    scene.run(
        new CallCommand.MakeCall(
            call, INES, DeviceId.OUTSIDE, scene.office.plan.interpret("221"), null));
    assertThat(of(call, INES)).isEqualTo(Phase.DIALLING);
    CallId line = scene.exchange.state().outsidePhone(INES).line();
    scene.run(new NetworkCommand.NetworkAnswers(line, 1));
    scene.run(new NetworkCommand.NetworkKeys(line, 1, "1"));
    assertThat(of(call, INES)).isEqualTo(Phase.CALLING);
    assertThat(whole(call)).isEqualTo(Whole.RINGING);
  }
}
