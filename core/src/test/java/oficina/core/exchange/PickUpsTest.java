package oficina.core.exchange;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.CELIA;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import oficina.core.TestOffice;
import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.core.decision.Permissions;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.PersonId;
import oficina.core.state.ConnectionState;
import org.junit.jupiter.api.Test;

/** Who may take whose ringing call. */
class PickUpsTest {
  private final Scene scene = new Scene();

  private Reason take(PersonId taker, PersonId from) {
    Refusal refusal = scene.run(new CallCommand.PickUp(taker, Scene.WINDOW, from));
    return refusal == null ? null : refusal.reason();
  }

  private void onlyOwnGroups() {
    Office office = scene.office.office;
    Settings usual = office.settings();
    scene.exchange.office(
        office.with(
            TestOffice.settings(
                usual,
                usual.recording(),
                usual.frontDesk(),
                Settings.PickUp.OWN_GROUPS,
                usual.barring())));
  }

  @Test
  void the_pick_up_group_is_ones_team_and_the_groups_one_belongs_to() {
    assertThat(Permissions.pickUpGroup(scene.office.office, ADAEZE))
        .as("bookings, and Ines of the front desk's group")
        .containsExactlyInAnyOrder(BRAM, CELIA, INES);
    assertThat(Permissions.pickUpGroup(scene.office.office, TOMASZ)).containsExactly(ZOE);
    assertThat(Permissions.pickUpGroup(scene.office.office, new PersonId(99))).isEmpty();
  }

  @Test
  void the_one_ringing_longest_is_taken_and_nothing_that_rings_elsewhere() {
    scene.call(INES, "221");
    assertThat(take(ADAEZE, null)).as("rings in another team").isEqualTo(Reason.NOTHING_RINGS);
    CallId first = scene.call(BRAM, "214");
    scene.wait(1);
    scene.call(ZOE, "214");
    assertThat(take(ADAEZE, null)).isNull();
    assertThat(scene.state(first, ADAEZE)).isEqualTo(ConnectionState.CONNECTED);
  }

  @Test
  void anybodys_is_taken_unless_the_office_wants_groups_only() {
    scene.call(INES, "221");
    assertThat(take(ADAEZE, TOMASZ)).isNull();
    onlyOwnGroups();
    scene.call(BRAM, "222");
    assertThat(take(ADAEZE, ZOE)).isEqualTo(Reason.NOT_IN_PICK_UP_GROUP);
    assertThat(take(TOMASZ, ZOE)).as("of the same team").isNull();
  }
}
