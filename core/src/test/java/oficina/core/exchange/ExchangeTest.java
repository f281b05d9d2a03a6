package oficina.core.exchange;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.CELIA;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.MAIN_NUMBER;
import static oficina.core.TestOffice.MARISOL;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static oficina.core.state.ConnectionState.ALERTING;
import static oficina.core.state.ConnectionState.CONNECTED;
import static oficina.core.state.ConnectionState.HOLD;
import static oficina.core.state.ConnectionState.INITIATED;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.decision.Refusal.Reason;
import oficina.core.history.Part;
import oficina.core.history.Part.Result;
import oficina.core.history.Segment;
import oficina.core.history.Segment.Kind;
import org.junit.jupiter.api.Test;

class ExchangeTest {
  private final Scene scene = new Scene();

  @Test
  void two_colleagues_talk_and_one_hangs_up() {
    CallId call = scene.call(INES, "212");
    assertThat(scene.state(call, INES)).isEqualTo(CONNECTED);
    assertThat(scene.state(call, ADAEZE)).isEqualTo(ALERTING);
    scene.wait(5);
    assertThat(scene.answer(call, ADAEZE)).isNull();
    scene.wait(60);
    scene.clear(call, INES);

    assertThat(scene.state(call)).isNull();
    Part mine = scene.entry(call, INES);
    assertThat(mine.result()).isEqualTo(Result.ANSWERED);
    assertThat(mine.other()).isEqualTo(new Party.Employee(ADAEZE));
    assertThat(mine.rang()).isEqualTo(Duration.ofSeconds(5));
    assertThat(mine.talked()).isEqualTo(Duration.ofSeconds(60));
    assertThat(scene.course(call))
        .extracting(Segment::kind)
        .containsExactly(Kind.RINGING, Kind.TALKING);
    assertThat(scene.entry(call, ADAEZE).direction()).isEqualTo(Part.Direction.RECEIVED);
    assertThat(scene.entries(call)).hasSize(2);
  }

  @Test
  void nobody_answers_and_the_caller_hears_so_before_the_exchange_hangs_up() {
    CallId call = scene.call(INES, "212");
    scene.wait(20);
    assertThat(scene.state(call).failure().cause()).isEqualTo(Cause.NO_ANSWER);
    assertThat(scene.entry(call, ADAEZE).result()).isEqualTo(Result.MISSED);
    scene.wait(20);
    assertThat(scene.state(call)).isNull();
    assertThat(scene.entry(call, INES).result()).isEqualTo(Result.NO_ANSWER);
    assertThat(scene.entry(call, INES).rang()).isEqualTo(Duration.ofSeconds(20));
  }

  @Test
  void the_called_person_declines() {
    CallId call = scene.call(INES, "212");
    scene.run(new CallCommand.Decline(call, ADAEZE));
    assertThat(scene.state(call).failure().cause()).isEqualTo(Cause.DECLINED);
    scene.clear(call, INES);
    assertThat(scene.entry(call, INES).result()).isEqualTo(Result.REFUSED_BY_OTHER);
    assertThat(scene.entry(call, ADAEZE).result()).isEqualTo(Result.DECLINED);
  }

  @Test
  void the_caller_gives_up_while_it_rings() {
    CallId call = scene.arrive(DOV, "+441914980212");
    scene.wait(7);
    scene.run(new NetworkCommand.NetworkClears(call, 1));
    assertThat(scene.state(call)).isNull();
    Part missed = scene.entry(call, ADAEZE);
    assertThat(missed.result()).isEqualTo(Result.MISSED);
    assertThat(missed.rang()).isEqualTo(Duration.ofSeconds(7));
    assertThat(missed.other()).isEqualTo(new Party.Outside(DOV));
    assertThat(scene.answer(call, ADAEZE)).isEqualTo(Reason.NO_SUCH_CALL);
  }

  @Test
  void silencing_stops_the_noise_and_nothing_else() {
    CallId call = scene.call(INES, "212");
    scene.run(new CallCommand.Silence(call, ADAEZE));
    assertThat(scene.state(call).of(ADAEZE).silenced()).isTrue();
    assertThat(scene.answer(call, ADAEZE)).isNull();
  }

