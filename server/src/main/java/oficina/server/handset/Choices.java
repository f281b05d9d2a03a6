package oficina.server.handset;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.people.PersonId;
import oficina.server.problems.Problem;
import oficina.server.push.Pushes;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Which devices people have chosen to use. */
@Component
class Choices {
  private final ChoiceStore store;
  private final Pushes pushes;
  private final Map<PersonId, Choice> choices;

  Choices(ChoiceStore store, Pushes pushes) {
    this.store = store;
    this.pushes = pushes;
    choices = new ConcurrentHashMap<>(store.all());
  }

  Choice of(PersonId person) {
    return choices.getOrDefault(person, Choice.USUAL);
  }

  void choose(PersonId person, Choice choice) {
    if (choice.windowAfter() == null && choice.phoneAfter() == null) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NOTHING_WOULD_RING");
    }
    store.keep(person, choice);
    choices.put(person, choice);
    pushes.devicesChanged(person);
  }
}
