package oficina.server.lines;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.commands.OfficeCommand;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.MemberEvent;
import oficina.core.people.GroupId;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.state.ExchangeState;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Turn;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Who rests, for whoever asks beside the exchange. */
@Component
class MemberStates implements ExchangeListener {
  private record Rest(PersonId person, GroupId line) {}

  private final Set<Rest> rests = ConcurrentHashMap.newKeySet();
  private final Noting noting = new Noting();
  private final OfficeData office;
  private final OfficeStore store;
  private final ExchangeLoop loop;

  MemberStates(OfficeData office, OfficeStore store, ExchangeLoop loop) {
    this.office = office;
    this.store = store;
    this.loop = loop;
    loop.listen(this);
  }

  /** Whether this person is rung for the line. */
  boolean takesPart(PersonId person, GroupId line) {
    return !rests.contains(new Rest(person, line));
  }

  @Override
  public Turn turn() {
    return Turn.NOTES;
  }

  @Override
  public void applied(ExchangeEvent event) {
    event.accept(noting);
  }

  @Override
  public void takenUp(ExchangeState state) {
    for (Person person : office.directory().people()) {
      state.queues().member(person.id()).rests().keySet().stream()
          .map(line -> new Rest(person.id(), line))
          .forEach(rests::add);
    }
    Map<PersonId, List<GroupId>> former = store.takeFormerRests();
    former.forEach(
        (person, lines) ->
            lines.forEach(
                line -> loop.run(new OfficeCommand.TakePart(person, line, true, "", person))));
  }

  private final class Noting implements FewEvents<@Nullable Void> {
    @Override
    public @Nullable Void otherwise(ExchangeEvent event) {
      return null;
    }

    @Override
    public @Nullable Void of(MemberEvent.Rested e) {
      rests.add(new Rest(e.person(), e.line()));
      return null;
    }

    @Override
    public @Nullable Void of(MemberEvent.TookPart e) {
      rests.remove(new Rest(e.person(), e.line()));
      return null;
    }
  }
}