  @Test
  void somebody_without_call_waiting_is_busy_while_on_a_call() {
    CallId first = scene.call(BRAM, "212");
    scene.answer(first, ADAEZE);
    CallId second = scene.call(INES, "213");
    assertThat(scene.state(second).failure().cause()).isEqualTo(Cause.BUSY);
    assertThat(scene.entry(second, BRAM).result()).isEqualTo(Result.MISSED_BUSY);
    scene.clear(second, INES);
    assertThat(scene.entry(second, INES).result()).isEqualTo(Result.BUSY);
  }

  @Test
  void somebody_not_signed_in_cannot_be_reached_and_learns_of_the_call() {
    scene.goes(CELIA);
    CallId call = scene.call(INES, "214");
    assertThat(scene.state(call).failure().cause()).isEqualTo(Cause.NOT_SIGNED_IN);
    assertThat(scene.entry(call, CELIA).result()).isEqualTo(Result.MISSED_NOT_SIGNED_IN);
  }

  @Test
  void a_second_call_waits_and_answering_it_holds_the_first() {
    CallId first = scene.call(INES, "212");
    scene.answer(first, ADAEZE);
    CallId second = scene.call(TOMASZ, "212");
    assertThat(scene.state(second, ADAEZE)).isEqualTo(ALERTING);
    scene.wait(3);
    scene.answer(second, ADAEZE);
    assertThat(scene.state(first, ADAEZE)).isEqualTo(HOLD);
    scene.wait(10);
    scene.run(new CallCommand.Retrieve(first, ADAEZE));
    assertThat(scene.state(second, ADAEZE)).isEqualTo(HOLD);
    assertThat(scene.state(first, ADAEZE)).isEqualTo(CONNECTED);
    scene.clear(first, ADAEZE);
    assertThat(scene.entry(first, INES).held()).isEqualTo(Duration.ofSeconds(10));
    assertThat(scene.state(second, TOMASZ)).isEqualTo(CONNECTED);
  }

  @Test
  void a_call_from_outside_rings_the_whole_front_desk_until_one_answers() {
    CallId call = scene.arrive(MARISOL, MAIN_NUMBER.e164());
    assertThat(scene.state(call).in(ALERTING)).hasSize(2);
    scene.wait(4);
    scene.answer(call, INES);
    assertThat(scene.answer(call, ADAEZE)).isEqualTo(Reason.ANSWERED_BY_OTHER);
    Part other = scene.entry(call, ADAEZE);
    assertThat(other.result()).isEqualTo(Result.ANSWERED_ELSEWHERE);
    assertThat(other.answeredBy()).isEqualTo(INES);
    assertThat(scene.answer(call, INES)).isEqualTo(Reason.ANSWERED_HERE);
    scene.run(new NetworkCommand.NetworkClears(call, 1));
    assertThat(scene.state(call)).isNull();
  }

  @Test
  void the_front_desk_all_decline_one_after_the_other() {
    CallId call = scene.call(TOMASZ, "200");
    scene.run(new CallCommand.Decline(call, INES));
    assertThat(scene.state(call).failure()).isNull();
    scene.run(new CallCommand.Decline(call, ADAEZE));
    assertThat(scene.state(call).failure().cause()).isEqualTo(Cause.DECLINED);
  }

  @Test
  void an_outside_call_is_dialled_rings_is_answered_and_gets_its_digits() {
    CallId call = scene.call(INES, "0151 496 0177,,12");
    assertThat(scene.state(call).leg(2).state()).isEqualTo(INITIATED);
    scene.wait(1);
    scene.run(new NetworkCommand.NetworkRings(call, 2));
    scene.wait(6);
    scene.run(new NetworkCommand.NetworkAnswers(call, 2));
    assertThat(scene.records.of(call).digits()).isEqualTo("pp12");
    scene.run(new CallCommand.SendDigits(call, INES, "3#"));
    assertThat(scene.records.of(call).digits()).isEqualTo("pp123#");
    scene.wait(30);
    scene.run(new NetworkCommand.NetworkClears(call, 2));
    assertThat(scene.course(call))
        .extracting(Segment::kind)
        .containsExactly(Kind.DIALLING, Kind.RINGING, Kind.TALKING);
    assertThat(scene.entry(call, INES).rang()).isEqualTo(Duration.ofSeconds(6));
  }

