package oficina.core.ledger;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import oficina.core.call.Party;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Office;
import oficina.core.office.ParkSlot;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;
import oficina.core.rules.CallRules;
import org.jspecify.annotations.Nullable;

/**
 * What is different between an office and the same a moment later, part by part: people, lines,
 * slots, settings, opening hours, rules of lines, queues. Of what people have decided about their
 * own calls it is only told that rules are others now.
 */
public final class Differences {
  private final Side before;
  private final Side after;
  private final List<Deed> deeds = new ArrayList<>();

  /**
   * An office at one moment.
   *
   * @param accounts what of people only the database knows: how they sign in, and as what
   */
  public record Side(Office office, Map<PersonId, ? extends Record> accounts) {}

  private Differences(Side before, Side after) {
    this.before = before;
    this.after = after;
  }

  /** Everything that is different, as what was done. */
  public static List<Deed> between(Side before, Side after) {
    Differences found = new Differences(before, after);
    found.people();
    found.lines();
    found.slots();
    found.settings();
    found.rules();
    found.queues();
    return List.copyOf(found.deeds);
  }

  private void people() {
    for (PersonId id : both(people(before), people(after))) {
      Person was = before.office.directory().person(id).orElse(null);
      Person is = after.office.directory().person(id).orElse(null);
      Record account = before.accounts.get(id);
      if (was == null || !was.equals(is) || !Objects.equals(account, after.accounts.get(id))) {
        compare(
            was == null ? is.name() : was.name(),
            known(before, was, account),
            known(after, is, after.accounts.get(id)));
      }
    }
  }

  /** Without how somebody wants their own calls handled. */
  private static Map<String, String> known(
      Side side, @Nullable Person person, @Nullable Record account) {
    return person == null ? Map.of() : parts(side, Known.of(person), account);
  }

  private record Known(
      String name, String extension, @Nullable PhoneNumber directNumber, Person.Place place) {
    static Known of(Person person) {
      return new Known(person.name(), person.extension(), person.directNumber(), person.place());
    }
  }

  private static Set<PersonId> people(Side side) {
    return side.office.directory().people().stream().map(Person::id).collect(Collectors.toSet());
  }

  private void lines() {
    for (GroupId id : both(lines(before), lines(after))) {
      Group was = before.office.directory().group(id).orElse(null);
      Group is = after.office.directory().group(id).orElse(null);
      if (was == null || !was.equals(is)) {
        compare(was == null ? is.name() : was.name(), parts(before, was), parts(after, is));
      }
    }
  }

  private static Set<GroupId> lines(Side side) {
    return side.office.directory().groups().stream().map(Group::id).collect(Collectors.toSet());
  }

  private void slots() {
    Map<String, String> was = slots(before);
    Map<String, String> is = slots(after);
    for (String slot : both(was.keySet(), is.keySet())) {
      compare(
          "Slot " + slot,
          was.containsKey(slot) ? Map.of("label", was.get(slot)) : Map.of(),
          is.containsKey(slot) ? Map.of("label", is.get(slot)) : Map.of());
    }
  }

  private static Map<String, String> slots(Side side) {
    return side.office.settings().parking().slots().stream()
        .collect(Collectors.toMap(ParkSlot::number, ParkSlot::label));
  }

  private void settings() {
    compare("", parts(before, before.office.identity()), parts(after, after.office.identity()));
    Map<String, String> was = parts(before, before.office.settings());
    Map<String, String> is = parts(after, after.office.settings());
    was.remove("parking.slots"); // each by itself
    is.remove("parking.slots");
    compare("", was, is);
    Map<String, String> opened = parts(before, before.office.directions().opening());
    Map<String, String> opens = parts(after, after.office.directions().opening());
    opened.remove("zone"); // that of the office
    opens.remove("zone");
    compare("", opened, opens);
  }

