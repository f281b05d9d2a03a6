package oficina.core.seen;

import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import oficina.core.TestOffice;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.call.Party;
import oficina.core.commands.OfficeCommand;
import oficina.core.exchange.Scene;
import oficina.core.people.Group;
import oficina.core.people.Status;
import oficina.core.seen.Lamp.Light;
import org.junit.jupiter.api.Test;

/** What everybody sees of somebody, from their devices and calls alone. */
class LampTest {
  private static final DeviceId DESK = new DeviceId("desk");
  private final Scene scene = new Scene();

  private Light zoe() {
    return zoe(null);
  }

  private Light zoe(Party forwardedTo) {
    return Lamp.of(ZOE, scene.exchange.state(), forwardedTo).light();
  }

  private void telephone(boolean attended) {
    scene.run(new OfficeCommand.DeviceComes(ZOE, DESK, DeviceKind.TELEPHONE, attended));
  }

  @Test
  void without_calls_it_follows_the_devices() {
    assertThat(zoe()).isEqualTo(Light.FREE);
    scene.goes(ZOE);
    assertThat(zoe()).isEqualTo(Light.OFF);
    telephone(false);
    assertThat(zoe()).as("rings, and nobody is at it").isEqualTo(Light.AWAY);
    telephone(true);
    assertThat(zoe()).isEqualTo(Light.FREE);
    assertThat(scene.exchange.state().devices(ZOE)).as("the same one").hasSize(1);
  }

  @Test
  void whoever_has_all_calls_go_elsewhere_is_not_free_and_on_a_call_all_the_same() {
    Party elsewhere = new Party.Employee(TOMASZ);
    assertThat(zoe(elsewhere)).isEqualTo(Light.AWAY);
    scene.run(new OfficeCommand.SetStatus(ZOE, Status.Kind.DO_NOT_DISTURB, "", null));
    assertThat(zoe(elsewhere)).isEqualTo(Light.DO_NOT_DISTURB);
    scene.call(ZOE, "221");
    assertThat(zoe(elsewhere)).isEqualTo(Light.ON_CALL);
    scene.goes(ZOE);
    assertThat(zoe(elsewhere)).as("no device of theirs would ring").isNotEqualTo(Light.AWAY);
  }

  @Test
  void a_call_in_progress_counts_more_than_one_that_rings() {
    CallId first = scene.call(TOMASZ, "222");
    assertThat(zoe()).isEqualTo(Light.RINGING);
    scene.answer(first, ZOE);
    scene.wait(10);
    scene.arrive(null, "+441914980222");
    Lamp lamp = Lamp.of(ZOE, scene.exchange.state(), null);
    assertThat(lamp.light()).isEqualTo(Light.ON_CALL);
    assertThat(lamp.since()).isEqualTo(scene.state(first).answered());
  }

  @Test
  void whoever_comes_twice_is_there_once_and_whoever_has_left_is_gone() {
    int events = scene.events.size();
    scene.comes(ZOE);
    assertThat(scene.events).as("nothing has changed").hasSize(events);
    telephone(true);
    CallId call = scene.call(TOMASZ, "222");
    scene.answer(call, ZOE);
    scene.run(new OfficeCommand.Leave(ZOE));
    assertThat(scene.exchange.state().devices(ZOE)).isEmpty();
    assertThat(scene.state(call)).isNull();
    assertThat(zoe()).isEqualTo(Light.OFF);
  }

  @Test
  void what_goes_on_at_a_line_is_seen_by_its_members_without_who_calls() {
    Scene scene = new Scene();
    Group freight = scene.office.directory.group(TestOffice.FREIGHT).orElseThrow();
    assertThat(LineUse.of(freight, scene.exchange.state()).free()).isTrue();
    CallId call = scene.arrive(TestOffice.DOV, "+441914980220");
    assertThat(LineUse.of(freight, scene.exchange.state()))
        .isEqualTo(new LineUse(1, scene.now(), List.of()));
    scene.answer(call, TestOffice.ZOE);
    assertThat(LineUse.of(freight, scene.exchange.state()).talking())
        .containsExactly(TestOffice.ZOE);
  }
}
