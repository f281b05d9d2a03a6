package oficina.core.handset;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Map;
import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.exchange.Scene;
import oficina.core.handset.Key.Kind;
import oficina.core.heard.Listening;
import oficina.core.history.Segment;
import oficina.core.people.Status;
import oficina.core.state.ConnectionState;
import org.junit.jupiter.api.Test;

/** The whole job by the keys of a desk telephone. */
class TelephoneTest {
  private final Scene scene = new Scene();
  private final Desk desk = new Desk(scene, INES);

  private CallId dovCalls() {
    return scene.arrive(DOV, "+441914980201");
  }

  private CallId talkWithDov() {
    CallId call = dovCalls();
    desk.press(Kind.OFF_HOOK);
    return call;
  }

  @Test
  void lifting_the_handset_answers_and_putting_it_down_ends() {
    CallId call = dovCalls();
    assertThat(desk.shows()).containsExactly("CALL_RINGS +441514960177");
    assertThat(desk.sounds().ring()).isEqualTo(Panel.Ring.OUTSIDE);
    assertThat(desk.light(0)).isEqualTo(Panel.Light.FLASHING);
    desk.press(Kind.OFF_HOOK);
    assertThat(desk.shows()).containsExactly("CALL_TALKING +441514960177");
    assertThat(desk.sounds().talking()).isTrue();
    assertThat(desk.state(call).of(INES).device()).isEqualTo(Desk.DEVICE);
    desk.press(Kind.ON_HOOK);
    assertThat(desk.state(call)).isNull();
    assertThat(desk.sounds().path()).isEqualTo(Panel.Path.NONE);
  }

  @Test
  void off_the_hook_there_is_dialling_tone_and_later_a_reminder() {
    desk.press(Kind.OFF_HOOK);
    var tone = desk.sounds().tone();
    assertThat(tone).isNotNull();
    desk.wait(16);
    assertThat(desk.sounds().tone()).isNotNull().isNotEqualTo(tone);
    desk.wait(90);
    assertThat(desk.sounds().tone()).as("it does not howl for ever").isNull();
    assertThat(desk.phone.nextDue(scene.now())).isNull();
    desk.type("2");
    assertThat(desk.sounds().tone()).isNull();
  }

  @Test
  void a_number_is_dialled_when_nothing_more_is_pressed_or_by_the_number_sign() {
    desk.press(Kind.OFF_HOOK).type("212");
    assertThat(desk.shows()).contains("TYPED 212");
    desk.wait(5);
    assertThat(desk.shows()).containsExactly("CALL_CALLING Adaeze Moor");
    desk.press(Kind.ON_HOOK);
    desk.type("213");
    desk.wait(20);
    assertThat(desk.shows()).as("on the hook nothing is dialled by itself").contains("TYPED 213");
    desk.type("#");
    assertThat(desk.shows()).containsExactly("CALL_CALLING Bram Oakes");
    assertThat(desk.sounds().path()).isEqualTo(Panel.Path.SPEAKER);
  }

  @Test
  void a_name_is_spelled_on_the_keys_and_chosen() {
    desk.press(Kind.OFF_HOOK).press(Kind.DIRECTORY).type("23239"); // ADAEZ
    assertThat(desk.shows()).contains("FOUND Adaeze Moor");
    desk.wait(10).soft(SoftKey.CALL);
    assertThat(desk.shows()).containsExactly("CALL_CALLING Adaeze Moor");
  }

  @Test
  void a_second_call_holds_the_first_and_one_goes_from_one_to_the_other() {
    CallId first = talkWithDov();
    CallId second = scene.call(TOMASZ, "201");
    assertThat(desk.sounds().ring()).isEqualTo(Panel.Ring.BESIDE);
    assertThat(desk.shows())
        .containsExactly("CALL_RINGS Tomasz Brill", "CALL_TALKING +441514960177");
    desk.soft(SoftKey.ANSWER);
    assertThat(scene.state(first, INES)).isEqualTo(ConnectionState.HOLD);
    desk.press(Kind.DOWN).soft(SoftKey.RETRIEVE);
    assertThat(scene.state(first, INES)).isEqualTo(ConnectionState.CONNECTED);
    assertThat(scene.state(second, INES)).isEqualTo(ConnectionState.HOLD);
    desk.press(Kind.ON_HOOK);
    assertThat(desk.state(first)).isNull();
    assertThat(desk.shows())
        .as("the held one is in front")
        .containsExactly("CALL_HELD Tomasz Brill");
    desk.press(Kind.END);
    assertThat(desk.state(second)).as("whoever is held is not ended by chance").isNotNull();
    desk.line(0);
    assertThat(scene.state(second, INES)).isEqualTo(ConnectionState.CONNECTED);
  }

