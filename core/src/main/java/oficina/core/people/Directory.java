package oficina.core.people;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import oficina.core.numbers.PhoneNumber;
import org.jspecify.annotations.Nullable;

/** Everybody in the office, by identity, extension and public number. Immutable. */
public final class Directory {
  private final List<Person> people;
  private final Map<PersonId, Person> byId = new HashMap<>();
  private final Map<String, Person> byExtension = new HashMap<>();
  private final Map<PhoneNumber, Person> byNumber = new HashMap<>();
  private final Map<PhoneNumber, Person> byMobile = new HashMap<>();
  private final Map<GroupId, Group> groups = new LinkedHashMap<>();
  private final Map<PersonId, List<GroupId>> groupsOf = new HashMap<>();
  private final Map<String, Group> groupsByExtension = new HashMap<>();
  private final Map<PhoneNumber, Group> groupsByNumber = new HashMap<>();

  /**
   * @throws IllegalArgumentException when an extension or number is given to two
   */
  public Directory(Collection<Person> people, Collection<Group> groups) {
    this.people = List.copyOf(people);
    for (Person person : people) {
      byId.put(person.id(), person);
      claim(byExtension, person.extension(), person);
      claim(byNumber, person.directNumber(), person);
      if (person.mobile() != null) {
        byMobile.putIfAbsent(person.mobile(), person);
      }
    }
    for (Group group : groups) {
      this.groups.put(group.id(), group);
      for (PersonId member : group.members()) {
        groupsOf.computeIfAbsent(member, each -> new ArrayList<>()).add(group.id());
      }
      if (byExtension.containsKey(group.extension())) {
        throw new IllegalArgumentException("given twice: " + group.extension());
      }
      claim(groupsByExtension, group.extension(), group);
      claim(groupsByNumber, group.number(), group);
    }
  }

  private static <K, V> void claim(Map<K, V> owners, @Nullable K key, V owner) {
    if (key != null && owners.put(key, owner) != null) {
      throw new IllegalArgumentException("given twice: " + key);
    }
  }

  /** Everybody in the same team; empty for somebody who is not here. */
  public List<PersonId> teamOf(PersonId id) {
    String team = person(id).map(Person::team).orElse(null);
    return people.stream().filter(each -> each.team().equals(team)).map(Person::id).toList();
  }

  /** The groups in which this person is rung. */
  public List<GroupId> groupsOf(PersonId id) {
    return Collections.unmodifiableList(groupsOf.getOrDefault(id, List.of()));
  }

  public List<Person> people() {
    return people;
  }

  public Collection<Group> groups() {
    return groups.values();
  }

  public Optional<Person> person(PersonId id) {
    return Optional.ofNullable(byId.get(id));
  }

  public Optional<Group> group(GroupId id) {
    return Optional.ofNullable(groups.get(id));
  }

  public Optional<Person> personAt(String extension) {
    return Optional.ofNullable(byExtension.get(extension));
  }

  public Optional<Group> groupAt(String extension) {
    return Optional.ofNullable(groupsByExtension.get(extension));
  }

  public Optional<Person> personAt(PhoneNumber number) {
    return Optional.ofNullable(byNumber.get(number));
  }

  /** Whose mobile it is; of several who share one, the first. */
  public Optional<Person> personWithMobile(PhoneNumber number) {
    return Optional.ofNullable(byMobile.get(number));
  }

  public Optional<Group> groupAt(PhoneNumber number) {
    return Optional.ofNullable(groupsByNumber.get(number));
  }

  /** The extension of the person or group with this public number; null when it is nobody's. */
  public @Nullable String extensionOf(PhoneNumber number) {
    return personAt(number)
        .map(Person::extension)
        .or(() -> groupAt(number).map(Group::extension))
        .orElse(null);
  }

  public boolean hasExtension(String extension) {
    return byExtension.containsKey(extension) || groupsByExtension.containsKey(extension);
  }

  /** Digits of the longest extension in use. */
  public int longestExtension() {
    return Stream.concat(byExtension.keySet().stream(), groupsByExtension.keySet().stream())
        .mapToInt(String::length)
        .max()
        .orElse(0);
  }
}
