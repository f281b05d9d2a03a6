package oficina.core.exchange;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.stream.Collectors;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.SendCommand;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import org.junit.jupiter.api.Test;

/**
 * The services of ECMA-269 that the exchange offers, each with the states of all connections before
 * and after. D1 is Ines's device, D2 Tomasz's, D3 Adaeze's, D4 Zoë's. Where the standard names its
 * states differently: connected with nobody else there is our {@code CONNECTED} too, and a held
 * connection is that of whoever holds.
 */
class Ecma269ServicesTest {
  private static final Map<PersonId, String> DEVICES =
      Map.of(INES, "D1", TOMASZ, "D2", ADAEZE, "D3", ZOE, "D4", BRAM, "D5");

  private final Scene scene = new Scene();

  private String states(CallId id) {
    Call call = scene.state(id);
    return call == null
        ? "null"
        : call.connections().stream()
            .map(c -> DEVICES.get(c.party().employee()) + " " + c.state().name().toLowerCase())
            .collect(Collectors.joining(", "));
  }

  private void run(Command command) {
    assertThat(scene.run(command)).isNull();
  }

  private void before(CallId call, String states) {
    assertThat(states(call)).as("before").isEqualTo(states);
  }

  private void after(CallId call, String states) {
    assertThat(states(call)).as("after").isEqualTo(states);
  }

  private Dialled to(String extension) {
    return scene.office.plan.interpret(extension);
  }

  private CallId connected() {
    CallId call = scene.call(INES, "221");
    scene.answer(call, TOMASZ);
    return call;
  }

  private CallId consulting(CallId call) {
    CallId consultation = scene.nextId();
    run(new SendCommand.Announce(call, TOMASZ, consultation, Scene.WINDOW, to("212"), null));
    return consultation;
  }

  private CallId consulted(CallId call) {
    CallId consultation = consulting(call);
    scene.answer(consultation, ADAEZE);
    return consultation;
  }

  @Test
  void make_call_answer_call_and_clear_connection() {
    CallId call = scene.call(INES, "221");
    before(call, "D1 connected, D2 alerting");
    scene.answer(call, TOMASZ);
    after(call, "D1 connected, D2 connected");
    scene.clear(call, TOMASZ);
    after(call, "null");
  }

  @Test
  void hold_and_retrieve() {
    CallId call = connected();
    run(new CallCommand.Hold(call, TOMASZ));
    after(call, "D1 connected, D2 hold");
    run(new CallCommand.Retrieve(call, TOMASZ));
    after(call, "D1 connected, D2 connected");
  }

  @Test
  void consultation_and_alternate() {
    CallId call = connected();
    CallId second = consulting(call);
    after(call, "D1 connected, D2 hold");
    after(second, "D2 connected, D3 alerting");
    scene.answer(second, ADAEZE);
    run(new CallCommand.Retrieve(call, TOMASZ)); // alternate
    after(call, "D1 connected, D2 connected");
    after(second, "D2 hold, D3 connected");
  }

  @Test
  void reconnect() {
    CallId call = connected();
    CallId second = consulted(call);
    before(second, "D2 connected, D3 connected");
    run(new SendCommand.Reconnect(second, TOMASZ));
    after(second, "null");
    after(call, "D1 connected, D2 connected");
  }

  @Test
  void transfer_of_a_connected_and_of_an_alerting_call() {
    CallId call = connected();
    CallId second = consulted(call);
    run(new SendCommand.HandOver(call, TOMASZ, second));
    after(call, "D1 connected, D3 connected");
    after(second, "null");

    CallId third = scene.nextId();
    run(new SendCommand.Announce(call, ADAEZE, third, Scene.WINDOW, to("222"), null));
    before(third, "D3 connected, D4 alerting");
    run(new SendCommand.HandOver(call, ADAEZE, third));
    after(call, "D1 connected, D4 alerting");
  }

  @Test
  void single_step_transfer() {
    CallId call = connected();
    run(new SendCommand.PutThrough(call, TOMASZ, to("222"), null, null));
    after(call, "D1 connected, D4 alerting");
  }

  @Test
  void deflect() {
    CallId call = scene.call(INES, "221");
    before(call, "D1 connected, D2 alerting");
    run(new SendCommand.Deflect(call, TOMASZ, to("222"), null));
    after(call, "D1 connected, D4 alerting");
  }

  @Test
  void directed_and_group_pickup() {
    CallId call = scene.call(INES, "221");
    run(new CallCommand.PickUp(ADAEZE, Scene.WINDOW, TOMASZ));
    after(call, "D1 connected, D3 connected");

    CallId first = scene.call(BRAM, "214");
    scene.wait(2);
    scene.call(ZOE, "214");
    run(new CallCommand.PickUp(ADAEZE, Scene.WINDOW, null));
    after(first, "D5 connected, D3 connected");
    after(call, "D1 connected, D3 hold");
  }

  @Test
  void call_back_and_cancel_call_back() {
    CallId busy = connected();
    scene.run(new CallCommand.Clear(busy, INES));
    CallId unanswered = scene.call(INES, "221");
    run(new CallCommand.Decline(unanswered, TOMASZ));
    before(unanswered, "D1 connected");
    run(new SendCommand.RequestCallBack(unanswered, INES, new CallId("wish")));
    after(unanswered, "null");
    run(new SendCommand.CancelCallBack(new CallId("wish"), INES));
    assertThat(scene.exchange.state().callBacks()).isEmpty();
  }

  @Test
  void conference_and_clear_call() {
    CallId call = connected();
    CallId second = consulted(call);
    before(call, "D1 connected, D2 hold");
    run(new ConferenceCommand.Join(call, TOMASZ, second));
    after(call, "D1 connected, D2 connected, D3 connected");
    after(second, "null");
    run(new ConferenceCommand.EndForAll(call, TOMASZ));
    after(call, "null");
  }

  @Test
  void park_and_the_taking_of_a_parked_call() {
    CallId call = connected();
    run(new SendCommand.Park(call, TOMASZ, null, null, ""));
    after(call, "D1 connected");
    run(new SendCommand.TakeParked(call, ADAEZE, Scene.WINDOW, "61", true));
    after(call, "D1 connected, D3 connected");
  }

  @Test
  void move_of_a_call_to_another_device_of_the_same_person() {
    CallId call = connected();
    run(new CallCommand.MoveHere(call, TOMASZ, new DeviceId("other")));
    after(call, "D1 connected, D2 connected");
    assertThat(scene.state(call).of(TOMASZ).device()).isEqualTo(new DeviceId("other"));
  }
}
