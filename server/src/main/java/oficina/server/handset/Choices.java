package oficina.server.handset;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import oficina.server.problems.Problem;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Which devices people have chosen to use. Their telephones outside are a part of the office. */
@Component
class Choices {
  private final ChoiceStore store;
  private final OfficeData office;
  private final Topics topics;
  private final Map<PersonId, Choice> choices;

  Choices(ChoiceStore store, OfficeData office, Topics topics) {
    this.store = store;
    this.office = office;
    this.topics = topics;
    choices = new ConcurrentHashMap<>(store.all());
  }

  Choice of(PersonId person) {
    PhoneNumber outside = office.person(person).outsidePhone();
    return choices
        .getOrDefault(person, Choice.USUAL)
        .showing(outside == null ? null : office.region().show(outside));
  }

  void choose(PersonId person, Choice choice) {
    if (choice.windowAfter() == null && choice.phoneAfter() == null) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NOTHING_WOULD_RING");
    }
    PhoneNumber outside = number(choice.outside());
    if (choice.places() == Choice.Places.OUTSIDE && outside == null) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_OUTSIDE_PHONE");
    }
    if (office.settings().barring().bars(person, outside)) {
      throw new Problem(HttpStatus.CONFLICT, "NUMBER_BARRED");
    }
    office.change(
        () -> {
          store.keep(person, choice, outside);
          choices.put(person, choice);
        });
    topics.tell(person, Topic.DEVICES);
  }

  private @Nullable PhoneNumber number(@Nullable String typed) {
    if (typed == null || typed.isBlank()) {
      return null;
    }
    PhoneNumber number = office.plan().outsideNumber(typed);
    if (number == null) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NOT_AN_OUTSIDE_NUMBER");
    }
    return number;
  }
}