  @Test
  void it_rings_a_while_after_the_others_or_not_at_all() {
    desk.ringsAfter = Duration.ofSeconds(10);
    dovCalls();
    assertThat(desk.sounds().ring()).isEqualTo(Panel.Ring.NOT);
    assertThat(desk.phone.nextDue(scene.now())).isEqualTo(scene.now().plusSeconds(10));
    scene.wait(10);
    assertThat(desk.sounds().ring()).isEqualTo(Panel.Ring.OUTSIDE);
    desk.ringsAfter = null;
    assertThat(desk.sounds().ring()).isEqualTo(Panel.Ring.NOT);
    assertThat(desk.shows()).as("it is seen, and can be answered").hasSize(1);
  }

  @Test
  void hold_and_mute_have_keys_of_their_own() {
    CallId call = talkWithDov();
    desk.press(Kind.HOLD);
    assertThat(scene.state(call, INES)).isEqualTo(ConnectionState.HOLD);
    assertThat(desk.light(0)).isEqualTo(Panel.Light.WAITING);
    desk.press(Kind.HOLD).press(Kind.MUTE);
    assertThat(desk.sounds().muted()).isTrue();
    desk.press(Kind.MUTE);
    assertThat(desk.state(call).of(INES).muted()).isFalse();
  }

  @Test
  void a_key_pressed_twice_in_a_hurry_counts_once_and_nothing_is_told() {
    CallId call = talkWithDov();
    desk.twice(new Key(Kind.HOLD, 0));
    assertThat(scene.state(call, INES)).isEqualTo(ConnectionState.HOLD);
    assertThat(desk.shows()).containsExactly("CALL_HELD +441514960177");
    desk.twice(new Key(Kind.HOLD, 0));
    assertThat(desk.shows()).containsExactly("CALL_TALKING +441514960177");
    desk.twice(new Key(Kind.END, 0));
    assertThat(desk.shows()).noneMatch(line -> line.startsWith("TOLD"));
  }

  @Test
  void put_through_by_number_or_by_the_key_of_a_colleague() {
    CallId call = talkWithDov();
    desk.soft(SoftKey.TRANSFER).type("213").soft(SoftKey.PUT_THROUGH);
    assertThat(desk.state(call).of(BRAM).rings()).isTrue();
    CallId next = scene.arrive(DOV, "+441914980201");
    desk.press(Kind.ON_HOOK).press(Kind.OFF_HOOK).soft(SoftKey.TRANSFER).line(2);
    assertThat(desk.state(next).of(ADAEZE).rings()).isTrue();
  }

  @Test
  void announced_and_handed_over_by_putting_the_handset_down() {
    CallId call = talkWithDov();
    desk.soft(SoftKey.TRANSFER).type("212").soft(SoftKey.ANNOUNCE);
    scene.answer(desk.placed(), ADAEZE);
    assertThat(desk.panel().soft())
        .contains(SoftKey.HAND_OVER, SoftKey.SWAP, SoftKey.JOIN, SoftKey.RECONNECT);
    desk.press(Kind.ON_HOOK);
    assertThat(desk.state(call).of(INES)).isNull();
    assertThat(desk.state(call).of(ADAEZE).answered()).isTrue();
  }

  @Test
  void hanging_up_on_an_announcement_that_failed_keeps_the_caller_on_hold_and_the_speaker_shut() {
    CallId call = talkWithDov();
    desk.soft(SoftKey.TRANSFER).type("212").soft(SoftKey.ANNOUNCE);
    scene.run(new CallCommand.Decline(desk.placed(), ADAEZE));
    assertThat(desk.shows().get(0)).startsWith("CALL_FAILED");
    desk.press(Kind.ON_HOOK);
    assertThat(scene.state(call, INES)).isEqualTo(ConnectionState.HOLD);
    assertThat(desk.sounds().path()).isEqualTo(Panel.Path.NONE);
    desk.line(0);
    assertThat(scene.state(call, INES)).isEqualTo(ConnectionState.CONNECTED);
  }

  @Test
  void back_to_the_caller_when_the_colleague_does_not_want_them() {
    CallId call = talkWithDov();
    desk.soft(SoftKey.TRANSFER).type("212").soft(SoftKey.ANNOUNCE);
    scene.answer(desk.placed(), ADAEZE);
    desk.press(Kind.END);
    assertThat(scene.state(call, INES)).isEqualTo(ConnectionState.CONNECTED);
    assertThat(desk.shows()).containsExactly("CALL_TALKING +441514960177");
  }

