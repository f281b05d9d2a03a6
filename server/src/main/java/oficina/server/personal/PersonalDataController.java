package oficina.server.personal;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.core.numbers.DialPlan;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * Everything about one number outside, one contact or one employee who has left: how much there is,
 * in one file, erased. Exactly one of the three is named in each request.
 */
@RestController
@RequestMapping("/api/office/personal")
class PersonalDataController {
  private static final int SHOWN_DIGITS = 2;

  private final PersonalData data;
  private final PersonalFile file;
  private final OfficeData office;
  private final OfficeLog log;
  private final MovableClock clock;

  PersonalDataController(
      PersonalData data, PersonalFile file, OfficeData office, OfficeLog log, MovableClock clock) {
    this.data = data;
    this.file = file;
    this.office = office;
    this.log = log;
    this.clock = clock;
  }

  /** Somebody who has left. */
  record Former(long id, String name) {}

  /** Employees who have left and are still known by name. */
  @GetMapping("/former")
  List<Former> former() {
    return data.formerEmployees().stream()
        .map(each -> new Former(each.value(), data.nameOf(each)))
        .toList();
  }

  /**
   * How much is known of somebody, or was.
   *
   * @param shown how they are called
   * @param at when that was
   * @param by who asked
   * @param known how many of each; erased, when they were
   * @param stays what others have decided, and does not go
   */
  record PersonalView(
      String shown, Instant at, String by, Map<String, Long> known, Map<String, Long> stays) {}

  /** How much is known of somebody. */
  @GetMapping
  PersonalView extent(
      @AuthenticationPrincipal Employee me,
      @RequestParam(defaultValue = "") @Size(max = 40) String number,
      @Schema(nullable = true) @RequestParam(required = false) @Nullable Long contact,
      @Schema(nullable = true) @RequestParam(required = false) @Nullable Long person) {
    Whom whom = whom(number, contact, person, me);
    PersonalData.Extent extent = data.extent(whom);
    return view(whom, extent.known(), extent.stays(), me);
  }

  private PersonalView view(
      Whom whom, Map<String, Long> known, Map<String, Long> stays, Employee me) {
    return new PersonalView(whom.shown(), clock.instant(), data.nameOf(me.id()), known, stays);
  }

  /** All of it as a ZIP with JSON and the sounds, written as it is read. */
  @GetMapping(path = "/file", produces = "application/zip")
  void everything(
      @AuthenticationPrincipal Employee me,
      @RequestParam(defaultValue = "") @Size(max = 40) String number,
      @Schema(nullable = true) @RequestParam(required = false) @Nullable Long contact,
      @Schema(nullable = true) @RequestParam(required = false) @Nullable Long person,
      HttpServletResponse answer)
      throws IOException {
    Whom whom = whom(number, contact, person, me);
    log.write(Deed.of(Kind.SAVED, whom.hint()));
    answer.setContentType("application/zip");
    answer.setHeader(
        HttpHeaders.CONTENT_DISPOSITION,
        ContentDisposition.attachment().filename("everything.zip").build().toString());
    file.write(whom, clock.instant(), answer.getOutputStream());
  }

  /** Erase all of it; the answer is the protocol of that, which is kept nowhere else. */
  @DeleteMapping
  PersonalView erase(
      @AuthenticationPrincipal Employee me,
      @RequestParam(defaultValue = "") @Size(max = 40) String number,
      @Schema(nullable = true) @RequestParam(required = false) @Nullable Long contact,
      @Schema(nullable = true) @RequestParam(required = false) @Nullable Long person) {
    Whom whom = whom(number, contact, person, me);
    Map<String, Long> stays = data.extent(whom).stays();
    Map<String, Long> erased = data.erase(whom);
    log.write(Deed.of(Kind.REMOVED, whom.hint()));
    return view(whom, erased, stays, me);
  }

  private Whom whom(String number, @Nullable Long contact, @Nullable Long person, Employee me) {
    if (person != null) {
      PersonId former = new PersonId(person);
      if (!data.formerEmployees().contains(former)) {
        throw new Problem(HttpStatus.NOT_FOUND, "NOT_A_FORMER_EMPLOYEE");
      }
      return new Whom(
          List.of(), List.of(), former, data.nameOf(former), "everything of person " + person);
    }
    if (contact != null) {
      return data.contact(contact, me.id());
    }
    PhoneNumber typed = DialPlan.publicNumber(office.region(), number);
    if (typed == null) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "NUMBER_UNREADABLE",
          Map.of("text", number, "name", ""));
    }
    if (office.now().ownNumbers().contains(typed)) {
      throw new Problem(HttpStatus.CONFLICT, "NUMBER_IS_OURS", Map.of("text", number));
    }
    String last = typed.e164().substring(typed.e164().length() - SHOWN_DIGITS);
    return new Whom(
        List.of(typed.e164()),
        List.of(),
        null,
        office.region().show(typed),
        "everything of a number that ends in " + last);
  }
}
