package oficina.core.contacts;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.Predicate;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.people.PersonId;
import oficina.core.people.Words;
import org.jspecify.annotations.Nullable;

/**
 * All contacts, in memory, by whatever they are found by. Whoever asks says for whom: what is
 * another person's own is not there for them.
 *
 * <p>Many may read at once while nobody writes; whoever uses it from several threads sees to that.
 */
public final class ContactBook {
  private static final int SLOTS = 1 << 10;

  /** Fewer are sorted in no time. */
  private static final int MANY = 2_000;

  private final Region region;
  private final int many;
  private final Map<ContactId, Listed> byId = new HashMap<>();
  private final Grouped<PhoneNumber> byNumber = new Grouped<>();
  private final Grouped<String> byUid = new Grouped<>();
  private final TreeSet<Listed> byName = new TreeSet<>(Listed.BY_NAME);
  private final ContactIndex index = new ContactIndex();
  private final BitSet taken = new BitSet(SLOTS);

  /**
   * @param region how numbers are written here, which is how they are looked for
   */
  public ContactBook(Region region) {
    this(region, MANY);
  }

  /**
   * @param many more than so many candidates are looked through in the order of their names
   */
  ContactBook(Region region, int many) {
    this.region = region;
    this.many = many;
  }

  public int size() {
    return byId.size();
  }

  /** Whether it is known at all, whoever's it is. */
  public boolean has(ContactId id) {
    return byId.containsKey(id);
  }

  /** How many are this person's own. */
  public int count(PersonId owner) {
    return (int)
        byId.values().stream().filter(each -> owner.equals(each.contact().owner())).count();
  }

  public @Nullable Contact get(ContactId id, PersonId viewer) {
    Listed listed = byId.get(id);
    return listed == null || !listed.contact().visibleTo(viewer) ? null : listed.contact();
  }

  /**
   * The contacts that came last, the newest first.
   *
   * @param viewer null for those of the whole office alone
   */
  public List<Contact> newest(@Nullable PersonId viewer, int limit) {
    return byId.values().stream()
        .map(Listed::contact)
        .filter(contact -> contact.visibleTo(viewer))
        .sorted(Comparator.comparingLong((Contact contact) -> contact.id().value()).reversed())
        .limit(limit)
        .toList();
  }

  /** Adds a contact, or puts it in the place of what was known of it. */
  public void put(Contact contact) {
    remove(contact.id());
    int slot = taken.nextClearBit(0);
    taken.set(slot);
    Listed listed = Listed.of(slot, contact, region);
    byId.put(contact.id(), listed);
    byName.add(listed);
    index.add(listed);
    numbers(contact).forEach(number -> byNumber.add(number, listed));
    byUid.add(contact.uid(), listed);
  }

  /** Takes a contact away; one that is not there is no error. */
  public void remove(ContactId id) {
    Listed listed = byId.remove(id);
    if (listed != null) {
      byName.remove(listed);
      index.remove(listed);
      numbers(listed.contact()).forEach(number -> byNumber.remove(number, listed));
      byUid.remove(listed.contact().uid(), listed);
      taken.clear(listed.slot());
    }
  }

  /** Takes all contacts like this away. */
  public void removeAll(Predicate<Contact> wanted) {
    byId.values().stream()
        .map(Listed::contact)
        .filter(wanted)
        .map(Contact::id)
        .toList()
        .forEach(this::remove);
  }

  private static List<PhoneNumber> numbers(Contact contact) {
    return contact.card().numbers().stream().map(ContactNumber::number).distinct().toList();
  }

  /**
   * Whoever has this number, by name; empty for an unknown one. Several when they share it, as
   * those behind one number of a company do.
   */
  public List<Contact> at(PhoneNumber number, @Nullable PersonId viewer) {
    return visible(byNumber.of(number), viewer);
  }

  /**
   * Whether somebody may know what a colleague had to do with this number. Whoever is a contact of
   * the colleague's own, and not of the office, is their own business.
   */
  public boolean mayKnowOf(PhoneNumber number, PersonId colleague, PersonId viewer) {
    List<Contact> theirs = at(number, colleague);
    return viewer.equals(colleague)
        || theirs.isEmpty()
        || theirs.stream().anyMatch(contact -> contact.owner() == null);
  }

  /** Contacts of this name in files. */
  public List<Contact> byUid(String uid, PersonId viewer) {
    return visible(byUid.of(uid), viewer);
  }

  private static List<Contact> visible(Collection<Listed> listed, @Nullable PersonId viewer) {
    return listed.stream()
        .filter(each -> each.contact().visibleTo(viewer))
        .sorted(Listed.BY_NAME)
        .map(Listed::contact)
        .toList();
  }

  /** Contacts that are shown under exactly this name, whatever its accents. */
  public List<Contact> named(String title, PersonId viewer) {
    String joined = String.join(" ", Words.of(title));
    List<Contact> found = new ArrayList<>();
    for (Listed each : byName.tailSet(before(joined))) {
      if (!each.joined().equals(joined)) {
        break;
      }
      if (each.contact().visibleTo(viewer)) {
        found.add(each.contact());
      }
    }
    return found;
  }

  /** What stands before everybody whose name begins so. */
  private static Listed before(String joined) {
    Contact.Card blank =
        new Contact.Card("", "", List.of(), List.of(), List.of(), List.of(), "", "");
    Contact nobody = new Contact(new ContactId(Long.MIN_VALUE), null, "", blank, false);
    String[] none = {};
    return new Listed(0, nobody, none, none, joined, "", none, none);
  }

