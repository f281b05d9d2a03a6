package oficina.core.finding;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import oficina.core.call.Party;
import oficina.core.contacts.Contact;
import oficina.core.contacts.ContactBook;
import oficina.core.contacts.ContactId;
import oficina.core.contacts.ContactNumber;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PeopleFinder;
import oficina.core.people.Person;
import oficina.core.people.PersonId;

/** Finds colleagues and contacts together, in the order in which people expect them. */
public final class Finder {
  // How well somebody fits, as PeopleFinder and ContactBook measure it.
  private static final int WHOLE = 0;
  private static final int BEGINNING_OF_EXTENSION = 1;
  private static final int INITIALS = 5;
  private static final int MIDDLE_OF_NAME = 7;

  private final PeopleFinder people;
  private final ContactBook contacts;

  /**
   * @param people the colleagues
   * @param contacts read only; whoever asks from several threads sees to it that nobody writes
   */
  public Finder(PeopleFinder people, ContactBook contacts) {
    this.people = people;
    this.contacts = contacts;
  }

  /** In which part of the list somebody stands. */
  private enum Part {
    /** Has exactly the number that was typed. */
    NUMBER,
    COLLEAGUE,
    FAMILIAR_CONTACT,
    /** A colleague whose team was typed, or whose name was spelled on the keys. */
    COLLEAGUE_OTHERWISE,
    CONTACT,
    /** A colleague with the letters somewhere in the name. */
    COLLEAGUE_PERHAPS,
    CONTACT_OTHERWISE
  }

  private record Found(Part part, double familiar, int rank, Match match) {
    /** Extensions are expected in their own order. */
    double before() {
      return rank == BEGINNING_OF_EXTENSION ? 0 : -familiar;
    }
  }

  private static final Comparator<Found> IN_ORDER =
      Comparator.comparing(Found::part)
          .thenComparingDouble(Found::before)
          .thenComparingInt(Found::rank);

  /**
   * Whoever fits what was typed, best first.
   *
   * @param typed a blank one finds nobody
   * @param viewer who looks for somebody, and sees no contact that is another's own
   * @param familiar of the viewer
   * @param limit at most this many
   */
  public List<Match> find(String typed, PersonId viewer, Familiarity familiar, int limit) {
    List<Found> found = new ArrayList<>();
    // All of them: whom one speaks with most may be far behind by name.
    people.ranked(typed, Integer.MAX_VALUE).forEach(each -> found.add(colleague(each, familiar)));
    Set<ContactId> seen = new HashSet<>();
    contacts
        .ranked(typed, viewer, numbers(familiar))
        .forEach(
            each -> {
              seen.add(each.contact().id());
              found.add(contact(each, familiar));
            });
    contacts.ranked(typed, viewer, limit).stream()
        .filter(each -> seen.add(each.contact().id()))
        .forEach(each -> found.add(contact(each, familiar)));
    return found.stream()
        .sorted(IN_ORDER)
        .limit(limit)
        .map(each -> meantFirst(each.match(), typed, familiar))
        .toList();
  }

  private static Found colleague(PeopleFinder.Found each, Familiarity familiar) {
    Person person = each.person();
    double known = familiar.with(new Party.Employee(person.id()));
    return new Found(partOfColleague(each.rank()), known, each.rank(), Match.of(person));
  }

  private static Part partOfColleague(int rank) {
    if (rank == WHOLE) {
      return Part.NUMBER;
    }
    if (rank <= INITIALS) {
      return Part.COLLEAGUE;
    }
    return rank == MIDDLE_OF_NAME ? Part.COLLEAGUE_PERHAPS : Part.COLLEAGUE_OTHERWISE;
  }

  private static Found contact(ContactBook.Found each, Familiarity familiar) {
    List<ContactNumber> numbers = each.contact().card().numbers();
    double known = numbers.stream().mapToDouble(number -> with(number, familiar)).max().orElse(0);
    Part part = partOfContact(each.rank(), known > 0);
    return new Found(part, known, each.rank(), new Match(null, each.contact(), numbers));
  }

  /** Only for those that are shown: writing numbers as they are shown takes time. */
  private Match meantFirst(Match match, String typed, Familiarity familiar) {
    Contact contact = match.contact();
    return contact == null ? match : new Match(null, contact, meantFirst(contact, typed, familiar));
  }

  /** The number that was typed, then the one over which one speaks most, then as on the card. */
  private List<ContactNumber> meantFirst(Contact contact, String typed, Familiarity familiar) {
    return contact.card().numbers().stream()
        .sorted(
            Comparator.comparing((ContactNumber each) -> !contacts.isIn(each.number(), typed))
                .thenComparingDouble(each -> -with(each, familiar)))
        .toList();
  }

  private static double with(ContactNumber number, Familiarity familiar) {
    return familiar.with(new Party.Outside(number.number()));
  }

  private static Part partOfContact(int rank, boolean familiar) {
    if (rank == WHOLE) {
      return Part.NUMBER;
    }
    if (familiar) {
      return Part.FAMILIAR_CONTACT;
    }
    return rank <= INITIALS ? Part.CONTACT : Part.CONTACT_OTHERWISE;
  }

  private static List<PhoneNumber> numbers(Familiarity familiar) {
    return familiar.parties().stream().map(Party::outsideNumber).filter(Objects::nonNull).toList();
  }
}
