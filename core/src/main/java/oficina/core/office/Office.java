package oficina.core.office;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import oficina.core.call.CallerId;
import oficina.core.call.Party;
import oficina.core.numbers.DialPlan;
import oficina.core.numbers.NumberRange;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.Directory;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.PeopleFinder;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * The whole office at one moment: who belongs to it, what it has set, how its numbers are dialled
 * and its people found. Immutable: whoever changes anything makes a new one, and it is swapped
 * whole.
 */
public final class Office {
  private final Identity identity;
  private final Directory directory;
  private final Settings settings;
  private final Former former;
  private final Directions directions;
  private final Delegations delegations;
  private final DialPlan plan;
  private final PeopleFinder finder;

  /**
   * What an office is known by and where it is.
   *
   * @param name empty when it has none
   * @param mainNumber public number by which the office is known; null when it has none
   * @param zone in which its days begin and its clocks run
   * @param region whose numbering it dials by
   * @param accessCode digit that used to be dialled for an outside line; empty when there was none
   * @param ranges public numbers it has been given besides its main number; empty when it has not
   *     said
   */
  public record Identity(
      String name,
      @Nullable PhoneNumber mainNumber,
      ZoneId zone,
      Region region,
      String accessCode,
      List<NumberRange> ranges) {
    public Identity {
      ranges = List.copyOf(ranges);
    }

    /** One that has not said which numbers it has been given. */
    public Identity(
        String name,
        @Nullable PhoneNumber mainNumber,
        ZoneId zone,
        Region region,
        String accessCode) {
      this(name, mainNumber, zone, region, accessCode, List.of());
    }

    /** Whether a public number is one of the office's to give. */
    public boolean has(PhoneNumber number) {
      return ranges.isEmpty()
          || number.equals(mainNumber)
          || ranges.stream().anyMatch(range -> range.contains(number));
    }
  }

  /**
   * @param former who and what is no longer of it
   */
  public Office(
      Identity identity,
      Directory directory,
      Settings settings,
      Former former,
      Directions directions) {
    this.directions = directions;
    this.delegations = new Delegations(directions.rules());
    this.identity = identity;
    this.directory = directory;
    this.settings = settings;
    this.former = former;
    this.plan = new DialPlan(identity.region(), identity.accessCode(), new OwnNumbers());
    this.finder = new PeopleFinder(directory.people());
  }

  /** The same office, in which something else has been decided about where calls go. */
  public Office with(Directions changed) {
    return new Office(identity, directory, settings, former, changed);
  }

  /** The same office, known by something else. */
  public Office with(Identity changed) {
    return new Office(changed, directory, settings, former, directions);
  }

  /** The same office, which has set something else. */
  public Office with(Settings changed) {
    return new Office(identity, directory, changed, former, directions);
  }

  private final class OwnNumbers implements DialPlan.Own {
    @Override
    public boolean isExtension(String digits) {
      return Office.this.isExtension(digits);
    }

    @Override
    public int longestExtension() {
      return directory.longestExtension();
    }

    @Override
    public @Nullable String extensionOf(PhoneNumber number) {
      return directory.extensionOf(number);
    }
  }

  public Identity identity() {
    return identity;
  }

  public Directory directory() {
    return directory;
  }

  /** What has been decided about where calls go. */
  public Directions directions() {
    return directions;
  }

  /** Who acts for whom. */
  public Delegations delegations() {
    return delegations;
  }

  public Settings settings() {
    return settings;
  }

  /** What typed texts mean here. */
  public DialPlan plan() {
    return plan;
  }

  public PeopleFinder finder() {
    return finder;
  }

  /** Names of those who have left; empty ones of those of whom nothing is known any more. */
  public Map<PersonId, String> former() {
    return former.people();
  }

  /** The name of somebody who is, or was, of the office; empty when there never was such a one. */
  public String nameOf(PersonId id) {
    return directory
        .person(id)
        .map(Person::name)
        .orElseGet(() -> former.people().getOrDefault(id, ""));
  }

  /** The name of a line that is, or was, of the office; empty when there never was such a one. */
  public String nameOf(GroupId id) {
    return directory
        .group(id)
        .map(Group::name)
        .orElseGet(() -> former.lines().getOrDefault(id, ""));
  }

  /** All public numbers that are the office's own. */
  public Set<PhoneNumber> ownNumbers() {
    return Stream.of(
            Stream.ofNullable(identity.mainNumber()),
            directory.people().stream().map(Person::directNumber),
            directory.groups().stream().map(Group::number))
        .flatMap(numbers -> numbers)
        .filter(Objects::nonNull)
        .collect(Collectors.toSet());
  }

  /** Whether these digits are dialled inside for anything already. */
  public boolean isExtension(String digits) {
    return directory.hasExtension(digits)
        || settings.isSlot(digits)
        || digits.equals(settings.voicemail().extension());
  }

  /** Everybody whom a call to this party, a person or a group, is for. */
  public List<PersonId> people(Party party) {
    if (party.employee() != null) {
      return List.of(party.employee());
    }
    return party.group() == null
        ? List.of()
        : directory.group(party.group()).map(Group::members).orElse(List.of());
  }

  /** Whether messages can be left for this party. */
  public boolean hasMailbox(Party owner) {
    if (owner.employee() != null) {
      return directory.person(owner.employee()).map(p -> p.calls().mailbox()).orElse(false);
    }
    return owner.group() != null
        && directory.group(owner.group()).map(Group::mailbox).orElse(false);
  }

  /**
   * What an outsider is shown when this person calls.
   *
   * @param wanted for this call; null for what the person has chosen for all
   */
  public CallerId callerId(PersonId id, @Nullable CallerIdChoice wanted) {
    Person person = directory.person(id).orElse(null);
    if (person == null) {
      return CallerId.WITHHELD;
    }
    PhoneNumber own = person.directNumber() == null ? identity.mainNumber() : person.directNumber();
    return switch (wanted == null ? person.calls().callerId() : wanted) {
      case DIRECT -> new CallerId(own);
      case OFFICE -> new CallerId(identity.mainNumber());
      case WITHHELD -> CallerId.WITHHELD;
    };
  }
}
