package oficina.server.rules;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** For administrators: who acts for somebody, or for a room; their other rules stay. */
@RestController
@RequestMapping("/api/office/people/{id}/delegates")
class DelegatesController {
  private final OfficeData office;
  private final RulesKeeping keeping;

  DelegatesController(OfficeData office, RulesKeeping keeping) {
    this.office = office;
    this.keeping = keeping;
  }

  /**
   * @param delegates who answer and place calls for them, and use their telephone
   */
  record DelegatesBody(@NotNull @Size(max = 20) List<@NotNull Long> delegates) {}

  /** Who acts for them. */
  @GetMapping
  DelegatesBody now(@PathVariable long id) {
    return new DelegatesBody(
        office.now().directions().rulesOf(known(id)).delegates().stream()
            .filter(each -> office.directory().person(each).isPresent())
            .map(PersonId::value)
            .toList());
  }

  /** Have these act for them. */
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody DelegatesBody body) {
    Party owner = known(id);
    List<PersonId> delegates = body.delegates().stream().distinct().map(PersonId::new).toList();
    keeping.keep(owner, office.now().directions().rulesOf(owner).actedFor(delegates), me.id());
  }

  private Party known(long id) {
    PersonId person = new PersonId(id);
    if (office.directory().person(person).isEmpty()) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PERSON");
    }
    return new Party.Employee(person);
  }
}
