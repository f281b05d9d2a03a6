package oficina.core.register;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.INES;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import oficina.core.TestOffice;
import oficina.core.office.Office;
import oficina.core.people.PersonId;
import oficina.core.register.PeopleCheck.Checked;
import oficina.core.register.PeopleCheck.Finding;
import oficina.core.register.PeopleCheck.Kind;
import org.junit.jupiter.api.Test;

/** What a file of people would mean for an office. */
class PeopleCheckTest {
  private final Office office = new TestOffice().office;
  private final Map<PersonId, PersonEntry> known = new HashMap<>();

  PeopleCheckTest() {
    office
        .directory()
        .people()
        .forEach(
            each ->
                known.put(
                    each.id(),
                    new PersonEntry(
                        each.name(),
                        each.name().split(" ")[0].toLowerCase().replace("ë", "e"),
                        each.id().equals(INES) ? "administrator" : "employee",
                        each.extension(),
                        each.directNumber() == null ? "" : each.directNumber().e164(),
                        each.team(),
                        each.site(),
                        each.place().mail(),
                        "")));
  }

  private List<Checked> check(String file) {
    try {
      List<PeopleFile.Row> rows = PeopleFile.read(new StringReader(file));
      return new PeopleCheck(office, known, INES).check(rows);
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private static List<Kind> kinds(List<Checked> lines) {
    return lines.stream().map(Checked::kind).toList();
  }

  private static List<String> codes(Checked line) {
    return line.findings().stream().map(Finding::code).toList();
  }

  @Test
  void what_is_written_reads_as_what_there_is() {
    List<Checked> read = check(PeopleFile.write(known.values()));
    assertThat(kinds(read)).hasSize(6).containsOnly(Kind.SAME);
    assertThat(read.stream().map(Checked::person).collect(Collectors.toSet()))
        .isEqualTo(known.keySet());
  }

  @Test
  void somebody_new_needs_a_name_an_extension_and_a_team() {
    Checked line = check("Extension;Name;Team;Shoe size\n299;Zoé  Marr-Ng;Freight;38").get(0);
    assertThat(line.kind()).isEqualTo(Kind.NEW);
    assertThat(line.entry())
        .isEqualTo(
            new PersonEntry(
                "Zoé  Marr-Ng", "zoe.marr-ng", "employee", "299", "", "Freight", "", "", ""));
    assertThat(codes(check("name,extension\n,2x").get(0)))
        .containsExactly("PERSON_NAME", "PERSON_SIGN_IN_NAME", "PERSON_EXTENSION", "PERSON_TEAM");
  }

  @Test
  void whoever_is_known_is_changed_and_keeps_what_the_line_does_not_decide() {
    Checked line =
        check("name,sign_in_name,extension,direct_number\nAdaeze Lind,Adaeze,212,0191 498 0299")
            .get(0);
    assertThat(line.kind()).isEqualTo(Kind.CHANGED);
    assertThat(line.person()).isEqualTo(ADAEZE);
    assertThat(line.entry().signInName()).isEqualTo("adaeze");
    assertThat(line.entry().team()).as("no column says it").isEqualTo("Bookings");
    assertThat(check("name,extension,team\nAdaeze Moor,212,Freight").get(0).person())
        .as("by name and extension")
        .isEqualTo(ADAEZE);
    assertThat(codes(check("name,extension,team\nNell Otway,212,Freight").get(0)))
        .as("another one")
        .containsExactly("EXTENSION_OF_PERSON");
    assertThat(line.entry().directNumber()).isEqualTo("+441914980299");
  }

  @Test
  void what_is_taken_belongs_to_somebody_unless_they_give_it_up_in_the_same_file() {
    String head = "name,sign_in_name,extension,team\n";
    List<Checked> taken =
        check(head + "Nell,nell,201,Freight\nOdo,odo,220,Freight\nPia,pia,61,Freight");
    assertThat(taken.stream().map(each -> each.findings().get(0)))
        .containsExactly(
            new Finding("EXTENSION_OF_PERSON", "201", "Ines Calloway"),
            new Finding("EXTENSION_OF_LINE", "220", "Freight"),
            new Finding("EXTENSION_OF_SLOT", "61", ""));
    String swap = head + "Adaeze Moor,adaeze,213,Bookings\nBram Oakes,bram,212,Bookings";
    assertThat(kinds(check(swap))).containsExactly(Kind.CHANGED, Kind.CHANGED);
    List<Checked> half = check(swap + "x".repeat(90));
    assertThat(kinds(half)).as("Bram's line is wrong: he keeps his").containsOnly(Kind.BAD);
    List<Checked> twice = check(head + "Nell,nell,298,Freight\nOdo,odo,298,Freight");
    assertThat(kinds(twice)).containsExactly(Kind.NEW, Kind.BAD);
    assertThat(codes(twice.get(1))).containsExactly("EXTENSION_TWICE");
  }

  @Test
  void nobody_takes_their_own_role_away_and_a_broken_line_spoils_no_other() {
    List<Checked> read =
        check(
            "name,sign_in_name,role,extension,team,mail\n"
                + "Ines Calloway,ines,employee,201,Front desk,\n"
                + "\"Nell,nell,employee,297,Freight,\n"
                + "Odo,odo,pilot,298,Freight,odo\n"
                + "Pia,pia,Administrator,299,Freight,pia@office.example\n");
    assertThat(kinds(read)).containsExactly(Kind.BAD, Kind.BAD, Kind.BAD, Kind.NEW);
    assertThat(codes(read.get(0))).containsExactly("NOT_ONESELF");
    assertThat(codes(read.get(1))).containsExactly("PERSON_LINE_BROKEN");
    assertThat(codes(read.get(2))).containsExactly("PERSON_ROLE", "PERSON_MAIL");
    assertThat(codes(check("a,b\n1,2").get(0))).containsExactly("PERSON_NO_COLUMNS");
  }
}
