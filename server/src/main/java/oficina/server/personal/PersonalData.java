package oficina.server.personal;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;
import oficina.core.contacts.Contact;
import oficina.core.people.PersonId;
import oficina.server.contacts.Contacts;
import oficina.server.office.OfficeData;
import oficina.server.problems.Problem;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Counts, reads and erases everything of somebody, whoever they are. */
@Component
class PersonalData {
  private final OutsiderStore outsiders;
  private final FormerStore former;
  private final OfficeData office;
  private final Contacts contacts;
  private final Topics topics;

  PersonalData(
      OutsiderStore outsiders,
      FormerStore former,
      OfficeData office,
      Contacts contacts,
      Topics topics) {
    this.outsiders = outsiders;
    this.former = former;
    this.office = office;
    this.contacts = contacts;
    this.topics = topics;
  }

  /**
   * How much there is of somebody.
   *
   * @param known by what it is called
   * @param stays what others have decided, and would not go with it
   */
  record Extent(Map<String, Long> known, Map<String, Long> stays) {}

  Extent extent(Whom whom) {
    if (whom.former() != null) {
      return new Extent(former.count(about(whom.former())), Map.of());
    }
    return new Extent(sum(whom, outsiders::count), sum(whom, outsiders::staying));
  }

  private Map<String, Object> about(PersonId person) {
    return former.about(person, office.now().nameOf(person));
  }

  /** Of all their numbers; whoever has none is found by their cards alone. */
  private Stream<Map<String, Object>> abouts(Whom whom) {
    List<String> numbers = whom.numbers().isEmpty() ? List.of("-") : whom.numbers();
    return numbers.stream().map(each -> outsiders.about(each, whom.cards()));
  }

  private Map<String, Long> sum(
      Whom whom, Function<Map<String, Object>, Map<String, Long>> counted) {
    Map<String, Long> sum = new LinkedHashMap<>();
    abouts(whom)
        .forEach(about -> counted.apply(about).forEach((name, n) -> sum.merge(name, n, Long::sum)));
    return sum;
  }

  /** Is given everything there is, part by part. */
  interface Reader {
    void read(Trace trace, Map<String, Object> about);
  }

  void read(Whom whom, Reader reader) {
    if (whom.former() != null) {
      Map<String, Object> about = about(whom.former());
      former.traces().forEach(each -> reader.read(each, about));
      return;
    }
    abouts(whom).forEach(about -> outsiders.traces().forEach(each -> reader.read(each, about)));
  }

  /**
   * Erases everything.
   *
   * @throws Problem when a call has to do with them that is up
   */
  Map<String, Long> erase(Whom whom) {
    Map<String, Long> counts = new LinkedHashMap<>();
    if (whom.former() != null) {
      PersonId person = whom.former();
      office.change(() -> count(counts, former.erase(about(person))));
      contacts.forget(each -> person.equals(each.owner()));
    } else {
      List<Map<String, Object>> abouts = abouts(whom).toList();
      if (abouts.stream().anyMatch(outsiders::isUp)) {
        throw new Problem(HttpStatus.CONFLICT, "CALL_IS_UP");
      }
      for (Map<String, Object> about : abouts) {
        count(counts, outsiders.erase(about));
        List<?> cards = (List<?>) about.get("cards");
        contacts.forget(each -> cards.contains(each.id().value()));
      }
    }
    for (Topic each :
        List.of(
            Topic.HISTORY,
            Topic.TO_RETURN,
            Topic.VOICEMAIL,
            Topic.RECORDINGS,
            Topic.FOLLOW_UPS,
            Topic.NOTES,
            Topic.SPEED_DIALS,
            Topic.CONTACTS)) {
      topics.tellAll(each);
    }
    return counts;
  }

  private static void count(Map<String, Long> counts, Map<String, Long> erased) {
    erased.forEach((name, n) -> counts.merge(name, n, Long::sum));
  }

  /** Employees who have left and still have a name, in its order. */
  List<PersonId> formerEmployees() {
    List<PersonId> all = new ArrayList<>(office.now().former().keySet());
    all.removeIf(each -> office.now().nameOf(each).isEmpty());
    all.sort((one, other) -> office.now().nameOf(one).compareTo(office.now().nameOf(other)));
    return all;
  }

  /** Whoever a contact is that this person may know of. */
  Whom contact(long id, PersonId viewer) {
    Contact.Card card = contacts.wanted(id, viewer).card();
    return new Whom(
        card.numbers().stream().map(each -> each.number().e164()).toList(),
        List.of(id),
        null,
        card.title(),
        "everything of contact " + id);
  }

  String nameOf(@Nullable PersonId person) {
    return person == null ? "" : office.now().nameOf(person);
  }
}
