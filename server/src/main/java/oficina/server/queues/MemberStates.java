package oficina.server.queues;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.commands.OfficeCommand;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.MemberEvent;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Member;
import oficina.core.state.ExchangeState;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Turn;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import org.springframework.stereotype.Component;

/** How people stand as members of lines, for whoever asks beside the exchange. */
@Component
public class MemberStates implements ExchangeListener {
  private final Map<PersonId, Member> members = new ConcurrentHashMap<>();
  private final OfficeData office;
  private final OfficeStore store;
  private final ExchangeLoop loop;

  MemberStates(OfficeData office, OfficeStore store, ExchangeLoop loop) {
    this.office = office;
    this.store = store;
    this.loop = loop;
    loop.listen(this);
  }

  /** How this person stands: who rests, and what they still write down. */
  public Member member(PersonId person) {
    return members.getOrDefault(person, Member.NEW);
  }

  @Override
  public Turn turn() {
    return Turn.NOTES;
  }

  @Override
  public void applied(ExchangeEvent event) {
    if (event instanceof MemberEvent of) {
      note(of.person(), loop.state());
    }
  }

  @Override
  public void takenUp(ExchangeState state) {
    office.directory().people().forEach(person -> note(person.id(), state));
    Map<PersonId, List<GroupId>> former = store.takeFormerRests();
    former.forEach(
        (person, lines) ->
            lines.forEach(
                line -> loop.run(new OfficeCommand.TakePart(person, line, true, "", person))));
  }

  private void note(PersonId person, ExchangeState state) {
    members.put(person, state.queues().member(person));
  }
}
