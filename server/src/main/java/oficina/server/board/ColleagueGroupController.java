package oficina.server.board;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.TreeSet;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
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

/** One's own groups of colleagues. */
@RestController
@RequestMapping("/api/colleagues")
class ColleagueGroupController {
  private final ColleagueGroupStore groups;
  private final OfficeData office;
  private final Topics topics;

  ColleagueGroupController(ColleagueGroupStore groups, OfficeData office, Topics topics) {
    this.groups = groups;
    this.office = office;
    this.topics = topics;
  }

  /** All of them by name, the favourites first. */
  @GetMapping("/groups")
  List<ColleagueGroup> mine(@AuthenticationPrincipal Employee me) {
    return groups.of(me.id());
  }

  record GroupsOfColleague(@NotNull @Size(max = 20) List<@NotNull @Size(max = 60) String> names) {}

  /** Put a colleague into groups of one's own; the favourites have no name. */
  @PutMapping("/{id}/groups")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void put(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody GroupsOfColleague body) {
    PersonId colleague =
        office
            .directory()
            .person(new PersonId(id))
            .orElseThrow(() -> new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PERSON"))
            .id();
    TreeSet<String> names = new TreeSet<>();
    body.names().forEach(name -> names.add(name.strip()));
    groups.put(me.id(), colleague, names);
    topics.tell(me.id(), Topic.COLLEAGUES);
  }
}
