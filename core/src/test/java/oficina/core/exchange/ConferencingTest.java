package oficina.core.exchange;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static oficina.core.state.ConnectionState.CONNECTED;
import static oficina.core.state.ConnectionState.HOLD;
import static org.assertj.core.api.Assertions.assertThat;

import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.heard.Listening;
import oficina.core.history.Segment;
import oficina.core.history.Segment.Kind;
import oficina.core.people.PersonId;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Dov, Ines and Adaeze in a conference that Ines has brought together. */
class ConferencingTest {
  private final Scene scene = new Scene();
  private CallId room;

  @BeforeEach
  void three_talk() {
    room = scene.arrive(DOV, "+441914980201");
    scene.answer(room, INES);
    scene.wait(10);
    add("212", ADAEZE);
  }

  private CallId ring(String extension) {
    CallId call = scene.nextId();
    assertThat(
            scene.run(
                new SendCommand.Announce(
                    room, INES, call, Scene.WINDOW, scene.office.plan.interpret(extension), null)))
        .isNull();
    return call;
  }

  private void add(String extension, PersonId person) {
    CallId call = ring(extension);
    scene.answer(call, person);
    assertThat(reason(new ConferenceCommand.Join(room, INES, call))).isNull();
  }

  private Reason reason(Command command) {
    Refusal refusal = scene.run(command);
    return refusal == null ? null : refusal.reason();
  }

  private int leg(PersonId person) {
    return scene.state(room).of(person).leg();
  }

  private Listening hears(PersonId person) {
    return Listening.of(scene.state(room), scene.state(room).of(person));
  }

  @Test
  void holding_it_plays_no_music_to_the_others() {
    scene.run(new CallCommand.Hold(room, INES));
    assertThat(hears(ADAEZE).voices()).containsExactly(1);
    scene.run(new CallCommand.Hold(room, ADAEZE));
    assertThat(Listening.of(scene.state(room), scene.state(room).leg(1)).sound())
        .isEqualTo(Listening.Sound.SILENCE);
  }

  @Test
  void somebody_is_rung_privately_and_then_joined_until_it_is_full() {
    CallId zoe = ring("222");
    assertThat(scene.state(room, INES)).isEqualTo(HOLD);
    assertThat(hears(ADAEZE).sound()).isEqualTo(Listening.Sound.SPEECH);
    assertThat(reason(new ConferenceCommand.Join(room, INES, zoe))).isEqualTo(Reason.NOT_ANSWERED);
    scene.answer(zoe, ZOE);
    scene.run(new ConferenceCommand.Join(room, INES, zoe));
    assertThat(scene.state(room).in(CONNECTED)).hasSize(4);
    CallId bram = ring("213");
    scene.answer(bram, BRAM);
    Refusal full = scene.run(new ConferenceCommand.Join(room, INES, bram));
    assertThat(full).isEqualTo(Refusal.of(Reason.CONFERENCE_FULL, 4));
    assertThat(scene.state(bram).conversation()).isTrue();
  }

  @Test
  void its_starter_mutes_and_drops_members_and_nobody_else_does() {
    assertThat(reason(new ConferenceCommand.MuteMember(room, ADAEZE, 1, true)))
        .isEqualTo(Reason.NOT_STARTER);
    assertThat(reason(new ConferenceCommand.Drop(room, ADAEZE, 1))).isEqualTo(Reason.NOT_STARTER);
    assertThat(reason(new ConferenceCommand.EndForAll(room, ADAEZE))).isEqualTo(Reason.NOT_STARTER);
    assertThat(reason(new ConferenceCommand.Drop(room, INES, leg(INES))))
        .isEqualTo(Reason.NO_SUCH_MEMBER);
    assertThat(reason(new ConferenceCommand.MuteMember(room, INES, 1, true))).isNull();
    assertThat(hears(ADAEZE).voices()).containsExactly(leg(INES));
    assertThat(reason(new ConferenceCommand.Drop(room, INES, 1))).isNull();
    assertThat(scene.state(room).starter()).as("two are an ordinary call").isNull();
    assertThat(reason(new ConferenceCommand.Drop(room, INES, 1)))
        .as("again")
        .isEqualTo(Reason.NO_SUCH_MEMBER);
    scene.run(new CallCommand.Hold(room, INES));
    assertThat(hears(ADAEZE).sound()).isEqualTo(Listening.Sound.MUSIC);
  }

  @Test
  void one_is_taken_aside_and_brought_back() {
    add("222", ZOE);
    CallId aside = scene.nextId();
    assertThat(reason(new ConferenceCommand.TakeAside(room, INES, leg(ZOE), aside, Scene.WINDOW)))
        .isNull();
    assertThat(scene.state(aside, ZOE)).isEqualTo(CONNECTED);
    assertThat(scene.state(room, ZOE)).isNull();
    assertThat(scene.state(room, INES)).isEqualTo(HOLD);
    assertThat(hears(ADAEZE).voices()).containsExactly(1);
    scene.wait(30);
    assertThat(reason(new ConferenceCommand.Join(room, INES, aside))).isNull();
    assertThat(scene.state(room).in(CONNECTED)).hasSize(4);
    scene.wait(10);
    scene.run(new ConferenceCommand.EndForAll(room, INES));
    assertThat(scene.entries(room))
        .extracting("person")
        .containsExactlyInAnyOrder(INES, ADAEZE, ZOE);
    assertThat(scene.entries(aside)).extracting("person").containsExactly(INES);
    assertThat(scene.entry(aside, INES).talked()).hasSeconds(30);
  }

  @Test
  void the_conference_ends_while_one_is_aside_and_the_two_go_on() {
    CallId aside = scene.nextId();
    scene.run(new ConferenceCommand.TakeAside(room, INES, leg(ADAEZE), aside, Scene.WINDOW));
    scene.run(new NetworkCommand.NetworkClears(room, 1));
    assertThat(scene.state(room)).isNull();
    assertThat(scene.state(aside).conversation()).isTrue();
    scene.clear(aside, ADAEZE);
    assertThat(scene.exchange.state().calls()).isEmpty();
  }

  @Test
  void its_starter_leaves_and_the_next_one_orders_it() {
    add("222", ZOE);
    scene.wait(5);
    scene.clear(room, INES);
    assertThat(scene.state(room).starter()).isEqualTo(ADAEZE);
    assertThat(scene.state(room).in(CONNECTED)).hasSize(3);
    scene.clear(room, ADAEZE);
    scene.wait(5);
    scene.clear(room, ZOE);
    assertThat(scene.state(room)).isNull();
    assertThat(scene.course(room))
        .extracting(Segment::kind)
        .contains(Kind.CONFERENCE)
        .last()
        .isEqualTo(Kind.TALKING);
  }

  @Test
  void two_conferences_become_one_and_nobody_is_in_it_twice() {
    CallId second = scene.call(TOMASZ, "201");
    scene.answer(second, INES);
    assertThat(reason(new ConferenceCommand.Join(room, INES, second))).isNull();
    assertThat(scene.state(room).in(CONNECTED)).hasSize(4);
    CallId again = scene.call(ADAEZE, "201");
    scene.answer(again, INES);
    assertThat(reason(new ConferenceCommand.Join(room, INES, again))).isEqualTo(Reason.SAME_PARTY);
  }
}
