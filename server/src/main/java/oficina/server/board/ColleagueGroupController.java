package oficina.server.board;

import jakarta.validation.Valid;
import java.util.List;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import oficina.server.owngroups.GroupChange;
import oficina.server.owngroups.GroupChangeStore;
import oficina.server.owngroups.GroupChangeStore.Kind;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One's own groups of colleagues. */
@RestController
@RequestMapping("/api/colleagues")
class ColleagueGroupController {
  private final ColleagueGroupStore groups;
  private final GroupChangeStore changes;
  private final OfficeData office;
  private final Topics topics;

  ColleagueGroupController(
      ColleagueGroupStore groups, GroupChangeStore changes, OfficeData office, Topics topics) {
    this.groups = groups;
    this.changes = changes;
    this.office = office;
    this.topics = topics;
  }

  /** All of them by name, the favourites first. */
  @GetMapping("/groups")
  List<ColleagueGroup> mine(@AuthenticationPrincipal Employee me) {
    return groups.of(me.id());
  }

  /** Put a colleague into groups of one's own, and take them out of others. */
  @PostMapping("/{id}/groups")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void put(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody GroupChange body) {
    PersonId colleague =
        office
            .directory()
            .person(new PersonId(id))
            .orElseThrow(() -> new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PERSON"))
            .id();
    changes.change(me.id(), Kind.COLLEAGUE, colleague.value(), body);
    topics.tell(me.id(), Topic.COLLEAGUES);
  }
}
