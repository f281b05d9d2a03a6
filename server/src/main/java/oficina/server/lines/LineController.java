package oficina.server.lines;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import oficina.core.call.Party;
import oficina.core.commands.OfficeCommand;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.rules.CallRules;
import oficina.server.calls.Commands;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.queues.MemberStates;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
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
  private final Commands commands;
  private final MemberStates members;
  private final Topics topics;
  private final MovableClock clock;
  private final Parties parties;

  LineController(
      OfficeData office,
      Commands commands,
      MemberStates members,
      Topics topics,
      MovableClock clock,
      Parties parties) {
    this.parties = parties;
    this.office = office;
    this.commands = commands;
    this.members = members;
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
        takesPart(group, me),
        rules.open(office.now().directions().at(clock.instant())),
        group.members().stream()
            .map(
                each ->
                    new LineMember(each.value(), office.now().nameOf(each), takesPart(group, each)))
            .toList());
  }

  /** Those for whom one answers and places calls. */
  @GetMapping("/behalf")
  List<PartyView> behalf(@AuthenticationPrincipal Employee me) {
    return office.now().delegations().principalsOf(me.id()).stream()
        .map(each -> parties.view(new Party.Employee(each), me.id()))
        .toList();
  }

  private boolean takesPart(Group group, PersonId person) {
    return !members.member(person).rests().containsKey(group.id());
  }

  /**
   * @param reason for resting, from the office's list; absent for none
   */
  record TakingPart(
      boolean takesPart, @Schema(nullable = true) @Size(max = 60) @Nullable String reason) {}

  /** Take part in a line from now on, or rest. */
  @PutMapping("/{id}/part")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void part(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody TakingPart part) {
    takePart(me.id(), new GroupId(id), part);
  }

  /** Take part in all of one's lines, or rest. */
  @PutMapping("/part")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void part(@AuthenticationPrincipal Employee me, @Valid @RequestBody TakingPart part) {
    takePart(me.id(), null, part);
  }

  private void takePart(PersonId me, @Nullable GroupId line, TakingPart part) {
    String reason = part.reason() == null ? "" : part.reason().strip();
    commands.carryOut(new OfficeCommand.TakePart(me, line, !part.takesPart(), reason, me));
    // Whoever else looks at lines asks now and then; a click of one is no reason for all to ask.
    topics.tell(withMe(me), Topic.RULES);
  }

  private Set<PersonId> withMe(PersonId me) {
    Set<PersonId> all = new HashSet<>(Set.of(me));
    office.directory().groupsOf(me).stream()
        .flatMap(line -> office.directory().group(line).stream())
        .forEach(line -> all.addAll(line.members()));
    return all;
  }
}
