package oficina.server.queues;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.commands.Command;
import oficina.core.commands.OfficeCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Permissions;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.server.calls.Commands;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.problems.Problem;
import oficina.server.queues.LeadLogStore.Done;
import oficina.server.queues.LeadLogStore.What;
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

/** What somebody who leads a line does there, each of it logged. Who may, the exchange knows. */
@RestController
@RequestMapping("/api/queues/{line}")
class LeadController {
  private static final int MOST_TOLD = 100;

  /** What was decided before that is found no more: some years of it. */
  private static final int MOST_SEARCHED = 10_000;

  private final Commands commands;
  private final LeadLogStore log;
  private final OfficeData office;
  private final QueueBoard board;
  private final Parties parties;
  private final MovableClock clock;

  LeadController(
      Commands commands,
      LeadLogStore log,
      OfficeData office,
      QueueBoard board,
      Parties parties,
      MovableClock clock) {
    this.commands = commands;
    this.log = log;
    this.office = office;
    this.board = board;
    this.parties = parties;
    this.clock = clock;
  }

  /**
   * @param reason why they are to rest; absent for none
   */
  record Deciding(
      boolean takesPart, @Schema(nullable = true) @Size(max = 60) @Nullable String reason) {}

  /** Have a member take part, or rest. */
  @PutMapping("/members/{person}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void member(
      @AuthenticationPrincipal Employee me,
      @PathVariable long line,
      @PathVariable long person,
      @Valid @RequestBody Deciding part) {
    GroupId at = new GroupId(line);
    PersonId whom = new PersonId(person);
    String reason = part.reason() == null ? "" : part.reason().strip();
    carryOut(
        new OfficeCommand.TakePart(whom, at, !part.takesPart(), reason, me.id()),
        new Done(
            at,
            me.id(),
            part.takesPart() ? What.TAKES_PART : What.RESTS,
            whom,
            null,
            null,
            null,
            reason));
  }

  record TakingWaiting(@NotBlank String device) {}

  /** Speak with a caller out of turn. */
  @PostMapping("/waiting/{call}/take")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(
      @AuthenticationPrincipal Employee me,
      @PathVariable long line,
      @PathVariable String call,
      @Valid @RequestBody TakingWaiting taking) {
    CallId id = new CallId(call);
    carryOut(
        new SendCommand.TakeWaiting(id, me.id(), new DeviceId(taking.device())),
        to(id, new GroupId(line), me.id(), What.TOOK, null));
  }

  record Moving(long to) {}

  /** Have a caller wait at another line. */
  @PostMapping("/waiting/{call}/move")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void move(
      @AuthenticationPrincipal Employee me,
      @PathVariable long line,
      @PathVariable String call,
      @Valid @RequestBody Moving moving) {
    CallId id = new CallId(call);
    GroupId to = new GroupId(moving.to());
    carryOut(
        new SendCommand.MoveWaiting(id, me.id(), to),
        to(id, new GroupId(line), me.id(), What.MOVED, to));
  }

  /** Something that is done to a caller, who may be gone from the line a moment later. */
  private Done to(CallId call, GroupId line, PersonId by, What what, @Nullable GroupId to) {
    PhoneNumber caller =
        office
            .directory()
            .group(line)
            .map(board::now)
            .flatMap(
                now -> now.waiting().stream().filter(each -> each.call().equals(call)).findFirst())
            .map(each -> each.caller().outsideNumber())
            .orElse(null);
    return new Done(line, by, what, null, call, caller, to, "");
  }

  /**
   * Something that was done by whoever leads the line.
   *
   * @param member to whom; absent when it was done to a caller
   * @param caller to whom; absent when it was done to a member
   * @param to the line to which a caller was moved; absent when none was
   * @param reason why a member is to rest; may be empty
   */
  record LedView(
      Instant at,
      String by,
      What what,
      @Schema(nullable = true) @Nullable String member,
      @Schema(nullable = true) @Nullable String caller,
      @Schema(nullable = true) @Nullable String to,
      String reason) {

    /** All that can be looked for in it, in small letters. */
    private String said() {
      return Stream.of(by, member, caller, to, reason)
          .filter(Objects::nonNull)
          .collect(Collectors.joining(" "))
          .toLowerCase(Locale.ROOT);
    }
  }

  /**
   * What was done last by whoever leads the line, for those who lead it and administrators.
   *
   * @param text parts of a name, a number or a reason, each of which is to be in it
   */
  @GetMapping("/log")
  List<LedView> log(
      @AuthenticationPrincipal Employee me,
      @PathVariable long line,
      @RequestParam(defaultValue = "") @Size(max = 100) String text) {
    GroupId at = new GroupId(line);
    if (!Permissions.mayLead(office.now(), at, me.id()) && !me.isAdministrator()) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_QUEUE");
    }
    List<String> words = List.of(text.strip().toLowerCase(Locale.ROOT).split("\\s+"));
    return log.last(at, text.isBlank() ? MOST_TOLD : MOST_SEARCHED).stream()
        .map(each -> view(each, me.id()))
        .filter(each -> words.stream().allMatch(each.said()::contains))
        .limit(MOST_TOLD)
        .toList();
  }

  private LedView view(LeadLogStore.Entry entry, PersonId viewer) {
    Done done = entry.done();
    boolean ofCaller = done.call() != null;
    return new LedView(
        entry.at(),
        office.now().nameOf(done.by()),
        done.what(),
        done.whom() == null ? null : office.now().nameOf(done.whom()),
        ofCaller ? parties.name(new Party.Outside(done.caller()), viewer) : null,
        done.to() == null ? null : parties.name(new Party.Members(done.to())),
        done.reason());
  }

  private void carryOut(Command command, Done done) {
    commands.carryOut(command);
    log.add(done, clock.instant());
  }
}
