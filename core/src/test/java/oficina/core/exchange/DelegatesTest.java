package oficina.core.exchange;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.Owner;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.history.Part;
import oficina.core.history.ToReturn;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.rules.CallRules;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;
import oficina.core.services.ActedFor;
import oficina.core.state.ConnectionState;
import org.junit.jupiter.api.Test;

/** Adaeze answers and places calls for Ines. */
class DelegatesTest {
  private final Scene scene = new Scene();

  DelegatesTest() {
    decide(INES, new CallRules(List.of(), List.of(), null, List.of(ADAEZE), false));
  }

  private void decide(PersonId owner, CallRules rules) {
    var directions = scene.exchange.office().directions().with(new Party.Employee(owner), rules);
    scene.exchange.office(scene.exchange.office().with(directions));
  }

  private Refusal callAs(CallId id, PersonId delegate, PersonId principal, String typed) {
    return scene.run(
        new CallCommand.MakeCall(
            id,
            delegate,
            Scene.WINDOW,
            scene.office.plan.interpret(typed),
            CallerIdChoice.DIRECT,
            null,
            principal));
  }

  private Refusal takeOver(CallId call, PersonId person) {
    return scene.run(new CallCommand.TakeOver(call, person, Scene.WINDOW));
  }

  @Test
  void a_delegate_calls_in_the_name_of_whom_they_act_for() {
    CallId call = scene.nextId();
    assertThat(callAs(call, ADAEZE, INES, "0151 496 0172")).isNull();
    assertThat(scene.state(call).callerId())
        .isEqualTo(scene.exchange.office().callerId(INES, CallerIdChoice.DIRECT));
    scene.run(new NetworkCommand.NetworkAnswers(call, 2));
    scene.wait(60);
    scene.clear(call, ADAEZE);

    Part mine = scene.entry(call, ADAEZE);
    assertThat(mine.line()).isEqualTo(new Party.Employee(INES));
    assertThat(mine.endedBy()).isEqualTo(new Party.Employee(ADAEZE));
    Part hers = scene.entry(call, INES);
    assertThat(hers.direction()).isEqualTo(Part.Direction.PLACED);
    assertThat(hers.answeredBy()).isEqualTo(ADAEZE);
    assertThat(hers.result()).isEqualTo(Part.Result.ANSWERED);
    assertThat(hers.talked()).isEqualTo(Duration.ofSeconds(60)).isEqualTo(mine.talked());
    assertThat(hers.other()).isEqualTo(mine.other());
  }

  @Test
  void nobody_calls_in_the_name_of_somebody_they_do_not_act_for() {
    Refusal refusal = callAs(scene.nextId(), INES, ADAEZE, "0151 496 0172");
    assertThat(refusal.reason()).isEqualTo(Reason.NOT_A_DELEGATE);
    assertThat(scene.exchange.state().calls()).isEmpty();
  }

  @Test
  void whoever_is_let_through_is_so_too_when_a_delegate_calls_for_them() {
    Callers ines = new Callers(Callers.Kind.CHOSEN, Set.of(INES), Set.of(), Set.of());
    Rule through = new Rule(1, Situation.DO_NOT_DISTURB, ines, null, null, Destination.RING);
    decide(TOMASZ, new CallRules(List.of(through), List.of(), null));
    scene.run(new OfficeCommand.SetStatus(TOMASZ, Status.Kind.DO_NOT_DISTURB, "", null));
    CallId own = scene.call(ADAEZE, "221");
    assertThat(scene.state(own).of(TOMASZ)).isNull();
    scene.clear(own, ADAEZE);
    CallId call = scene.nextId();
    callAs(call, ADAEZE, INES, "221");
    assertThat(scene.state(call, TOMASZ)).isEqualTo(ConnectionState.ALERTING);
  }

  @Test
  void a_held_call_is_taken_over_and_taken_back() {
    CallId call = scene.arrive(DOV, "+441914980201");
    scene.answer(call, INES);
    assertThat(scene.exchange.actedFor(ADAEZE))
        .containsExactly(new ActedFor(call, INES, /* service= */ null));
    assertThat(takeOver(call, ADAEZE).reason()).isEqualTo(Reason.NOT_TO_TAKE_OVER);
    scene.run(new CallCommand.Hold(call, INES));
    assertThat(scene.exchange.actedFor(ADAEZE))
        .containsExactly(new ActedFor(call, INES, ActedFor.Service.TAKE_OVER));
    assertThat(takeOver(call, TOMASZ).reason()).isEqualTo(Reason.NO_SUCH_CALL);

    assertThat(takeOver(call, ADAEZE)).isNull();
    assertThat(scene.state(call, ADAEZE)).isEqualTo(ConnectionState.CONNECTED);
    assertThat(scene.state(call, INES)).isNull();
    assertThat(scene.state(call).of(ADAEZE).line()).isEqualTo(new Party.Employee(INES));

    scene.run(new CallCommand.Hold(call, ADAEZE));
    assertThat(takeOver(call, INES)).isNull();
    assertThat(scene.state(call, INES)).isEqualTo(ConnectionState.CONNECTED);
    assertThat(scene.exchange.actedFor(INES)).isEmpty();
  }

  @Test
  void what_rings_for_the_principal_is_answered_and_known_to_both() {
    CallId call = scene.arrive(DOV, "+441914980201");
    assertThat(scene.exchange.actedFor(ADAEZE))
        .containsExactly(new ActedFor(call, INES, ActedFor.Service.ANSWER));
    assertThat(takeOver(call, ADAEZE)).isNull();
    scene.clear(call, ADAEZE);
    assertThat(scene.entry(call, INES).result()).isEqualTo(Part.Result.ANSWERED_ELSEWHERE);
    assertThat(scene.entry(call, INES).answeredBy()).isEqualTo(ADAEZE);
  }

  @Test
  void whose_calls_ring_at_a_delegate_alone_sees_what_became_of_them() {
    CallRules.Ring there =
        new CallRules.Ring(List.of(new Party.Employee(ADAEZE)), Duration.ofSeconds(20));
    decide(INES, new CallRules(List.of(), List.of(there), null, List.of(ADAEZE), false));
    CallId taken = scene.arrive(DOV, "+441914980201");
    scene.answer(taken, ADAEZE);
    scene.clear(taken, ADAEZE);
    assertThat(scene.entry(taken, INES).answeredBy()).isEqualTo(ADAEZE);

    CallId missed = scene.arrive(DOV, "+441914980201");
    scene.run(new NetworkCommand.NetworkClears(missed, 1));
    assertThat(scene.entry(missed, INES).result()).isEqualTo(Part.Result.MISSED);
    assertThat(ToReturn.of(scene.entry(missed, ADAEZE)))
        .as("it is Ines whom they wanted")
        .isEqualTo(ToReturn.of(scene.entry(missed, INES)))
        .isEqualTo(new ToReturn.Change(Owner.key(INES), DOV.e164(), true));
  }

  @Test
  void a_call_somebody_speaks_on_for_another_or_that_is_their_own_is_not_theirs_to_take() {
    CallId own = scene.arrive(DOV, "+441914980212");
    scene.answer(own, ADAEZE);
    scene.run(new CallCommand.Hold(own, ADAEZE));
    assertThat(scene.exchange.actedFor(INES)).isEmpty();
    assertThat(takeOver(own, INES).reason()).isEqualTo(Reason.NO_SUCH_CALL);
    assertThat(takeOver(own, ZOE).reason()).isEqualTo(Reason.NO_SUCH_CALL);
  }
}
