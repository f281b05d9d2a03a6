package oficina.server.exchange;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Consumer;
import oficina.core.call.Party;
import oficina.core.events.ExchangeEvent;
import oficina.core.exchange.Exchange;
import oficina.core.figures.Fact;
import oficina.core.figures.Facts;
import oficina.core.history.CallRecords;
import oficina.core.history.Part;
import oficina.core.notices.Notice;
import oficina.core.notices.Notices;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.CallBack;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import oficina.server.desk.DeskFeed;
import oficina.server.desk.DeskViews;
import oficina.server.journal.Batch;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Applies events and derives everything from them: notices, records, desks. Each derivation is on
 * its own: when one fails, it is logged, the events stand and everybody else is told.
 */
record Deriving(
    Exchange exchange, CallRecords records, Facts facts, DeskViews views, DeskFeed feed) {
  private static final Logger LOG = LoggerFactory.getLogger(Deriving.class);

  /**
   * What the events of one command lead to.
   *
   * @param applied is told of each as soon as the exchange has applied it
   * @param told where they are noted for whoever is told when they are durable
   */
  Batch.Derived from(List<ExchangeEvent> events, Consumer<ExchangeEvent> applied, List<Told> told) {
    Gathered all = new Gathered();
    for (ExchangeEvent event : events) {
      told.add(all.happen(event));
      applied.accept(event);
    }
    return all.derived();
  }

  /** Shows all desks and the shelf as they are now. */
  Runnable everything() {
    List<PersonId> everybody =
        exchange.office().directory().people().stream().map(Person::id).toList();
    DeskFeed.Changes changes =
        new DeskFeed.Changes(
            views.of(everybody, person -> true, exchange, records),
            views.shelf(exchange.state()),
            List.of(),
            List.of());
    return () -> feed.publish(changes);
  }

  /** Shows anew the desks that have calls, when what calls are drawn from has changed. */
  Runnable calls() {
    ExchangeState state = exchange.state();
    // Whoever leaves a message is seen by people who have no call themselves.
    boolean anybody = !state.atMailboxes().isEmpty();
    List<PersonId> concerned =
        exchange.office().directory().people().stream()
            .map(Person::id)
            .filter(id -> anybody || concernedBy(id))
            .toList();
    DeskFeed.Changes changes =
        new DeskFeed.Changes(
            views.of(concerned, person -> true, exchange, records),
            views.shelf(state),
            List.of(),
            List.of());
    return () -> feed.publish(changes);
  }

  private boolean concernedBy(PersonId id) {
    ExchangeState state = exchange.state();
    return !state.inHand(id).isEmpty()
        || !state.sentOn(id).isEmpty()
        || !exchange.office().delegations().counterparts(id).isEmpty();
  }

  /** That a call rings, or is answered, on a line. */
  private record AtLine(Party line, int leg, boolean rings) {}

  /**
   * Does one thing on its own.
   *
   * @param about written out only when it fails: events are long, and there are many
   */
  static void guarded(String what, Object about, Runnable action) {
    try {
      action.run();
    } catch (RuntimeException e) {
      LOG.error("Could not {} {}", what, about, e);
    }
  }

  /** What is gathered of one command. */
  private final class Gathered {
    private final List<CallRecords.Entries> history = new ArrayList<>();
    private final List<Notice> notices = new ArrayList<>();
    private final List<Fact> counted = new ArrayList<>();

    /** Whose own calls may look otherwise. */
    private final Set<PersonId> concerned = new LinkedHashSet<>();

    /** Who may see otherwise what goes on beside their own calls. */
    private final Set<PersonId> beside = new LinkedHashSet<>();

    private boolean shelf;

    Told happen(ExchangeEvent event) {
      guarded(
          "derive notices from", event, () -> notices.addAll(Notices.of(event, exchange.state())));
      touchWishers();
      guarded("count", event, () -> counted.addAll(facts.follow(event, exchange.state())));
      Told told = Told.of(event, exchange.state(), () -> exchange.apply(event));
      touchWishers();
      guarded("record", event, () -> record(event));
      for (Told.Touched call : told.calls()) {
        touch(call.before());
        touch(call.after());
        touchLines(call.before(), call.after());
      }
      for (PersonId person : told.people()) {
        concerned.add(person);
        beside.addAll(exchange.office().delegations().counterparts(person));
      }
      return told;
    }

    private void record(ExchangeEvent event) {
      CallRecords.Entries entries = records.follow(event, exchange.state()::call);
      if (entries != null) {
        history.add(entries);
        entries.parts().forEach(part -> concerned.add(part.person()));
      }
    }

    private void touch(@Nullable Call call) {
      if (call != null) {
        shelf |= call.parked() != null;
        touchMailbox(call.mailbox());
        touchWaiting(call);
      }
    }

    /** Whoever was left for a word aside sees that it is over. */
    private void touchWaiting(Call call) {
      Call waits = call.heldFor() == null ? null : exchange.state().call(call.heldFor());
      if (waits != null) {
        concerned.addAll(waits.employees());
      }
    }

    /** Members of a line see who has its calls, and need not hear of what those do with them. */
    private void touchLines(@Nullable Call before, @Nullable Call after) {
      Set<AtLine> there = at(before);
      Set<AtLine> now = at(after);
      if (!there.equals(now)) {
        there.addAll(now);
        there.forEach(each -> beside.addAll(exchange.office().people(each.line())));
      }
    }

    private static Set<AtLine> at(@Nullable Call call) {
      Set<AtLine> all = new LinkedHashSet<>();
      if (call != null) {
        call.connections().stream()
            .filter(each -> each.line() != null && each.line().group() != null)
            .forEach(each -> all.add(new AtLine(each.line(), each.leg(), each.rings())));
      }
      return all;
    }

    /** Whoever may hear the message that is being left. */
    private void touchMailbox(@Nullable Connection mailbox) {
      if (mailbox != null) {
        beside.addAll(exchange.office().people(mailbox.party().mailboxOf()));
      }
    }

    /** Who waits for a colleague to become free; few at any time. */
    private void touchWishers() {
      exchange.state().callBacks().stream().map(CallBack::by).forEach(concerned::add);
    }

    Batch.Derived derived() {
      try {
        return new Batch.Derived(history, counted, shown());
      } catch (RuntimeException e) {
        LOG.error("Could not draw up what has changed", e);
        return new Batch.Derived(history, counted, () -> {});
      }
    }

    private Runnable shown() {
      List<Part> parts = history.stream().flatMap(each -> each.parts().stream()).toList();
      parts.stream().map(Notices::of).filter(Objects::nonNull).forEach(notices::add);
      Set<PersonId> all = new LinkedHashSet<>(concerned);
      all.addAll(beside);
      DeskFeed.Changes changes =
          new DeskFeed.Changes(
              views.of(all, concerned::contains, exchange, records),
              shelf ? views.shelf(exchange.state()) : null,
              notices.stream().filter(each -> Notices.holds(each, exchange.state())).toList(),
              parts);
      return () -> feed.publish(changes);
    }
  }
}
