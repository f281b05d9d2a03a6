package oficina.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.events.CallBackEvent;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.MachineEvent;
import oficina.core.events.QueueEvent;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.history.Part;
import oficina.core.people.PersonId;

/** What is true of the whole life of each call. */
final class Lives {
  private final Scene scene;
  private final Map<CallId, Set<Integer>> legs = new HashMap<>();
  private final Map<CallId, Set<PersonId>> took = new HashMap<>();
  private final Map<CallId, List<PersonId>> wanted = new HashMap<>();

  Lives(Scene scene) {
    this.scene = scene;
  }

  /** Rules 2 and 5 look at the whole life of a call. */
  void follow(ExchangeEvent event) {
    Set<Integer> open = legs.computeIfAbsent(new CallId(event.subject()), id -> new HashSet<>());
    Set<PersonId> parts = took.computeIfAbsent(new CallId(event.subject()), id -> new TreeSet<>());
    event.accept(new Following(open, parts));
  }

  /** What each event does to the open connections of its call, and to who had a part in it. */
  private final class Following implements FewEvents<Void> {
    private final Set<Integer> open;
    private final Set<PersonId> parts;

    Following(Set<Integer> open, Set<PersonId> parts) {
      this.open = open;
      this.parts = parts;
    }

    @Override
    public Void otherwise(ExchangeEvent event) {
      return null;
    }

    private Void begins(int leg, PersonId person) {
      open.add(leg);
      add(parts, person);
      return null;
    }

    @Override
    public Void of(ReachEvent.Originated e) {
      add(parts, e.behalf());
      return begins(e.leg(), e.caller().employee());
    }

    @Override
    public Void of(CallBackEvent.CallBackRings e) {
      return begins(e.leg(), e.caller().employee());
    }

    @Override
    public Void of(ReachEvent.NetworkReached e) {
      return begins(e.leg(), null);
    }

    @Override
    public Void of(ReachEvent.Delivered e) {
      add(parts, e.line() == null ? null : e.line().employee());
      return begins(e.leg(), e.party().employee());
    }

    @Override
    public Void of(TalkEvent.Merged e) {
      assertThat(legs.get(e.other()).remove(e.otherLeg())).as("rule 2: %s", e).isTrue();
      PersonId person = scene.party(e).employee();
      if (person != null
          && scene.entries(e.other()).stream().noneMatch(part -> part.person().equals(person))) {
        took.get(e.other()).remove(person); // the announcement is a part of the call it announced
      }
      return begins(e.leg(), person);
    }

    @Override
    public Void of(MachineEvent.MailboxAnswered e) {
      parts.addAll(e.missedBy());
      return begins(e.leg(), null);
    }

    @Override
    public Void of(MachineEvent.Welcomed e) {
      return begins(e.leg(), null);
    }

    @Override
    public Void of(QueueEvent.Queued e) {
      wanted.put(e.call(), e.wanted());
      return begins(e.leg(), null);
    }

    @Override
    public Void of(TalkEvent.Established e) {
      wanted.remove(e.call());
      return null;
    }

    @Override
    public Void of(ReachEvent.Routed e) {
      e.diversions().forEach(each -> add(parts, each.from().employee()));
      return null;
    }

    @Override
    public Void of(ReachEvent.Blocked e) {
      parts.addAll(e.from());
      return null;
    }

    @Override
    public Void of(ReachEvent.Failed e) {
      parts.addAll(e.missedBy());
      return null;
    }

    @Override
    public Void of(TalkEvent.ConnectionCleared e) {
      assertThat(open.remove(e.leg())).as("rule 2: ends once: %s", e).isTrue();
      return null;
    }

    @Override
    public Void of(TalkEvent.CallCleared e) {
      if (e.cause() != Cause.TRANSFERRED) {
        parts.addAll(wanted.getOrDefault(e.call(), List.of())); // they missed whoever gave up
      }
      assertThat(open).as("rule 2: every connection of %s", e.call() + " ended").isEmpty();
      assertThat(scene.entries(e.call()).stream().map(Part::person))
          .as("rule 5: one entry each for %s", e.call())
          .containsExactlyInAnyOrderElementsOf(parts);
      return null;
    }
  }

  private static void add(Set<PersonId> parts, PersonId person) {
    if (person != null) {
      parts.add(person);
    }
  }
}
