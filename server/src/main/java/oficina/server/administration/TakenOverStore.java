package oficina.server.administration;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.register.PeopleCheck.Checked;
import oficina.core.register.PeopleCheck.Kind;
import oficina.core.register.PersonEntry;
import oficina.server.office.NewPerson;
import oficina.server.office.OfficeStore;
import oficina.server.office.StandIn;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Takes a file of people over: all of it that is right, or nothing. */
@Repository
class TakenOverStore {
  private final JdbcClient jdbc;
  private final OfficeStore office;

  TakenOverStore(JdbcClient jdbc, OfficeStore office) {
    this.jdbc = jdbc;
    this.office = office;
  }

  /**
   * @param hash of the first password of everybody who is new, which they replace by one of their
   *     own
   */
  @Transactional
  public void take(List<Checked> lines, String hash) {
    Map<String, Long> teams = new HashMap<>();
    List<Checked> changed = of(lines, Kind.CHANGED);
    // Two may take each other's extension or number: first nobody has any of them.
    for (Checked each : changed) {
      jdbc.sql("update person set extension = concat('-', id), direct_number = null where id = ?")
          .param(each.person().value())
          .update();
    }
    for (Checked each : changed) {
      office.change(each.person(), person(each.entry(), hash, teams));
    }
    for (Checked each : of(lines, Kind.NEW)) {
      office.mustChangePassword(office.addPerson(person(each.entry(), hash, teams)));
    }
  }

  private static List<Checked> of(List<Checked> lines, Kind kind) {
    return lines.stream().filter(each -> each.kind() == kind).toList();
  }

  private NewPerson person(PersonEntry entry, String hash, Map<String, Long> teams) {
    return new NewPerson(
        entry.name(),
        entry.signInName(),
        hash,
        entry.role(),
        entry.extension(),
        orNone(entry.directNumber()),
        teams.computeIfAbsent(entry.team(), office::teamNamed),
        entry.site(),
        entry.mail(),
        orNone(entry.mobile()),
        true,
        StandIn.NONE);
  }

  private static @Nullable String orNone(String number) {
    return number.isEmpty() ? null : number;
  }
}
