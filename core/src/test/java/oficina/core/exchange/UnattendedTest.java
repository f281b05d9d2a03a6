package oficina.core.exchange;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import oficina.core.TestOffice;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.commands.CallCommand;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.heard.Listening;
import oficina.core.history.Segment;
import oficina.core.state.Call;
import org.junit.jupiter.api.Test;

/** Calls at whose end nobody is any more. */
class UnattendedTest {
  private final Scene scene = new Scene();
  private final CallId call = scene.call(TOMASZ, "201");

  private Listening.Sound tomaszHears() {
    Call now = scene.state(call);
    return Listening.of(now, now.of(TOMASZ)).sound();
  }

  private void talk() {
    scene.answer(call, INES);
    scene.wait(10);
  }

  @Test
  void the_other_hears_music_and_after_half_a_minute_the_call_ends_with_the_reason() {
    talk();
    scene.goes(INES);
    assertThat(tomaszHears()).isEqualTo(Listening.Sound.MUSIC);
    scene.wait(29);
    assertThat(scene.state(call)).isNotNull();
    scene.wait(1);
    assertThat(scene.state(call)).isNull();
    assertThat(scene.entry(call, TOMASZ).endedBy()).as("nobody hung up").isNull();
    assertThat(scene.entry(call, TOMASZ).cause()).isEqualTo(Cause.LOST);
    assertThat(scene.course(call))
        .last()
        .extracting(Segment::kind)
        .isEqualTo(Segment.Kind.UNATTENDED);
  }

  @Test
  void two_who_both_close_their_pages_do_not_talk_for_ever() {
    talk();
    scene.goes(INES);
    scene.goes(TOMASZ);
    scene.wait(30);
    assertThat(scene.state(call)).isNull();
  }

  @Test
  void whoever_comes_back_in_time_goes_on_talking() {
    talk();
    scene.goes(INES);
    scene.wait(29);
    scene.comes(INES);
    assertThat(tomaszHears()).isEqualTo(Listening.Sound.SPEECH);
    scene.wait(3_600);
    assertThat(scene.state(call)).isNotNull();
  }

  @Test
  void a_telephone_that_nobody_sits_at_does_not_attend_what_was_answered_elsewhere() {
    talk();
    DeviceId telephone = new DeviceId("telephone");
    scene.run(new OfficeCommand.DeviceComes(INES, telephone, DeviceKind.TELEPHONE, false));
    scene.goes(INES);
    assertThat(tomaszHears()).isEqualTo(Listening.Sound.MUSIC);
    scene.run(new CallCommand.MoveHere(call, INES, telephone));
    assertThat(scene.state(call).of(INES).attended()).isTrue();
  }

  @Test
  void another_window_does_not_attend_what_is_not_heard_there() {
    talk();
    scene.run(
        new OfficeCommand.DeviceComes(INES, new DeviceId("window-2"), DeviceKind.WINDOW, true));
    scene.goes(INES);
    assertThat(tomaszHears()).isEqualTo(Listening.Sound.MUSIC);
    scene.run(new CallCommand.MoveHere(call, INES, new DeviceId("window-2")));
    assertThat(tomaszHears()).isEqualTo(Listening.Sound.SPEECH);
  }

  @Test
  void a_caller_whom_nobody_comes_back_to_goes_where_unanswered_calls_go() {
    CallId outside = scene.arrive(TestOffice.DOV, "+441914980221");
    scene.answer(outside, TOMASZ);
    scene.goes(TOMASZ);
    scene.wait(30);
    assertThat(scene.state(outside).mailbox()).as("of Tomasz").isNotNull();
    assertThat(scene.state(outside).of(TOMASZ)).isNull();
  }

  @Test
  void whom_one_has_called_oneself_is_not_sent_to_ones_own_mailbox() {
    CallId placed = scene.call(ZOE, "212");
    scene.answer(placed, ADAEZE);
    scene.goes(ZOE);
    scene.wait(30);
    assertThat(scene.state(placed)).isNull();
  }

  @Test
  void in_a_conference_only_the_one_who_is_gone_leaves() {
    talk();
    CallId second = scene.call(INES, "212");
    scene.answer(second, ADAEZE);
    scene.run(new ConferenceCommand.Join(second, INES, call));
    scene.goes(ADAEZE);
    scene.wait(30);
    assertThat(scene.state(second).parties()).isEqualTo(2);
    assertThat(scene.state(second).of(ADAEZE)).isNull();
  }
}
