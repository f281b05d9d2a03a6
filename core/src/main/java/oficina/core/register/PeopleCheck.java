package oficina.core.register;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import oficina.core.call.Party;
import oficina.core.numbers.DialPlan;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Claims;
import oficina.core.office.Office;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.people.Role;
import org.jspecify.annotations.Nullable;

/**
 * Compares a file of people with the office: who is new, who would be changed, and what is wrong.
 * Somebody is known by the name they sign in with, or, where a line has none, by name and
 * extension. Of what no column says, nothing is changed. Two who take each other's extension in one
 * file may.
 */
public final class PeopleCheck {
  private static final Pattern SIGN_IN_NAME = Pattern.compile(PersonEntry.SIGN_IN_NAMES);
  private static final Pattern EXTENSION = Pattern.compile(PersonEntry.EXTENSIONS);
  private static final Pattern MAIL = Pattern.compile("[^@\\s]{1,64}@[^@\\s]{1,189}");

  /** What is known of somebody new. */
  private static final PersonEntry NOBODY =
      new PersonEntry("", "", "employee", "", "", "", "", "", "");

  private final Office office;
  private final Claims claims;
  private final Map<PersonId, PersonEntry> known;
  private final PersonId asking;
  private final Map<String, PersonId> bySignInName;

  /**
   * @param known everybody there is
   * @param asking whose own role the file must not change
   */
  public PeopleCheck(Office office, Map<PersonId, PersonEntry> known, PersonId asking) {
    this.office = office;
    this.claims = new Claims(office);
    this.known = known;
    this.asking = asking;
    this.bySignInName =
        known.entrySet().stream()
            .collect(Collectors.toMap(each -> each.getValue().signInName(), Map.Entry::getKey));
  }

  /** How a line stands to what there is. */
  public enum Kind {
    NEW,
    CHANGED,
    SAME,
    BAD
  }

  /**
   * Something that is wrong with a line.
   *
   * @param code what; as the register itself refuses it
   * @param text what was typed
   * @param name who has it already; empty when nobody
   */
  public record Finding(String code, String text, String name) {}

  /**
   * A line, compared.
   *
   * @param person who would be changed; null for somebody new
   * @param entry as it would be kept; null when the line cannot be read
   * @param findings everything that is wrong; empty when it can be taken over
   */
  public record Checked(
      int line,
      Kind kind,
      @Nullable PersonId person,
      @Nullable PersonEntry entry,
      List<Finding> findings) {}

  /** The lines of a file, compared, in their order. */
  public List<Checked> check(List<PeopleFile.Row> rows) {
    List<Checked> checked = rows.stream().map(this::alone).toList();
    long bad = -1;
    // Whoever would give up an extension and cannot be changed keeps it: until nothing follows.
    while (bad != bad(checked)) {
      bad = bad(checked);
      checked = together(checked);
    }
    return checked;
  }

  private static long bad(List<Checked> all) {
    return all.stream().filter(each -> each.kind() == Kind.BAD).count();
  }

  // --- a line by itself -------------------------------------------------------------------------

  private Checked alone(PeopleFile.Row row) {
    PersonEntry typed = row.entry();
    if (typed == null) {
      Finding finding = new Finding("PERSON_" + row.broken(), shown(row.text()), "");
      return new Checked(row.line(), Kind.BAD, null, null, List.of(finding));
    }
    List<Finding> findings = new ArrayList<>();
    PersonId person = whose(typed);
    PersonEntry before = known.getOrDefault(person, NOBODY);
    Set<String> absent = row.absent();
    String signInName = typed.signInName().toLowerCase(Locale.ROOT);
    if (signInName.isEmpty()) {
      signInName = person == null ? signInName(typed.name()) : before.signInName();
    }
    PersonEntry entry =
        new PersonEntry(
            typed.name(),
            signInName,
            typed.role().isEmpty() ? before.role() : role(typed.role(), findings),
            typed.extension(),
            absent.contains("direct_number")
                ? before.directNumber()
                : directNumber(typed.directNumber(), before.directNumber(), findings),
            absent.contains("team") ? before.team() : typed.team(),
            absent.contains("site") ? before.site() : typed.site(),
            absent.contains("mail") ? before.mail() : typed.mail(),
            absent.contains("mobile") ? before.mobile() : number(typed.mobile(), findings));
    must(
        lengthFits(entry.name(), 1, PersonEntry.LONGEST_NAME),
        "PERSON_NAME",
        entry.name(),
        findings);
    must(SIGN_IN_NAME.matcher(signInName).matches(), "PERSON_SIGN_IN_NAME", signInName, findings);
    must(
        EXTENSION.matcher(entry.extension()).matches(),
        "PERSON_EXTENSION",
        entry.extension(),
        findings);
    must(
        lengthFits(entry.team(), 1, PersonEntry.LONGEST_PLACE),
        "PERSON_TEAM",
        entry.team(),
        findings);
    must(
        lengthFits(entry.site(), 0, PersonEntry.LONGEST_PLACE),
        "PERSON_SITE",
        entry.site(),
        findings);
    must(
        entry.mail().isEmpty() || MAIL.matcher(entry.mail()).matches(),
        "PERSON_MAIL",
        entry.mail(),
        findings);
    if (asking.equals(person) && !entry.role().equals(before.role())) {
      findings.add(new Finding("NOT_ONESELF", "", ""));
    }
    return checked(row.line(), person, entry, findings);
  }