  @Test
  void three_talk() {
    CallId call = talkWithDov();
    desk.soft(SoftKey.ADD).type("212").soft(SoftKey.ADD_TO_CALL);
    scene.answer(desk.placed(), ADAEZE);
    desk.soft(SoftKey.JOIN);
    assertThat(desk.state(call).parties()).isEqualTo(3);
    assertThat(desk.shows().get(0)).startsWith("CALL_CONFERENCE");
  }

  @Test
  void parked_in_a_chosen_slot_and_taken_by_its_lamp() {
    CallId call = talkWithDov();
    desk.line(4);
    assertThat(desk.state(call).parked().slot()).isEqualTo("61");
    assertThat(desk.light(4)).isEqualTo(Panel.Light.WAITING);
    desk.press(Kind.ON_HOOK).line(4);
    assertThat(scene.state(call, INES)).isEqualTo(ConnectionState.CONNECTED);
    desk.soft(SoftKey.PARK).soft(SoftKey.PARK_NEXT);
    assertThat(desk.state(call).parked().slot()).isEqualTo("61");
  }

  @Test
  void whoever_is_on_hold_is_parked_by_the_key_of_a_slot_too() {
    CallId call = talkWithDov();
    desk.press(Kind.HOLD).line(4);
    assertThat(desk.state(call).parked().slot()).isEqualTo("61");
    desk.line(4);
    assertThat(scene.state(call, INES)).isEqualTo(ConnectionState.CONNECTED);
  }

  @Test
  void the_telephone_of_whoever_is_told_of_a_caller_says_whom() {
    Desk adaezes = new Desk(scene, ADAEZE);
    talkWithDov();
    desk.soft(SoftKey.TRANSFER).type("212").soft(SoftKey.ANNOUNCE);
    Panel.Line first = adaezes.panel().display().get(0);
    assertThat(first.code()).isEqualTo("CALL_ANNOUNCES");
    assertThat(first.about()).containsEntry("announced", DOV.e164());
    assertThat(desk.panel().display().get(0).about()).containsEntry("announced", "");
  }

  @Test
  void a_colleagues_ringing_call_is_taken_by_their_key() {
    CallId call = scene.call(TOMASZ, "212");
    assertThat(desk.light(2)).isEqualTo(Panel.Light.FLASHING);
    desk.line(2);
    assertThat(scene.state(call, INES)).isEqualTo(ConnectionState.CONNECTED);
    CallId other = scene.call(ADAEZE, "213");
    desk.press(Kind.END).line(3);
    assertThat(scene.state(other, INES)).isEqualTo(ConnectionState.CONNECTED);
  }

  @Test
  void what_rings_on_a_line_is_answered_by_its_key() {
    CallId call = scene.arrive(DOV, "+441914980100");
    assertThat(desk.light(1)).isEqualTo(Panel.Light.FLASHING);
    desk.line(1);
    assertThat(scene.state(call, INES)).isEqualTo(ConnectionState.CONNECTED);
  }

  @Test
  void keys_are_sent_to_a_menu() {
    desk.type("01514960177#");
    scene.run(new NetworkCommand.NetworkAnswers(desk.placed(), 2));
    desk.type("5");
    assertThat(desk.asked).last().isInstanceOf(Effect.Do.class);
    assertThat(((Effect.Do) desk.asked.get(desk.asked.size() - 1)).command())
        .isEqualTo(new CallCommand.SendDigits(desk.placed(), INES, "5"));
  }

  @Test
  void the_screen_answers_and_the_speaker_of_the_telephone_opens() {
    CallId call = dovCalls();
    scene.run(new CallCommand.Answer(call, INES, Desk.DEVICE));
    assertThat(desk.sounds().path()).isEqualTo(Panel.Path.SPEAKER);
    assertThat(desk.sounds().talking()).isTrue();
    scene.run(new NetworkCommand.NetworkClears(call, 1));
    assertThat(desk.sounds().path()).isEqualTo(Panel.Path.NONE);
  }

  @Test
  void a_call_taken_by_another_device_leaves_the_telephone_quiet_and_says_where_it_is() {
    CallId call = talkWithDov();
    desk.press(Kind.SPEAKER).press(Kind.ON_HOOK);
    scene.run(new CallCommand.MoveHere(call, INES, Scene.WINDOW));
    assertThat(desk.sounds().talking()).isFalse();
    assertThat(desk.sounds().path()).isEqualTo(Panel.Path.NONE);
    assertThat(desk.shows()).first().isEqualTo("TOLD_GOES_ON_ELSEWHERE");
    desk.soft(SoftKey.MOVE_HERE);
    assertThat(desk.state(call).of(INES).device()).isEqualTo(Desk.DEVICE);
    assertThat(desk.sounds().talking()).isTrue();
  }