  @Test
  void the_network_says_why_it_cannot_complete_a_call() {
    for (Cause cause : List.of(Cause.BUSY, Cause.NUMBER_NOT_IN_USE, Cause.NETWORK_FAILURE)) {
      CallId call = scene.call(INES, "0151 496 0177");
      scene.run(new NetworkCommand.NetworkFails(call, 2, cause));
      assertThat(scene.state(call).failure().cause()).isEqualTo(cause);
      scene.clear(call, INES);
      assertThat(scene.entry(call, INES).result().name()).isEqualTo(cause.name());
    }
  }

  @Test
  void outside_lines_run_out_but_never_for_an_emergency() {
    scene.call(INES, "0151 496 0177");
    scene.call(ADAEZE, "0151 496 0178");
    CallId third = scene.call(BRAM, "0151 496 0179");
    assertThat(scene.state(third).failure().cause()).isEqualTo(Cause.LINES_BUSY);
    CallId emergency = scene.call(BRAM, "999");
    assertThat(scene.state(emergency).leg(2).state()).isEqualTo(INITIATED);
    assertThat(scene.state(third)).as("the tone gave way to the new call").isNull();
    CallId incoming = scene.arrive(DOV, "+441914980222");
    assertThat(scene.state(incoming).failure().cause()).isEqualTo(Cause.LINES_BUSY);
    assertThat(scene.entry(incoming, ZOE).result()).isEqualTo(Result.MISSED_LINES_BUSY);
  }

  @Test
  void a_direct_number_of_the_office_stays_inside() {
    CallId call = scene.call(INES, "0191 498 0212");
    assertThat(scene.state(call).called()).isEqualTo(new Party.Employee(ADAEZE));
    assertThat(scene.exchange.state().outsideLinesTaken()).isZero();
  }

  @Test
  void an_outsider_who_dials_a_number_nobody_has_is_told_so() {
    CallId call = scene.arrive(null, "+441914980299");
    assertThat(scene.state(call).failure().cause()).isEqualTo(Cause.NUMBER_NOT_IN_USE);
    scene.wait(20);
    assertThat(scene.state(call)).isNull();
    assertThat(scene.entries(call)).isEmpty();
  }

  @Test
  void refuses_what_makes_no_sense_and_changes_nothing() {
    CallId call = scene.call(INES, "212");
    String before = scene.exchange.state().snapshot();
    assertThat(scene.tryCall(INES, "213")).isEqualTo(Reason.ALREADY_CALLING);
    assertThat(scene.tryCall(BRAM, "299")).isEqualTo(Reason.NOT_CALLABLE);
    assertThat(scene.answer(call, BRAM)).isEqualTo(Reason.NO_SUCH_CALL);
    assertThat(scene.answer(call, INES)).isEqualTo(Reason.NOT_RINGING);
    assertThat(scene.answer(new CallId("gone"), INES)).isEqualTo(Reason.NO_SUCH_CALL);
    assertThat(scene.run(new CallCommand.Clear(call, CELIA)).reason())
        .isEqualTo(Reason.NO_SUCH_CALL);
    assertThat(scene.run(new CallCommand.Hold(call, INES)).reason()).isEqualTo(Reason.NOT_ANSWERED);
    assertThat(scene.run(new CallCommand.SendDigits(call, INES, "x")).reason())
        .isEqualTo(Reason.NOT_DIGITS);
    assertThat(scene.run(new NetworkCommand.NetworkAnswers(call, 2)).reason())
        .as("the network has no say in an internal call")
        .isEqualTo(Reason.NO_SUCH_CALL);
    assertThat(scene.exchange.state().snapshot()).isEqualTo(before);
  }

  @Test
  void nobody_has_more_calls_in_hand_than_the_office_allows() {
    for (String caller : List.of("1", "2", "3")) {
      CallId call =
          scene.call(List.of(BRAM, CELIA, TOMASZ).get(Integer.parseInt(caller) - 1), "212");
      scene.answer(call, ADAEZE);
    }
    CallId fourth = scene.call(INES, "212");
    assertThat(scene.state(fourth).failure().cause()).isEqualTo(Cause.BUSY);
    assertThat(scene.tryCall(ADAEZE, "222")).isEqualTo(Reason.TOO_MANY_CALLS);
  }
}