  private Checked checked(
      int line, @Nullable PersonId person, PersonEntry entry, List<Finding> findings) {
    Kind kind =
        !findings.isEmpty()
            ? Kind.BAD
            : person == null
                ? Kind.NEW
                : entry.equals(known.get(person)) ? Kind.SAME : Kind.CHANGED;
    return new Checked(line, kind, person, entry, List.copyOf(findings));
  }

  private @Nullable PersonId whose(PersonEntry typed) {
    return typed.signInName().isEmpty()
        ? office
            .directory()
            .personAt(typed.extension())
            .filter(each -> each.name().equals(typed.name()))
            .map(Person::id)
            .orElse(null)
        : bySignInName.get(typed.signInName().toLowerCase(Locale.ROOT));
  }

  /** Made of the name: its first and last part, without accents. */
  private static String signInName(String name) {
    String plain =
        Normalizer.normalize(name, Normalizer.Form.NFKD)
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^a-z0-9 -]", "")
            .strip();
    String[] parts = plain.split(" +");
    return parts.length == 1 ? plain : parts[0] + "." + parts[parts.length - 1];
  }

  private static String role(String typed, List<Finding> findings) {
    String role = typed.toLowerCase(Locale.ROOT);
    boolean there =
        Stream.of(Role.values())
            .anyMatch(each -> each.name().toLowerCase(Locale.ROOT).equals(role));
    must(there, "PERSON_ROLE", typed, findings);
    return role;
  }

  /** One that the office has not been given may stay where it is. */
  private String directNumber(String typed, String before, List<Finding> findings) {
    String number = number(typed, findings);
    must(
        number.isEmpty() || number.equals(before) || office.identity().has(new PhoneNumber(number)),
        "NUMBER_OUTSIDE_RANGES",
        typed,
        findings);
    return number;
  }

  private String number(String typed, List<Finding> findings) {
    if (typed.isEmpty()) {
      return "";
    }
    PhoneNumber number = DialPlan.publicNumber(office.identity().region(), typed);
    must(number != null, "NUMBER_UNREADABLE", typed, findings);
    return number == null ? "" : number.e164();
  }

  private static boolean lengthFits(String text, int least, int most) {
    return text.length() >= least && text.length() <= most;
  }

  private static void must(boolean holds, String code, String text, List<Finding> findings) {
    if (!holds) {
      findings.add(new Finding(code, shown(text), ""));
    }
  }

  private static String shown(String text) {
    return text.length() > 60 ? text.substring(0, 60) + "…" : text;
  }

  // --- all lines together -----------------------------------------------------------------------

  private List<Checked> together(List<Checked> all) {
    Map<PersonId, PersonEntry> becomes = new HashMap<>();
    all.stream()
        .filter(each -> each.kind() == Kind.CHANGED)
        .forEach(each -> becomes.put(each.person(), each.entry()));
    Set<String> taken = new HashSet<>();
    return all.stream()
        .map(each -> each.kind() == Kind.BAD ? each : among(each, becomes, taken))
        .toList();
  }

  private Checked among(Checked each, Map<PersonId, PersonEntry> becomes, Set<String> taken) {
    PersonEntry entry = each.entry();
    List<Finding> findings = new ArrayList<>();
    Party self = each.person() == null ? null : new Party.Employee(each.person());
    claims
        .extension(entry.extension(), self)
        .filter(by -> !givesUp(by, PersonEntry::extension, entry.extension(), becomes))
        .ifPresent(
            by ->
                findings.add(
                    new Finding("EXTENSION_OF_" + by.kind(), entry.extension(), by.name())));
    once("EXTENSION_TWICE", entry.extension(), "e", taken, findings);
    once("SIGN_IN_NAME_TWICE", entry.signInName(), "s", taken, findings);
    if (each.person() == null && bySignInName.containsKey(entry.signInName())) {
      findings.add(new Finding("TAKEN", entry.signInName(), ""));
    }
    if (!entry.directNumber().isEmpty()) {
      PhoneNumber number = new PhoneNumber(entry.directNumber());
      String shown = office.identity().region().show(number);
      claims
          .number(number, self)
          .filter(by -> !givesUp(by, PersonEntry::directNumber, entry.directNumber(), becomes))
          .ifPresent(by -> findings.add(new Finding("NUMBER_OF_" + by.kind(), shown, by.name())));
      once("NUMBER_TWICE", shown, "n", taken, findings);
    }
    return checked(each.line(), each.person(), entry, findings);
  }

  /** Whether it is somebody's of the file who has another one by then. */
  private boolean givesUp(
      Claims.Holder by,
      Function<PersonEntry, String> what,
      String wanted,
      Map<PersonId, PersonEntry> becomes) {
    return by.kind() == Claims.Kind.PERSON
        && known.entrySet().stream()
            .filter(each -> what.apply(each.getValue()).equals(wanted))
            .map(each -> becomes.get(each.getKey()))
            .anyMatch(after -> after != null && !what.apply(after).equals(wanted));
  }

  private static void once(
      String code, String text, String what, Set<String> taken, List<Finding> findings) {
    must(taken.add(what + text), code, text, findings);
  }
}