  /**
   * Contacts that fit what was typed, best first, those that fit equally by name.
   *
   * @param typed a blank one finds nobody
   * @param limit at most this many
   */
  public List<Contact> find(String typed, PersonId viewer, int limit) {
    return find(typed, viewer, contact -> true, limit);
  }

  /**
   * A contact that was found.
   *
   * @param rank how well it fits what was typed, smaller being better, by the same measure as
   *     {@link oficina.core.people.PeopleFinder.Found}
   */
  public record Found(Contact contact, int rank) {}

  /** The best, with how well each fits. */
  public List<Found> ranked(String typed, PersonId viewer, int limit) {
    return best(typed, contact -> contact.visibleTo(viewer), limit);
  }

  /** Whether what was typed is a part of this number, as it is written here or abroad. */
  public boolean isIn(PhoneNumber number, String typed) {
    Query query = Query.of(typed);
    return query.isPart()
        && Listed.written(number, region).anyMatch(each -> each.contains(query.digits()));
  }

  /** Of those with one of these numbers whoever fits, by name, with how well each does. */
  public List<Found> ranked(String typed, PersonId viewer, Collection<PhoneNumber> numbers) {
    Query query = Query.of(typed);
    return query.isEmpty()
        ? List.of()
        : numbers.stream()
            .flatMap(number -> byNumber.of(number).stream())
            .distinct()
            .filter(listed -> listed.contact().visibleTo(viewer))
            .sorted(Listed.BY_NAME)
            .flatMap(
                listed ->
                    query.best(listed).stream().map(fit -> new Found(listed.contact(), fit.rank())))
            .toList();
  }

  /**
   * The same among some of them.
   *
   * @param wanted which of them
   */
  public List<Contact> find(String typed, PersonId viewer, Predicate<Contact> wanted, int limit) {
    return best(typed, contact -> contact.visibleTo(viewer) && wanted.test(contact), limit).stream()
        .map(Found::contact)
        .toList();
  }

  private List<Found> best(String typed, Predicate<Contact> wanted, int limit) {
    Query query = Query.of(typed);
    if (query.isEmpty()) {
      return List.of();
    }
    Best best = new Best(query, wanted, limit);
    for (Query.Fit fit : Query.Fit.values()) {
      if (best.isFull()) {
        break;
      }
      best.add(fit, index.candidates(query, fit));
    }
    return best.found;
  }

  /** The best of those that were looked at, each once, in the order of how they fit. */
  private final class Best {
    private final Query query;
    private final Predicate<Contact> wanted;
    private final int limit;
    private final BitSet seen = new BitSet(taken.length());
    private final List<Found> found = new ArrayList<>();

    Best(Query query, Predicate<Contact> wanted, int limit) {
      this.query = query;
      this.wanted = wanted;
      this.limit = limit;
    }

    boolean isFull() {
      return found.size() >= limit;
    }

    void add(Query.Fit fit, Collection<List<Listed>> candidates) {
      if (fit == Query.Fit.NAME) {
        inOrder(fit, byName.tailSet(before(query.joined())), listed -> fits(listed, fit));
        return;
      }
      int count = 0;
      for (List<Listed> each : candidates) {
        count += each.size();
      }
      if (count > many) {
        // So many fit that the first few of all by name are found sooner than those are sorted.
        inOrder(fit, byName, listed -> true);
      } else if (count > 0) {
        List<Listed> fitting = new ArrayList<>();
        for (List<Listed> each : candidates) {
          each.stream().filter(listed -> fits(listed, fit)).forEach(fitting::add);
        }
        fitting.sort(Listed.BY_NAME);
        inOrder(fit, fitting, listed -> true);
      }
    }

    private boolean fits(Listed listed, Query.Fit fit) {
      return query.fits(listed, fit);
    }

    /**
     * Takes those that fit, as long as there is room.
     *
     * @param more whether there can be others behind this one
     */
    private void inOrder(Query.Fit fit, Collection<Listed> byName, Predicate<Listed> more) {
      for (Listed listed : byName) {
        if (isFull() || !more.test(listed)) {
          return;
        }
        if (!seen.get(listed.slot()) && fits(listed, fit) && wanted.test(listed.contact())) {
          seen.set(listed.slot());
          found.add(new Found(listed.contact(), fit.rank()));
        }
      }
    }
  }

  /**
   * Contacts in the order of a card index.
   *
   * @param from only those whose name begins so or comes later; empty for all
   * @param after only those behind this one; null, or one that is not there, for all
   * @param wanted which of them
   */
  public List<Contact> page(
      PersonId viewer,
      String from,
      @Nullable ContactId after,
      Predicate<Contact> wanted,
      int limit) {
    // Where somebody else's own stands among the names is not to be found out either.
    Listed start = after == null || get(after, viewer) == null ? null : byId.get(after);
    Collection<Listed> rest = start == null ? byName : byName.tailSet(start, false);
    if (start == null && !from.isEmpty()) {
      String joined = String.join(" ", Words.of(from));
      rest = byName.tailSet(before(joined));
    }
    return rest.stream()
        .map(Listed::contact)
        .filter(contact -> contact.visibleTo(viewer) && wanted.test(contact))
        .limit(limit)
        .toList();
  }
}