  private void rules() {
    Map<Party, CallRules> was = before.office.directions().rules();
    Map<Party, CallRules> is = after.office.directions().rules();
    for (Party owner : both(was.keySet(), is.keySet())) {
      CallRules rulesBefore = was.getOrDefault(owner, CallRules.NONE);
      CallRules rulesAfter = is.getOrDefault(owner, CallRules.NONE);
      if (!rulesBefore.equals(rulesAfter) && owner.employee() != null) {
        // Where somebody's own calls go is nobody else's business: only that it was changed.
        deeds.add(new Deed(Kind.CHANGED, name(after, owner), "rules", "", ""));
      } else if (!rulesBefore.equals(rulesAfter)) {
        compare(name(after, owner), parts(before, rulesBefore), parts(after, rulesAfter));
      }
    }
  }

  private void queues() {
    Map<GroupId, Queue> was = before.office.directions().queues();
    Map<GroupId, Queue> is = after.office.directions().queues();
    for (GroupId line : both(was.keySet(), is.keySet())) {
      if (!String.valueOf(was.get(line)).equals(String.valueOf(is.get(line)))) {
        compare(
            text(after, line),
            parts(before, was.getOrDefault(line, Queue.DEFAULT)),
            parts(after, is.getOrDefault(line, Queue.DEFAULT)));
      }
    }
  }

  private static <K> Set<K> both(Collection<K> some, Collection<K> others) {
    Set<K> all = new LinkedHashSet<>(some);
    all.addAll(others);
    return all;
  }

  private void compare(String about, Map<String, String> was, Map<String, String> is) {
    if (was.isEmpty() != is.isEmpty()) {
      Kind kind = was.isEmpty() ? Kind.ADDED : Kind.REMOVED;
      deeds.add(new Deed(kind, about, "", together(was), together(is)));
      return;
    }
    for (String what : both(was.keySet(), is.keySet())) {
      String earlier = was.getOrDefault(what, "");
      String later = is.getOrDefault(what, "");
      if (!earlier.equals(later)) {
        deeds.add(new Deed(Kind.CHANGED, about, what, earlier, later));
      }
    }
  }

  private static String together(Map<String, String> parts) {
    return parts.entrySet().stream()
        .filter(each -> !each.getValue().isEmpty())
        .map(each -> each.getKey() + ": " + each.getValue())
        .collect(Collectors.joining(", "));
  }

  // --- in words
  // -----------------------------------------------------------------------------------

  /** The parts of something by what they are called; none of what is not there. */
  private static Map<String, String> parts(Side side, @Nullable Record... all) {
    Map<String, String> parts = new TreeMap<>();
    for (Record each : all) {
      if (each != null) {
        add(parts, "", each, side);
      }
    }
    return parts;
  }

  private static void add(Map<String, String> parts, String within, Record whole, Side side) {
    for (RecordComponent component : whole.getClass().getRecordComponents()) {
      Object value = value(component, whole);
      String what = within + component.getName();
      boolean identity = value instanceof PersonId || value instanceof GroupId;
      if (what.equals("id")) {
        continue;
      }
      if (value instanceof Record part
          && !identity
          && part.getClass().getRecordComponents().length > 1) {
        add(parts, what + ".", part, side);
      } else {
        parts.put(what, text(side, value));
      }
    }
  }

  private static @Nullable Object value(RecordComponent component, Record whole) {
    try {
      component.getAccessor().setAccessible(true);
      return component.getAccessor().invoke(whole);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e); // its own accessor
    }
  }

  private static String text(Side side, @Nullable Object value) {
    if (value == null) {
      return "";
    }
    if (value instanceof PersonId person) {
      return side.office.nameOf(person);
    }
    if (value instanceof GroupId line) {
      return side.office.nameOf(line);
    }
    if (value instanceof Collection<?> several) {
      Stream<String> texts = several.stream().map(each -> text(side, each));
      return (several instanceof Set ? texts.sorted() : texts).collect(Collectors.joining(", "));
    }
    if (value instanceof Record alone && alone.getClass().getRecordComponents().length == 1) {
      return text(side, value(alone.getClass().getRecordComponents()[0], alone));
    }
    return value.toString();
  }

  private static String name(Side side, Party owner) {
    PersonId person = owner.employee();
    if (person != null) {
      return side.office.nameOf(person);
    }
    return owner instanceof Party.Members line ? text(side, line.id()) : owner.toString();
  }
}
