package oficina.server.figures;

import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import oficina.core.decision.Permissions;
import oficina.core.figures.HalfHour;
import oficina.core.files.Cells;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.core.people.GroupId;
import oficina.core.queueing.Queue;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * What lines that keep callers have done, for their members, who leads them, and administrators.
 */
@RestController
@RequestMapping("/api/queues/{line}/figures")
class FiguresController {
  /** Further apart days are not asked for in one go. */
  private static final int MOST_DAYS = 400;

  private static final List<String> HEAD =
      List.of("half_hour", "in_time", "later", "given_up", "elsewhere");

  private final Figures figures;
  private final Needed needed;
  private final OfficeData office;
  private final Clock clock;
  private final OfficeLog log;

  FiguresController(Figures figures, Needed needed, OfficeData office, Clock clock, OfficeLog log) {
    this.figures = figures;
    this.needed = needed;
    this.clock = clock;
    this.log = log;
    this.office = office;
  }

  /** What a line has done from one day to another, both included. */
  @GetMapping
  FiguresView figures(
      @AuthenticationPrincipal Employee me,
      @PathVariable long line,
      @RequestParam LocalDate first,
      @RequestParam LocalDate last) {
    Queue queue = queue(me, line);
    if (last.isBefore(first) || first.plusDays(MOST_DAYS).isBefore(last)) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "DAYS_NOT_IN_ORDER");
    }
    return figures.of(new GroupId(line), queue, first, last);
  }

  /** Whoever may not see it does not learn whether it is there. */
  private Queue queue(Employee me, long line) {
    GroupId id = new GroupId(line);
    Queue queue = office.now().directions().queue(id);
    if (queue == null || !Permissions.maySeeFigures(office.now(), id, me.id(), me.role())) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_QUEUE");
    }
    return queue;
  }

  /**
   * How many people and lines are needed at a half hour of the week.
   *
   * @param needed absent as long as nothing can be said
   */
  record Needs(@Schema(nullable = true) @Nullable NeededView needed) {}

  /** How many are needed, by the last weeks. */
  @GetMapping("/needed")
  Needs needed(
      @AuthenticationPrincipal Employee me,
      @PathVariable long line,
      @RequestParam(required = false) @Nullable Integer weekday,
      @RequestParam(required = false) @Nullable Integer slot) {
    LocalDate today = LocalDate.ofInstant(clock.instant(), office.now().identity().zone());
    return new Needs(needed.of(new GroupId(line), queue(me, line), today, weekday, slot));
  }

  /** The same by half hours as a file (CSV, RFC 4180). */
  @GetMapping(path = "/file", produces = "text/csv")
  ResponseEntity<byte[]> file(
      @AuthenticationPrincipal Employee me,
      @PathVariable long line,
      @RequestParam LocalDate first,
      @RequestParam LocalDate last) {
    FiguresView view = figures(me, line, first, last);
    log.write(Deed.of(Kind.SAVED, "figures"));
    String csv = Cells.csv(HEAD, view.halfHours().stream().map(FiguresController::row).toList());
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_TYPE, "text/csv; charset=utf-8")
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"queue.csv\"")
        .body(csv.getBytes(StandardCharsets.UTF_8));
  }

  private static List<@Nullable Object> row(HalfHour each) {
    return Arrays.asList(
        "%02d:%02d".formatted(each.slot() / 2, each.slot() % 2 * 30),
        each.inTime(),
        each.later(),
        each.givenUp(),
        each.elsewhere());
  }
}
