package oficina.core.office;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.FREIGHT;
import static oficina.core.TestOffice.FRONT_DESK;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.MAIN_NUMBER;
import static oficina.core.TestOffice.TOMASZ;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import oficina.core.TestOffice;
import oficina.core.call.Party;
import oficina.core.numbers.DialPlan;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.office.Claims.Holder;
import oficina.core.office.Claims.Kind;
import oficina.core.office.Dependants.Dependant;
import oficina.core.office.Dependants.How;
import oficina.core.people.Directory;
import oficina.core.queueing.Queue;
import oficina.core.rules.CallRules;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;
import org.junit.jupiter.api.Test;

/** What may be changed in the registers of an office, and what a change means. */
class RegistersTest {
  private static final Party INES_HERSELF = new Party.Employee(INES);
  private static final Party FREIGHT_LINE = new Party.Members(FREIGHT);

  private final Office office = new TestOffice().office;
  private final Claims claims = new Claims(office);

  @Test
  void an_extension_is_given_once_and_never_keeps_anybody_from_help() {
    assertThat(claims.extension("299", null)).isEmpty();
    assertThat(claims.extension("201", null)).contains(new Holder(Kind.PERSON, "Ines Calloway"));
    assertThat(claims.extension("201", INES_HERSELF)).as("hers already").isEmpty();
    assertThat(claims.extension("220", INES_HERSELF)).contains(new Holder(Kind.LINE, "Freight"));
    assertThat(claims.extension("61", null)).contains(new Holder(Kind.SLOT, ""));
    assertThat(claims.extension("290", null)).contains(new Holder(Kind.VOICEMAIL, ""));
    assertThat(claims.extension("999", null)).contains(new Holder(Kind.EMERGENCY, ""));
  }

  @Test
  void a_public_number_rings_one_alone() {
    PhoneNumber direct = new PhoneNumber("+441914980201");
    assertThat(claims.number(direct, null)).contains(new Holder(Kind.PERSON, "Ines Calloway"));
    assertThat(claims.number(direct, INES_HERSELF)).isEmpty();
    assertThat(claims.number(MAIN_NUMBER, null)).contains(new Holder(Kind.LINE, "Front desk"));
    assertThat(claims.number(new PhoneNumber("+441914980299"), FREIGHT_LINE)).isEmpty();
  }

  @Test
  void who_counts_on_somebody_is_known_before_they_leave() {
    Rule rule =
        new Rule(
            1,
            Situation.NO_ANSWER,
            Callers.ANYBODY,
            null,
            null,
            Destination.to(new Party.Employee(TOMASZ)));
    CallRules ines = new CallRules(List.of(rule), List.of(), null);
    CallRules adaeze =
        new CallRules(
            List.of(),
            List.of(
                new CallRules.Ring(List.of(new Party.Employee(TOMASZ)), Duration.ofSeconds(20))),
            null,
            List.of(TOMASZ),
            false);
    Directions directions =
        office
            .directions()
            .with(INES_HERSELF, ines)
            .with(new Party.Employee(ADAEZE), adaeze)
            .with(FREIGHT, Queue.DEFAULT.ledBy(Set.of(TOMASZ)));
    assertThat(new Dependants(office.with(directions)).of(TOMASZ))
        .containsExactlyInAnyOrder(
            new Dependant(How.RULES_LEAD_THERE, INES_HERSELF),
            new Dependant(How.RINGS_THERE, new Party.Employee(ADAEZE)),
            new Dependant(How.ACTED_FOR, new Party.Employee(ADAEZE)),
            new Dependant(How.MEMBER, FREIGHT_LINE),
            new Dependant(How.LEADS, FREIGHT_LINE));
    assertThat(new Dependants(office).of(INES))
        .containsExactly(new Dependant(How.MEMBER, new Party.Members(FRONT_DESK)));
  }

  @Test
  void an_office_that_has_said_nothing_lacks_everything_and_this_one_nothing() {
    ZoneId zone = ZoneId.of("Europe/London");
    Office empty =
        new Office(
            new Office.Identity("", null, zone, new Region("GB"), ""),
            new Directory(List.of(), List.of()),
            Settings.DEFAULT,
            Former.NONE,
            Directions.none(zone));
    assertThat(Missing.of(empty))
        .containsExactly(
            Missing.NAME,
            Missing.MAIN_NUMBER,
            Missing.PEOPLE,
            Missing.LINES,
            Missing.FRONT_DESK,
            Missing.SLOTS,
            Missing.VOICEMAIL);
    assertThat(Missing.of(office)).isEmpty();
  }

  @Test
  void a_number_is_whole_and_written_in_any_way() {
    Region here = new Region("GB");
    assertThat(DialPlan.publicNumber(here, "0191 498 0100")).isEqualTo(MAIN_NUMBER);
    assertThat(DialPlan.publicNumber(here, "+44 (0)191 498-0100")).isEqualTo(MAIN_NUMBER);
    assertThat(DialPlan.publicNumber(here, "498 0100")).as("without its town").isNull();
    assertThat(DialPlan.publicNumber(here, "front desk")).isNull();
    assertThat(Region.all()).contains("GB", "PT", "US");
  }
}
