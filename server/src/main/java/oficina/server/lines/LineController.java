package oficina.server.lines;

import jakarta.validation.Valid;
import java.util.List;
import java.util.Map;
import oficina.core.call.Party;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.rules.CallRules;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.problems.Problem;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The lines that people share: the groups of the office, and who takes part in them. */
@RestController
@RequestMapping("/api/lines")
class LineController {
  private final OfficeData office;
  private final OfficeStore store;
  private final Topics topics;
  private final MovableClock clock;
  private final Parties parties;

  LineController(
      OfficeData office, OfficeStore store, Topics topics, MovableClock clock, Parties parties) {
    this.parties = parties;
    this.office = office;
    this.store = store;
    this.topics = topics;
    this.clock = clock;
  }

  /**
   * A line that several people answer.
   *
   * @param mine whether the reader is one of them
   * @param takesPart whether the reader is rung at present
   * @param open whether it is, by its own hours
   */
  record LineView(
      long id,
      String name,
      String extension,
      boolean mine,
      boolean takesPart,
      boolean open,
      List<LineMember> members) {}

  record LineMember(long person, String name, boolean takesPart) {}

  /** All shared lines of the office, and who takes part in each. */
  @GetMapping
  List<LineView> lines(@AuthenticationPrincipal Employee me) {
    return office.directory().groups().stream().map(group -> view(group, me.id())).toList();
  }

  private LineView view(Group group, PersonId me) {
    CallRules rules = office.now().directions().rulesOf(new Party.Members(group.id()));
    return new LineView(
        group.id().value(),
        group.name(),
        group.extension(),
        group.members().contains(me),
        group.takingPart().contains(me),
        rules.open(office.now().directions().at(clock.instant())),
        group.members().stream()
            .map(
                each ->
                    new LineMember(
                        each.value(), office.now().nameOf(each), !group.resting().contains(each)))
            .toList());
  }

  /** Those for whom one answers and places calls. */
  @GetMapping("/behalf")
  List<PartyView> behalf(@AuthenticationPrincipal Employee me) {
    return office.now().delegations().principalsOf(me.id()).stream()
        .map(each -> parties.view(new Party.Employee(each), me.id()))
        .toList();
  }

  record TakingPart(boolean takesPart) {}

  /** Take part in a line from now on, or rest. */
  @PutMapping("/{id}/part")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void part(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody TakingPart part) {
    GroupId line = new GroupId(id);
    boolean member =
        office.directory().group(line).map(each -> each.members().contains(me.id())).orElse(false);
    if (!member) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_LINE", Map.of());
    }
    office.change(() -> store.takesPart(line, me.id(), part.takesPart()));
    topics.tellAll(Topic.RULES);
  }
}
