package oficina.server.queues;

import java.time.Duration;
import java.util.List;
import java.util.Objects;
import oficina.core.decision.Permissions;
import oficina.core.people.Group;
import oficina.core.people.PersonId;
import oficina.core.queueing.Member;
import oficina.core.queueing.Queue;
import oficina.core.seen.QueueUse;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What each sees of queues, with callers named as they are for that person. */
@Component
class QueueViews {
  private final OfficeData office;
  private final QueueBoard board;
  private final MemberStates members;
  private final Parties parties;
  private final Reasons reasons;

  QueueViews(
      OfficeData office,
      QueueBoard board,
      MemberStates members,
      Parties parties,
      Reasons reasons,
      Topics topics) {
    this.office = office;
    this.board = board;
    this.members = members;
    this.parties = parties;
    this.reasons = reasons;
    topics.show(Topic.QUEUES, this::own);
  }

  /** The lines that somebody is a member of or leads. */
  Queues own(Employee me) {
    return of(me, board.lines().stream().filter(group -> concerns(group, me.id())).toList());
  }

  /** Those of the whole office; for administrators. */
  Queues all(Employee me) {
    return of(me, board.lines());
  }

  private Queues of(Employee me, List<Group> lines) {
    return new Queues(
        lines.stream().map(group -> view(group, me.id())).toList(),
        me.isAdministrator() ? board.lines().size() : 0,
        reasons.all(),
        finishing(me.id()));
  }

  private boolean concerns(Group group, PersonId person) {
    return group.members().contains(person)
        || Permissions.mayLead(office.now(), group.id(), person);
  }

  private Queues.@Nullable Finishing finishing(PersonId person) {
    Member.Finishing now = members.member(person).finishing();
    return now == null
        ? null
        : new Queues.Finishing(
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
}
