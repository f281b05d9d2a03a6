package oficina.core.exchange;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static oficina.core.exchange.Offers.Service.ADD;
import static oficina.core.exchange.Offers.Service.ANSWER;
import static oficina.core.exchange.Offers.Service.CALL_BACK;
import static oficina.core.exchange.Offers.Service.CLEAR;
import static oficina.core.exchange.Offers.Service.DECLINE;
import static oficina.core.exchange.Offers.Service.DEFLECT;
import static oficina.core.exchange.Offers.Service.DIGITS;
import static oficina.core.exchange.Offers.Service.END_FOR_ALL;
import static oficina.core.exchange.Offers.Service.HAND_OVER;
import static oficina.core.exchange.Offers.Service.HOLD;
import static oficina.core.exchange.Offers.Service.JOIN;
import static oficina.core.exchange.Offers.Service.MOVE_HERE;
import static oficina.core.exchange.Offers.Service.MUTE;
import static oficina.core.exchange.Offers.Service.PARK;
import static oficina.core.exchange.Offers.Service.PULL_BACK;
import static oficina.core.exchange.Offers.Service.RECONNECT;
import static oficina.core.exchange.Offers.Service.RECORD;
import static oficina.core.exchange.Offers.Service.RETRIEVE;
import static oficina.core.exchange.Offers.Service.SILENCE;
import static oficina.core.exchange.Offers.Service.SWAP;
import static oficina.core.exchange.Offers.Service.TO_MAILBOX;
import static oficina.core.exchange.Offers.Service.TRANSFER;
import static oficina.core.exchange.Offers.Service.UNMUTE;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.SendCommand;
import oficina.core.exchange.Offers.Service;
import oficina.core.people.PersonId;
import org.junit.jupiter.api.Test;

/** What a call offers at each point of its life, in the order of the buttons. */
class OffersTest {
  private final Scene scene = new Scene();

  private Offers of(CallId call, PersonId person) {
    return scene.exchange.offers(scene.state(call), person);
  }

  private List<Service> offered(CallId call, PersonId person) {
    return of(call, person).services();
  }

  private CallId dovTalksToTomasz() {
    CallId dov = scene.arrive(DOV, "+441914980221");
    scene.answer(dov, TOMASZ);
    return dov;
  }

  private CallId announce(CallId call, String to) {
    CallId id = scene.nextId();
    assertThat(
            scene.run(
                new SendCommand.Announce(
                    call, TOMASZ, id, Scene.WINDOW, scene.office.plan.interpret(to), null)))
        .isNull();
    return id;
  }

  @Test
  void an_ordinary_call() {
    CallId dov = scene.arrive(DOV, "+441914980221");
    assertThat(offered(dov, TOMASZ)).containsExactly(ANSWER, DEFLECT, DECLINE, TO_MAILBOX, SILENCE);
    scene.run(new CallCommand.Silence(dov, TOMASZ));
    assertThat(offered(dov, TOMASZ)).containsExactly(ANSWER, DEFLECT, DECLINE, TO_MAILBOX);
    scene.answer(dov, TOMASZ);
    assertThat(offered(dov, TOMASZ))
        .containsExactly(HOLD, MUTE, TRANSFER, PARK, RECORD, ADD, MOVE_HERE, DIGITS, CLEAR);
    scene.run(new CallCommand.Mute(dov, TOMASZ, true));
    assertThat(offered(dov, TOMASZ)).contains(UNMUTE).doesNotContain(MUTE);
    scene.run(new CallCommand.Hold(dov, TOMASZ));
    assertThat(offered(dov, TOMASZ)).containsExactly(RETRIEVE, PARK, MOVE_HERE, CLEAR);
  }

  @Test
  void a_held_call_beside_an_active_one() {
    CallId dov = dovTalksToTomasz();
    CallId bram = scene.call(BRAM, "221");
    scene.answer(bram, TOMASZ);
    Offers offers = of(dov, TOMASZ);
    assertThat(offers.services())
        .containsExactly(RETRIEVE, PARK, JOIN, HAND_OVER, MOVE_HERE, CLEAR);
    assertThat(offers.partner()).isEqualTo(bram);
  }

  @Test
  void announcing_before_and_after_the_answer() {
    CallId dov = dovTalksToTomasz();
    CallId zoe = announce(dov, "222");
    assertThat(of(zoe, TOMASZ).announces()).isEqualTo(dov);
    assertThat(offered(zoe, TOMASZ)).containsExactly(HAND_OVER, TO_MAILBOX, RECONNECT);
    scene.answer(zoe, ZOE);
    assertThat(offered(zoe, TOMASZ))
        .containsExactly(HAND_OVER, SWAP, JOIN, TO_MAILBOX, RECORD, RECONNECT);
    scene.run(new CallCommand.Clear(zoe, ZOE));
    CallId declined = announce(dov, "222");
    scene.run(new CallCommand.Decline(declined, ZOE));
    assertThat(offered(declined, TOMASZ))
        .as("nobody to hand over to")
        .containsExactly(TO_MAILBOX, RECONNECT);
  }

  @Test
  void a_conference_and_a_word_aside() {
    CallId room = dovTalksToTomasz();
    CallId zoe = announce(room, "222");
    scene.answer(zoe, ZOE);
    scene.run(new ConferenceCommand.Join(room, TOMASZ, zoe));
    assertThat(offered(room, TOMASZ)).contains(END_FOR_ALL, ADD).doesNotContain(TRANSFER, PARK);
    assertThat(offered(room, ZOE)).doesNotContain(END_FOR_ALL);
    CallId aside = scene.nextId();
    int leg = scene.state(room).of(ZOE).leg();
    scene.run(new ConferenceCommand.TakeAside(room, TOMASZ, leg, aside, Scene.WINDOW));
    assertThat(of(aside, TOMASZ).asideOf()).isEqualTo(room);
    assertThat(of(aside, TOMASZ).announces()).isNull();
    assertThat(offered(aside, TOMASZ)).containsExactly(JOIN, SWAP, RECORD, CLEAR);
  }

  @Test
  void a_call_sent_on_and_one_that_failed() {
    CallId dov = dovTalksToTomasz();
    scene.run(
        new SendCommand.PutThrough(dov, TOMASZ, scene.office.plan.interpret("222"), null, null));
    assertThat(offered(dov, TOMASZ)).containsExactly(PULL_BACK);
    scene.wait(20);
    assertThat(offered(dov, TOMASZ)).as("it is back").startsWith(ANSWER);
    scene.run(new CallCommand.Decline(dov, TOMASZ));
    CallId failed = scene.call(ADAEZE, "214");
    scene.wait(20);
    assertThat(offered(failed, ADAEZE)).containsExactly(CALL_BACK, CLEAR);
  }
}