  @Test
  void a_call_that_was_moved_is_one_entry_and_its_cord_shows_where_it_went_on() {
    CallId call = scene.call(TOMASZ, "201");
    desk.press(Kind.OFF_HOOK).wait(10);
    scene.run(new CallCommand.MoveHere(call, INES, Scene.WINDOW));
    desk.wait(20);
    scene.clear(call, TOMASZ);
    assertThat(scene.course(call))
        .extracting(Segment::kind)
        .endsWith(Segment.Kind.TALKING, Segment.Kind.TALKING);
    assertThat(scene.entry(call, INES).talked()).isEqualTo(Duration.ofSeconds(30));
  }

  @Test
  void do_not_disturb_forwarding_and_the_keys_themselves() {
    desk.soft(SoftKey.DISTURB_NOT);
    assertThat(scene.exchange.state().status(INES).kind()).isEqualTo(Status.Kind.DO_NOT_DISTURB);
    desk.soft(SoftKey.DISTURB);
    assertThat(scene.exchange.state().status(INES)).isNull();
    desk.soft(SoftKey.FORWARD).type("212").soft(SoftKey.FORWARD_THERE);
    assertThat(desk.asked).last().isEqualTo(new Wish.Forward("212"));
    desk.soft(SoftKey.ASSIGN_KEYS).line(6).type("221").soft(SoftKey.ASSIGN);
    assertThat(desk.asked).last().isEqualTo(new Wish.Assign(6, "221"));
    desk.soft(SoftKey.SIGN_ON).type("212").soft(SoftKey.NEXT).type("4711");
    assertThat(desk.shows()).as("the PIN is not shown").contains("TYPED ••••");
    desk.soft(SoftKey.SIGN_ON_HERE);
    assertThat(desk.asked).last().isEqualTo(new Wish.SignOn("212", "4711"));
  }

  @Test
  void an_earlier_call_is_chosen_and_the_last_one_placed_again() {
    desk.earlier.add(new Surroundings.Earlier("Dov", "+441514960177", scene.now(), "MISSED"));
    desk.earlier.add(new Surroundings.Earlier("Adaeze Moor", "212", scene.now(), "PLACED"));
    desk.press(Kind.HISTORY).press(Kind.DOWN).soft(SoftKey.CALL);
    assertThat(desk.shows()).containsExactly("CALL_CALLING Adaeze Moor");
    desk.press(Kind.END).press(Kind.REDIAL);
    assertThat(desk.shows().get(0)).startsWith("CALL_");
  }

  @Test
  void what_is_refused_says_why_and_goes_away() {
    desk.press(Kind.OFF_HOOK).type("201#");
    assertThat(desk.asked).isNotEmpty();
    desk.press(Kind.ON_HOOK).soft(SoftKey.PICK_UP);
    assertThat(desk.shows()).first().isEqualTo("TOLD_NOTHING_RINGS");
    desk.wait(7);
    assertThat(desk.shows()).doesNotContain("TOLD_NOTHING_RINGS");
    desk.type("0#");
    assertThat(desk.shows()).first().asString().startsWith("TOLD_NOT_CALLABLE_");
    assertThat(desk.sounds().path()).as("quiet again").isEqualTo(Panel.Path.NONE);
  }

  @Test
  void an_unplugged_telephone_leaves_music_and_half_a_minute_to_go_on_elsewhere() {
    CallId call = scene.call(TOMASZ, "201");
    desk.press(Kind.OFF_HOOK);
    desk.unplugged();
    assertThat(Listening.of(desk.state(call), desk.state(call).of(TOMASZ)).sound())
        .as("although Ines has a window")
        .isEqualTo(Listening.Sound.MUSIC);
    scene.wait(29);
    scene.run(new CallCommand.MoveHere(call, INES, Scene.WINDOW));
    scene.wait(100);
    assertThat(Listening.of(desk.state(call), desk.state(call).of(TOMASZ)).sound())
        .isEqualTo(Listening.Sound.SPEECH);
  }

  @Test
  void a_key_that_stands_for_nothing_does_nothing_and_keys_a_telephone_has_not_are_none() {
    desk.line(6).line(11);
    assertThat(desk.asked).isEmpty();
    assertThat(Key.reported("LINE", 12)).isNull();
    assertThat(Key.reported("EJECT", 0)).isNull();
    assertThat(Key.reported("DIGIT", 11)).isEqualTo(Key.digit('#'));
    assertThat(desk.panel().holder().fresh()).isEqualTo(2);
    desk.phone.tell("NO_VOICEMAIL", Map.of(), scene.now());
    assertThat(desk.shows()).contains("TOLD_NO_VOICEMAIL");
  }
}
