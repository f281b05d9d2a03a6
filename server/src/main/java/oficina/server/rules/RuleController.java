package oficina.server.rules;

import jakarta.validation.Valid;
import oficina.core.call.Party;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.rules.CallRules;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What people decide about their own calls, and administrators about those of lines. */
@RestController
@RequestMapping("/api/rules")
class RuleController {
  private final OfficeData office;
  private final RulesReading reading;
  private final RulesViews views;
  private final RulesKeeping keeping;

  RuleController(OfficeData office, RulesReading reading, RulesViews views, RulesKeeping keeping) {
    this.office = office;
    this.reading = reading;
    this.views = views;
    this.keeping = keeping;
  }

  /** One's own rules, or those of a line one belongs to. */
  @GetMapping
  RulesView rules(
      @AuthenticationPrincipal Employee me,
      @RequestParam(required = false) Long line,
      @RequestParam(required = false) Long person) {
    Party owner = owner(me, line, person);
    return views.view(owner, me.id(), mayChange(me, owner));
  }

  /** Put rules in the place of those there were. */
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keep(
      @AuthenticationPrincipal Employee me,
      @RequestParam(required = false) Long line,
      @RequestParam(required = false) Long person,
      @Valid @RequestBody RulesBody body) {
    Party owner = owner(me, line, person);
    if (!mayChange(me, owner)) {
      throw new Problem(HttpStatus.FORBIDDEN, "FORBIDDEN");
    }
    CallRules before = office.now().directions().rulesOf(owner);
    if (body.version() != null && body.version() != RulesViews.version(before)) {
      throw new Problem(HttpStatus.CONFLICT, "RULES_CHANGED");
    }
    CallRules rules = reading.rules(body, owner);
    keeping.keep(owner, rules, me.id());
  }

  /** Whoever asks for somebody else's must be an administrator, or belong to the line. */
  private Party owner(Employee me, Long line, Long person) {
    if (line != null) {
      Party owner = new Party.Members(new GroupId(line));
      boolean there = office.directory().group(new GroupId(line)).isPresent();
      boolean mine = office.now().people(owner).contains(me.id());
      if (!there || (!mine && !me.isAdministrator())) {
        throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_LINE");
      }
      return owner;
    }
    PersonId wanted = person == null ? me.id() : new PersonId(person);
    boolean there = office.directory().person(wanted).isPresent();
    if (!there || (!wanted.equals(me.id()) && !me.isAdministrator())) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PERSON");
    }
    return new Party.Employee(wanted);
  }

  private static boolean mayChange(Employee me, Party owner) {
    return me.id().equals(owner.employee()) || me.isAdministrator();
  }
}
