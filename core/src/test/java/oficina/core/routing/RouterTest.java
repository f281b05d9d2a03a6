package oficina.core.routing;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.FRONT_DESK;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import oficina.core.TestOffice;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.routing.Route.GoOut;
import oficina.core.routing.Route.Refuse;
import oficina.core.routing.Route.Ring;
import org.junit.jupiter.api.Test;

/** Where each way leads, by who has a device and who takes calls. */
class RouterTest {
  private static final Party TO_TOMASZ = new Party.Employee(TOMASZ);
  private static final Party TO_FRONT_DESK = new Party.Members(FRONT_DESK);

  private final Office office = new TestOffice().office;
  private final Set<PersonId> gone = new HashSet<>();
  private final Set<PersonId> busy = new HashSet<>();
  private final Reach reach =
      new Reach() {
        @Override
        public boolean hasDevice(PersonId person) {
          return !gone.contains(person);
        }

        @Override
        public boolean takesCalls(PersonId person) {
          return !busy.contains(person);
        }

        @Override
        public boolean onCall(PersonId person) {
          return busy.contains(person);
        }

        @Override
        public boolean hasRoom(PersonId person) {
          return true;
        }

        @Override
        public boolean takesPart(PersonId person, GroupId line) {
          return true;
        }

        @Override
        public int waitingAt(GroupId line) {
          return 0;
        }

        @Override
        public Status.Kind status(PersonId person) {
          return Status.Kind.FREE;
        }
      };

  private Route to(Party party) {
    return new Router(office, reach).to(party);
  }

  @Test
  void a_person_is_rung_at_their_devices_for_their_own_time() {
    assertThat(to(TO_TOMASZ))
        .isEqualTo(new Ring(List.of(TOMASZ), TO_TOMASZ, Duration.ofSeconds(20), List.of()));
    busy.add(TOMASZ);
    assertThat(to(TO_TOMASZ)).isEqualTo(new Refuse(Cause.BUSY, List.of(TOMASZ)));
    gone.add(TOMASZ);
    assertThat(to(TO_TOMASZ))
        .as("without a device it does not matter that they are busy")
        .isEqualTo(new Refuse(Cause.NOT_SIGNED_IN, List.of(TOMASZ)));
    assertThat(to(new Party.Employee(new PersonId(99))))
        .isEqualTo(new Refuse(Cause.NUMBER_NOT_IN_USE, List.of()));
  }

  @Test
  void of_a_group_those_are_rung_who_are_there_and_free() {
    assertThat(to(TO_FRONT_DESK))
        .isEqualTo(
            new Ring(List.of(INES, ADAEZE), TO_FRONT_DESK, Duration.ofSeconds(30), List.of()));
    gone.add(INES);
    assertThat(((Ring) to(TO_FRONT_DESK)).people()).containsExactly(ADAEZE);
    busy.add(ADAEZE);
    assertThat(to(TO_FRONT_DESK))
        .as("missed by those who are there")
        .isEqualTo(new Refuse(Cause.BUSY, List.of(ADAEZE)));
    gone.add(ADAEZE);
    assertThat(to(TO_FRONT_DESK)).isEqualTo(new Refuse(Cause.NOT_SIGNED_IN, List.of(INES, ADAEZE)));
  }

  @Test
  void outside_numbers_go_out_and_slots_and_nobody_do_not() {
    assertThat(to(new Party.Outside(DOV))).isEqualTo(new GoOut(new Party.Outside(DOV)));
    assertThat(to(new Party.Emergency("999"))).isEqualTo(new GoOut(new Party.Emergency("999")));
    assertThat(to(new Party.Slot("61")).refuses()).isTrue();
    assertThat(to(new Party.Nobody("299")).refuses()).isTrue();
  }

  @Test
  void the_way_to_the_front_desk_leads_where_that_is_by_then() {
    assertThat(new Router(office, reach).toFrontDesk()).isEqualTo(to(TO_FRONT_DESK));
    Settings usual = office.settings();
    Settings none =
        TestOffice.settings(usual, usual.recording(), null, usual.pickUp(), usual.barring());
    Office without = office.with(none);
    assertThat(new Router(without, reach).toFrontDesk().refuses()).isTrue();
  }
}
