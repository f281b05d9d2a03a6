package oficina.server.attendants;

import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.core.people.PersonId;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.OfficeData;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Secret numbers of people who have forgotten theirs, or told it; for administrators. */
@RestController
@RequestMapping("/api/office/people/{id}/pin")
class PinsOfPeopleController {
  private final Pins pins;
  private final OfficeData office;
  private final OfficeLog log;

  PinsOfPeopleController(Pins pins, OfficeData office, OfficeLog log) {
    this.pins = pins;
    this.office = office;
    this.log = log;
  }

  /** Whether somebody has a secret number; which one nobody is told. */
  record HasPin(boolean has) {}

  /** Whether somebody has a secret number. */
  @GetMapping
  HasPin has(@PathVariable long id) {
    return new HasPin(pins.isSet(new PersonId(id)));
  }

  /** Theirs counts no more, until they choose another. */
  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeAway(@PathVariable long id) {
    PersonId person = new PersonId(id);
    if (!pins.isSet(person)) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PERSON");
    }
    pins.takeAway(person);
    log.write(new Deed(Kind.REMOVED, office.now().nameOf(person), "pin", "", ""));
  }
}
