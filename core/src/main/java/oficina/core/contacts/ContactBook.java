package oficina.core.contacts;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.TreeSet;
import java.util.function.Consumer;
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
  private static final int GRAM = Query.SHORTEST_PART;

  private final Region region;
  private final Map<ContactId, Listed> byId = new HashMap<>();
  private final Map<PhoneNumber, List<Listed>> byNumber = new HashMap<>();
  private final Map<String, List<Listed>> byUid = new HashMap<>();
  private final TreeSet<Listed> byName = new TreeSet<>(Listed.BY_NAME);
  private final Postings words = new Postings();
  private final Postings initials = new Postings();
  private final Postings keys = new Postings();
  private final Postings parts = new Postings();
  private final BitSet taken = new BitSet(SLOTS);

  /**
   * @param region how numbers are written here, which is how they are looked for
   */
  public ContactBook(Region region) {
    this.region = region;
  }

  public int size() {
    return byId.size();
  }

  public @Nullable Contact get(ContactId id, PersonId viewer) {
    Listed listed = byId.get(id);
    return listed == null || !listed.contact().visibleTo(viewer) ? null : listed.contact();
  }

  /** Adds a contact, or puts it in the place of what was known of it. */
  public void put(Contact contact) {
    remove(contact.id());
    int slot = taken.nextClearBit(0);
    taken.set(slot);
    Listed listed = Listed.of(slot, contact, region);
    byId.put(contact.id(), listed);
    byName.add(listed);
    each(listed, words, Postings::add, initials, keys, parts);
    numbers(contact).forEach(number -> add(byNumber, number, listed));
    add(byUid, contact.uid(), listed);
  }

  /** Takes a contact away; one that is not there is no error. */
  public void remove(ContactId id) {
    Listed listed = byId.remove(id);
    if (listed != null) {
      byName.remove(listed);
      each(listed, words, Postings::remove, initials, keys, parts);
      numbers(listed.contact()).forEach(number -> take(byNumber, number, listed));
      take(byUid, listed.contact().uid(), listed);
      taken.clear(listed.slot());
    }
  }

  private interface Change {
    void apply(Postings postings, String word, Listed listed);
  }

  private static void each(
      Listed listed,
      Postings words,
      Change change,
      Postings initials,
      Postings keys,
      Postings parts) {
    for (String word : listed.name()) {
      change.apply(words, word, listed);
    }
    for (String word : listed.other()) {
      change.apply(words, word, listed);
    }
    if (!listed.initials().isEmpty()) {
      change.apply(initials, listed.initials(), listed);
    }
    for (String word : listed.keys()) {
      if (!word.isEmpty()) {
        change.apply(keys, word, listed);
      }
    }
    grams(listed).forEach(gram -> change.apply(parts, gram, listed));
  }

  /** The parts of its numbers by which they are looked up, each once. */
  private static TreeSet<String> grams(Listed listed) {
    TreeSet<String> grams = new TreeSet<>();
    for (String digits : listed.digits()) {
      for (int from = 0; from + GRAM <= digits.length(); from++) {
        grams.add(digits.substring(from, from + GRAM));
      }
    }
    return grams;
  }

  private static List<PhoneNumber> numbers(Contact contact) {
    return contact.card().numbers().stream().map(ContactNumber::number).distinct().toList();
  }

  private static <K> void add(Map<K, List<Listed>> index, K key, Listed listed) {
    index.computeIfAbsent(key, k -> new ArrayList<>(1)).add(listed);
  }

  private static <K> void take(Map<K, List<Listed>> index, K key, Listed listed) {
    index.computeIfPresent(
        key,
        (k, all) -> {
          all.remove(listed);
          return all.isEmpty() ? null : all;
        });
  }

  /**
   * Whoever has this number, by name; empty for an unknown one. Several when they share it, as
   * those behind one number of a company do.
   */
  public List<Contact> at(PhoneNumber number, @Nullable PersonId viewer) {
    return visible(byNumber.getOrDefault(number, List.of()), viewer);
  }

  /** Contacts of this name in files. */
  public List<Contact> byUid(String uid, PersonId viewer) {
    return visible(byUid.getOrDefault(uid, List.of()), viewer);
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
    Listed first = new Listed(0, edge(), none(), none(), joined, "", none(), none());
    List<Contact> found = new ArrayList<>();
    for (Listed each : byName.tailSet(first)) {
      if (!each.joined().equals(joined)) {
        break;
      }
      if (each.contact().visibleTo(viewer)) {
        found.add(each.contact());
      }
    }
    return found;
  }

  private static String[] none() {
    return new String[0];
  }

  private static Contact edge() {
    Contact.Card blank =
        new Contact.Card("", "", List.of(), List.of(), List.of(), List.of(), "", "");
    return new Contact(new ContactId(Long.MIN_VALUE), null, "", blank, false);
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
    return best(typed, contact -> contact.visibleTo(viewer), limit).stream()
        .map(hit -> new Found(hit.listed().contact(), hit.rank()))
        .toList();
  }

  /**
   * The same among some of them.
   *
   * @param wanted which of them
   */
  public List<Contact> find(String typed, PersonId viewer, Predicate<Contact> wanted, int limit) {
    return best(typed, contact -> contact.visibleTo(viewer) && wanted.test(contact), limit).stream()
        .map(hit -> hit.listed().contact())
        .toList();
  }

  private List<Hit> best(String typed, Predicate<Contact> wanted, int limit) {
    Query query = Query.of(typed);
    if (query.isEmpty()) {
      return List.of();
    }
    Best best = new Best(query, wanted, limit);
    candidates(query, best);
    return best.inOrder();
  }

  /** Each place where somebody who fits must be found; the word that fewest have decides. */
  private void candidates(Query query, Consumer<Listed> to) {
    String rarest = Collections.min(query.words(), Comparator.comparingInt(words::count));
    words.beginning(rarest).forEach(each -> each.forEach(to));
    if (query.isInitials()) {
      initials.beginning(query.initials()).forEach(each -> each.forEach(to));
    }
    if (query.isSpelled()) {
      keys.beginning(query.digits()).forEach(each -> each.forEach(to));
    }
    if (query.isPart()) {
      List<String> grams = new ArrayList<>();
      for (int from = 0; from + GRAM <= query.digits().length(); from++) {
        grams.add(query.digits().substring(from, from + GRAM));
      }
      String gram = Collections.min(grams, Comparator.comparingInt(parts::count));
      parts.beginning(gram).forEach(each -> each.forEach(to));
    }
  }

  /** The best of those that were looked at, each looked at once. */
  private final class Best implements Consumer<Listed> {
    private final Query query;
    private final Predicate<Contact> wanted;
    private final int limit;
    private final BitSet seen = new BitSet(taken.length());
    private final PriorityQueue<Hit> worstFirst = new PriorityQueue<>(Comparator.reverseOrder());

    Best(Query query, Predicate<Contact> wanted, int limit) {
      this.query = query;
      this.wanted = wanted;
      this.limit = limit;
    }

    @Override
    public void accept(Listed listed) {
      if (seen.get(listed.slot()) || !wanted.test(listed.contact())) {
        return;
      }
      seen.set(listed.slot());
      int rank = query.rank(listed);
      if (rank == Query.NO_MATCH) {
        return;
      }
      Hit hit = new Hit(rank, listed);
      if (worstFirst.size() < limit) {
        worstFirst.add(hit);
      } else if (hit.compareTo(worstFirst.peek()) < 0) {
        worstFirst.poll();
        worstFirst.add(hit);
      }
    }

    List<Hit> inOrder() {
      return worstFirst.stream().sorted().toList();
    }
  }

  private record Hit(int rank, Listed listed) implements Comparable<Hit> {
    @Override
    public int compareTo(Hit other) {
      return rank != other.rank
          ? Integer.compare(rank, other.rank)
          : Listed.BY_NAME.compare(listed, other.listed);
    }
  }

  /**
   * Contacts in the order of a card index.
   *
   * @param from only those whose name begins so or comes later; empty for all
   * @param after only those behind this one; null for all
   * @param wanted which of them
   */
  public List<Contact> page(
      PersonId viewer,
      String from,
      @Nullable ContactId after,
      Predicate<Contact> wanted,
      int limit) {
    Listed start = after == null ? null : byId.get(after);
    Collection<Listed> rest = start == null ? byName : byName.tailSet(start, false);
    if (start == null && !from.isEmpty()) {
      String joined = String.join(" ", Words.of(from));
      rest = byName.tailSet(new Listed(0, edge(), none(), none(), joined, "", none(), none()));
    }
    return rest.stream()
        .map(Listed::contact)
        .filter(contact -> contact.visibleTo(viewer) && wanted.test(contact))
        .limit(limit)
        .toList();
  }
}
