package oficina.core.decision;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal.Reason;
import oficina.core.events.ParkedCall;
import oficina.core.exchange.Scene;
import oficina.core.people.PersonId;
import oficina.core.people.Role;
import oficina.core.people.Status;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What people may do with calls that are not in their hand, and what they are told instead. */
class PermissionsTest {
  private final Scene scene = new Scene();
  private CallId call;

  @BeforeEach
  void tomasz_talks_to_an_outsider() {
    call = scene.arrive(DOV, "+441914980221");
    scene.answer(call, TOMASZ);
    scene.wait(10);
  }

  private void parkFor(PersonId forWhom) {
    assertThat(scene.run(new SendCommand.Park(call, TOMASZ, "61", forWhom, "about June"))).isNull();
  }

  private Refusal take(PersonId person, boolean evenForOthers) {
    return scene.run(new SendCommand.TakeParked(call, person, Scene.WINDOW, "61", evenForOthers));
  }

  @Test
  void what_waits_for_somebody_else_is_taken_only_when_asked_for_once_more() {
    parkFor(ZOE);
    Refusal asked = Refusal.of(Reason.MEANT_FOR_OTHER, ZOE);
    assertThat(take(ADAEZE, false)).isEqualTo(asked);
    assertThat(scene.tryCall(ADAEZE, "61")).as("dialled").isEqualTo(Reason.MEANT_FOR_OTHER);
    assertThat(take(ADAEZE, true)).isNull();
  }

  @Test
  void the_one_it_waits_for_and_its_parker_are_not_asked() {
    parkFor(ZOE);
    assertThat(take(ZOE, false)).isNull();
    scene.run(new SendCommand.Park(call, ZOE, "61", TOMASZ, ""));
    assertThat(take(ZOE, false)).isNull();
  }

  @Test
  void a_note_is_read_by_whom_it_concerns_and_the_front_desk() {
    parkFor(ZOE);
    ParkedCall forZoe = scene.exchange.state().inSlot("61").parked();
    assertThat(mayRead(forZoe, ZOE) && mayRead(forZoe, TOMASZ)).isTrue();
    assertThat(mayRead(forZoe, INES)).as("front desk").isTrue();
    assertThat(mayRead(forZoe, BRAM)).isFalse();
    take(ZOE, false);
    scene.run(new SendCommand.Park(call, ZOE, "61", null, "anybody"));
    assertThat(mayRead(scene.exchange.state().inSlot("61").parked(), BRAM)).isTrue();
  }

  private boolean mayRead(ParkedCall parking, PersonId person) {
    return Permissions.mayReadNote(scene.office.office, parking, person);
  }

  @Test
  void whoever_names_a_foreign_call_learns_nothing_of_it() {
    assertThat(take(ADAEZE, true)).as("talking").isEqualTo(emptySlot());
    assertThat(scene.run(new CallCommand.Hold(call, ADAEZE)).reason())
        .isEqualTo(Reason.NO_SUCH_CALL);
    assertThat(scene.run(new SendCommand.PullBack(call, ADAEZE, Scene.WINDOW)).reason())
        .isEqualTo(Reason.NO_SUCH_CALL);
  }

  private static Refusal emptySlot() {
    return Refusal.ofSlot(Reason.SLOT_EMPTY, "61");
  }

  @Test
  void a_second_submission_is_told_what_the_first_has_done() {
    parkFor(ZOE);
    assertThat(scene.run(new SendCommand.Park(call, TOMASZ, "62", null, "")))
        .isEqualTo(Refusal.ofSlot(Reason.ALREADY_PARKED, "61"));
    assertThat(scene.run(new SendCommand.Park(call, TOMASZ, null, new PersonId(99), "")).reason())
        .isEqualTo(Reason.ALREADY_PARKED);
    take(ZOE, false);
    assertThat(scene.run(new SendCommand.Park(call, ZOE, null, new PersonId(99), "")).reason())
        .isEqualTo(Reason.NO_SUCH_PERSON);
  }

  @Test
  void whoever_picks_up_too_late_hears_that_the_called_person_was_quicker() {
    CallId second = scene.call(BRAM, "222");
    scene.answer(second, ZOE);
    assertThat(scene.run(new CallCommand.PickUp(TOMASZ, Scene.WINDOW, ZOE)))
        .isEqualTo(Refusal.answeredBy(ZOE));
  }

  @Test
  void only_administrators_change_the_office_and_have_subscribers_call_in() {
    assertThat(Permissions.mayAdminister(Role.ADMINISTRATOR)).isTrue();
    assertThat(Permissions.mayAdminister(Role.EMPLOYEE)).isFalse();
    assertThat(Permissions.maySwitchCallers(Role.EMPLOYEE)).isFalse();
  }

  @Test
  void the_telephone_of_whoever_is_at_it_is_nobody_elses() {
    assertThat(Permissions.isAtTelephone(scene.exchange.state(), INES)).isTrue();
    scene.run(new OfficeCommand.SetStatus(INES, Status.Kind.DO_NOT_DISTURB, "", null));
    assertThat(Permissions.isAtTelephone(scene.exchange.state(), INES)).isFalse();
    scene.run(new OfficeCommand.SetStatus(INES, Status.Kind.BUSY, "", null));
    boolean busyTakesCalls = Status.Kind.BUSY.takesCalls();
    assertThat(Permissions.isAtTelephone(scene.exchange.state(), INES)).isEqualTo(busyTakesCalls);
    scene.run(new OfficeCommand.DeviceGoes(INES, Scene.WINDOW));
    assertThat(Permissions.isAtTelephone(scene.exchange.state(), INES)).isFalse();
  }
}
