package oficina.server.queues;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Permissions;
import oficina.core.people.Group;
import oficina.core.people.PersonId;
import oficina.core.queueing.Member;
import oficina.core.queueing.Queue;
import oficina.core.seen.QueueUse;
import oficina.server.calls.Commands;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** How it stands at the lines that keep callers, and how the reader stands as a member. */
@RestController
@RequestMapping("/api/queues")
class QueueController {
  private final OfficeData office;
  private final QueueBoard board;
  private final MemberStates members;
  private final Parties parties;
  private final Commands commands;
  private final Reasons reasons;

  QueueController(
      OfficeData office,
      QueueBoard board,
      MemberStates members,
      Parties parties,
      Commands commands,
      Reasons reasons) {
    this.office = office;
    this.board = board;
    this.members = members;
    this.parties = parties;
    this.commands = commands;
    this.reasons = reasons;
  }

  /**
   * What the reader sees of queues.
   *
   * @param all how many lines keep callers that the reader may see on request
   * @param reasons why one rests, to choose from
   * @param finishing what the reader still writes down; absent when nothing
   */
  record Queues(
      List<QueueView> queues,
      int all,
      List<String> reasons,
      @Schema(nullable = true) @Nullable Finishing finishing) {}

  /** That the reader writes down what a call was about. */
  record Finishing(String line, String call, Instant since, Instant until) {}

  /**
   * The reader's own lines, or all of them.
   *
   * @param all of the whole office; for administrators
   */
  @GetMapping
  Queues queues(
      @AuthenticationPrincipal Employee me, @RequestParam(defaultValue = "false") boolean all) {
    if (all && !me.isAdministrator()) {
      throw new Problem(HttpStatus.FORBIDDEN, "NOT_ADMINISTRATOR");
    }
    List<QueueView> views =
        board.lines().stream()
            .filter(group -> all || concerns(group, me.id()))
            .map(group -> view(group, me.id()))
            .toList();
    return new Queues(
        views, me.isAdministrator() ? board.lines().size() : 0, reasons.all(), finishing(me.id()));
  }

  private boolean concerns(Group group, PersonId person) {
    return group.members().contains(person)
        || Permissions.mayLead(office.now(), group.id(), person);
  }

  private @Nullable Finishing finishing(PersonId person) {
    Member.Finishing now = members.member(person).finishing();
    return now == null
        ? null
        : new Finishing(
            office.directory().group(now.line()).map(Group::name).orElse(""),
            now.call().value(),
            now.since(),
            now.until());
  }

  private QueueView view(Group group, PersonId viewer) {
    QueueUse now = board.now(group);
    Queue queue = Objects.requireNonNullElse(board.queue(group), Queue.DEFAULT);
    Duration expected = board.expectedWait(group.id(), now.waiting().size() + 1);
    return new QueueView(
        group.id().value(),
        group.name(),
        group.extension(),
        group.members().contains(viewer),
        queue.leads().contains(viewer),
        queue.target().within().toSeconds(),
        queue.target().percent(),
        now.free(),
        now.longestSince(),
        expected == null ? null : expected.toSeconds(),
        now.waiting().stream().map(each -> waiter(each, viewer)).toList(),
        now.members().stream().map(this::member).toList());
  }

  private QueueView.Waiter waiter(QueueUse.Waiting each, PersonId viewer) {
    return new QueueView.Waiter(
        each.call().value(),
        parties.view(each.caller(), viewer),
        each.place().since(),
        each.place().priority(),
        each.place().why(),
        each.rings(),
        each.place().kept() != null);
  }

  private QueueView.MemberView member(QueueUse.Standing each) {
    return new QueueView.MemberView(
        each.person().value(),
        office.now().nameOf(each.person()),
        each.state(),
        each.since(),
        each.until(),
        each.reason(),
        each.byExchange());
  }

  /**
   * @param seconds how much longer; absent when one is done
   */
  record FinishingLonger(@Schema(nullable = true) @Min(1) @Max(1800) @Nullable Integer seconds) {}

  /** Be done with writing down what a call was about, or take longer. */
  @PostMapping("/finishing")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void finish(@AuthenticationPrincipal Employee me, @Valid @RequestBody FinishingLonger more) {
    Duration longer = more.seconds() == null ? null : Duration.ofSeconds(more.seconds());
    commands.carryOut(new OfficeCommand.Finish(me.id(), longer));
  }
}
