package oficina.core.rules;

import java.util.Set;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;

/**
 * Whose calls a rule is for.
 *
 * @param people colleagues that are meant, when they are chosen
 * @param numbers outside numbers that are meant, when they are chosen
 * @param companies names of companies whose contacts are meant, when they are chosen; in lower case
 */
public record Callers(
    Kind kind, Set<PersonId> people, Set<PhoneNumber> numbers, Set<String> companies) {
  /** Everybody. */
  public static final Callers ANYBODY = new Callers(Kind.ANYBODY, Set.of(), Set.of(), Set.of());

  public Callers {
    people = Set.copyOf(people);
    numbers = Set.copyOf(numbers);
    companies = Set.copyOf(companies);
  }

  /** How callers are told apart. */
  public enum Kind {
    ANYBODY,
    /** Colleagues. */
    INSIDE,
    /** Everybody who calls over the public network. */
    OUTSIDE,
    /** Those who do not show their number. */
    WITHHELD,
    /** Those who are named one by one. */
    CHOSEN
  }

  /** Whether this caller is one of them. */
  public boolean include(Caller caller) {
    return switch (kind) {
      case ANYBODY -> true;
      case INSIDE -> caller.inside();
      case OUTSIDE -> !caller.inside();
      case WITHHELD -> !caller.inside() && caller.number() == null;
      case CHOSEN ->
          (caller.inside() && people.contains(caller.party().employee()))
              || (caller.behalf() != null && people.contains(caller.behalf()))
              || (caller.number() != null && numbers.contains(caller.number()))
              || (!companies.isEmpty()
                  && caller.companies().stream().anyMatch(companies::contains));
    };
  }

  /** Whether everybody whom the others include is among these. */
  public boolean includeAllOf(Callers others) {
    if (kind == Kind.ANYBODY || equals(others)) {
      return true;
    }
    return switch (others.kind) {
      case ANYBODY, INSIDE, OUTSIDE -> kind == others.kind;
      case WITHHELD -> kind == Kind.OUTSIDE || kind == Kind.WITHHELD;
      case CHOSEN ->
          switch (kind) {
            case OUTSIDE -> others.people.isEmpty();
            case INSIDE -> others.numbers.isEmpty() && others.companies.isEmpty();
            case CHOSEN ->
                people.containsAll(others.people)
                    && numbers.containsAll(others.numbers)
                    && companies.containsAll(others.companies);
            default -> false;
          };
    };
  }
}
