package oficina.core.exchange;

import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.MARISOL;
import static oficina.core.TestOffice.TOMASZ;
import static org.assertj.core.api.Assertions.assertThat;

import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.MachineCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal.Reason;
import oficina.core.events.TalkEvent;
import oficina.core.history.Part.Result;
import oficina.core.machines.Attendants;
import oficina.core.state.ConnectionState;
import org.junit.jupiter.api.Test;

/** The number at which messages are read out. */
class AttendantTest {
  private final Scene scene = new Scene();

  private int leg(CallId call) {
    return Attendants.in(scene.state(call)).leg();
  }

  @Test
  void answers_at_once_knows_whose_telephone_it_is_and_keeps_keys_to_itself() {
    CallId ownNumber = scene.call(TOMASZ, "221");
    assertThat(Attendants.in(scene.state(ownNumber)).party())
        .isEqualTo(new Party.Attendant(TOMASZ));
    scene.clear(ownNumber, TOMASZ);
    CallId call = scene.call(TOMASZ, "290");
    assertThat(Attendants.in(scene.state(call)).party()).isEqualTo(new Party.Attendant(TOMASZ));
    int before = scene.events.size();
    assertThat(scene.run(new CallCommand.SendDigits(call, TOMASZ, "4711#"))).isNull();
    assertThat(scene.events.subList(before, scene.events.size()))
        .as("a secret number is in no event")
        .noneMatch(TalkEvent.DigitsSent.class::isInstance);
    scene.run(new MachineCommand.AttendantClears(call, leg(call)));
    assertThat(scene.state(call)).isNull();
    assertThat(scene.entry(call, TOMASZ).result()).isEqualTo(Result.ANSWERED);
    CallId outside = scene.arrive(DOV, "+441914980290");
    assertThat(Attendants.in(scene.state(outside)).party()).isEqualTo(new Party.Attendant(null));
  }

  @Test
  void connects_with_whoever_left_the_message() {
    CallId call = scene.call(TOMASZ, "290");
    scene.run(
        new MachineCommand.AttendantConnects(
            call, leg(call), TOMASZ, scene.office.plan.interpret("213")));
    assertThat(Attendants.in(scene.state(call))).isNull();
    assertThat(scene.state(call, BRAM)).isEqualTo(ConnectionState.ALERTING);
    assertThat(scene.run(new SendCommand.PullBack(call, TOMASZ, Scene.WINDOW)).reason())
        .as("they wait in it themselves")
        .isEqualTo(Reason.NOT_SENT_ON);
    scene.answer(call, BRAM);
    assertThat(scene.state(call).conversation()).isTrue();
    CallId own = scene.call(TOMASZ, "290");
    Command self =
        new MachineCommand.AttendantConnects(
            own, leg(own), TOMASZ, scene.office.plan.interpret("221"));
    assertThat(scene.run(self).reason()).isEqualTo(Reason.SAME_PARTY);
    Command outside =
        new MachineCommand.AttendantConnects(
            own, leg(own), TOMASZ, scene.office.plan.interpret(MARISOL.e164()));
    assertThat(scene.run(outside)).isNull();
  }

  @Test
  void nobody_else_ends_it_for_them() {
    CallId call = scene.call(TOMASZ, "213");
    scene.answer(call, BRAM);
    int leg = scene.state(call).of(BRAM).leg();
    assertThat(scene.run(new MachineCommand.AttendantClears(call, leg)).reason())
        .isEqualTo(Reason.NO_SUCH_CALL);
  }
}
