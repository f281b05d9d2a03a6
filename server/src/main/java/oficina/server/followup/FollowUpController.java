package oficina.server.followup;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDateTime;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.people.PersonId;
import oficina.server.calls.OwnCalls;
import oficina.server.followup.FollowUpStore.FollowUp;
import oficina.server.followup.FollowUpViews.FollowUpView;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * What is still to be done for callers. Everybody sees and does what those of their own team have
 * to do; whoever gave it to somebody in another team sees that too.
 */
@RestController
@RequestMapping("/api/follow-ups")
class FollowUpController {
  private static final int MOST = 200;

  private final FollowUpStore followUps;
  private final FollowUpViews views;
  private final DueFollowUps due;
  private final OwnCalls calls;
  private final OfficeData office;
  private final MovableClock clock;

  FollowUpController(
      FollowUpStore followUps,
      FollowUpViews views,
      DueFollowUps due,
      OwnCalls calls,
      OfficeData office,
      MovableClock clock) {
    this.followUps = followUps;
    this.views = views;
    this.due = due;
    this.calls = calls;
    this.office = office;
    this.clock = clock;
  }

  /** What is open for oneself, or for the whole team, what is due first coming first. */
  @GetMapping
  List<FollowUpView> open(
      @AuthenticationPrincipal Employee me, @RequestParam(defaultValue = "false") boolean team) {
    List<PersonId> whose = team ? office.directory().teamOf(me.id()) : List.of(me.id());
    return followUps.open(whose, MOST).stream().map(each -> views.view(each, me.id())).toList();
  }

  /**
   * Something to be done.
   *
   * @param call in which it was promised; absent for none
   * @param due day and time at the office
   * @param assignee who is to do it
   */
  record FollowUpBody(
      @Schema(nullable = true) @Nullable @Size(max = 40) String call,
      @NotBlank @Size(max = 400) String what,
      @NotNull LocalDateTime due,
      long assignee) {}

  /** Have something done for a caller, by oneself or a colleague. */
  @PostMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void add(@AuthenticationPrincipal Employee me, @Valid @RequestBody FollowUpBody body) {
    String other = body.call() == null ? null : calls.other(me.id(), new CallId(body.call()));
    followUps.add(
        new FollowUp(
            0,
            body.call(),
            other,
            body.what().strip(),
            body.due().atZone(office.now().identity().zone()).toInstant(),
            assignee(body.assignee()),
            me.id(),
            clock.instant(),
            null));
    due.changed(concerned(me, new PersonId(body.assignee())));
  }

  /** Move something to another time, or hand it on. */
  @PutMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody FollowUpBody body) {
    FollowUp before = mayTouch(me, id);
    followUps.change(
        id,
        body.what().strip(),
        body.due().atZone(office.now().identity().zone()).toInstant(),
        assignee(body.assignee()));
    due.changed(concerned(me, before.assignee(), new PersonId(body.assignee())));
  }

  record Done(boolean done) {}

  /** Say that it is done, or that it is not after all. */
  @PutMapping("/{id}/done")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void done(
      @AuthenticationPrincipal Employee me, @PathVariable long id, @Valid @RequestBody Done done) {
    FollowUp before = mayTouch(me, id);
    followUps.done(id, me.id(), done.done() ? clock.instant() : null);
    due.changed(concerned(me, before.assignee()));
  }

  /** Whoever has it to do, with their teams, and whoever asks. */
  private Set<PersonId> concerned(Employee me, PersonId... assignees) {
    Set<PersonId> people = new HashSet<>(Set.of(me.id()));
    for (PersonId assignee : assignees) {
      people.addAll(office.directory().teamOf(assignee));
    }
    return people;
  }

  private FollowUp mayTouch(Employee me, long id) {
    List<PersonId> team = office.directory().teamOf(me.id());
    return followUps
        .one(id)
        .filter(each -> team.contains(each.assignee()) || each.madeBy().equals(me.id()))
        .orElseThrow(() -> new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_FOLLOW_UP"));
  }

  private PersonId assignee(long id) {
    PersonId person = new PersonId(id);
    if (office.directory().person(person).isEmpty()) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_SUCH_PERSON", Map.of());
    }
    return person;
  }
}
