package oficina.core.register;

import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import oficina.core.office.Claims;
import oficina.core.office.Office;
import oficina.core.people.Person;

/**
 * Somebody of whom only name and mail are known, because whoever vouches for them says no more:
 * what else the register needs is made up.
 */
public record Newcomer(Office office, Predicate<String> signInNameTaken) {
  private static final int FIRST_EXTENSION = 201;
  private static final int TRIED = 10_000;

  /**
   * As they would stand in the register: signing in by what stands before the @ of their address,
   * or with a number after it, and at the next free extension.
   *
   * @param name empty when nobody says it
   * @return nothing when no extension is free
   */
  public Optional<PersonEntry> of(String name, String mail) {
    String local = mail.substring(0, Math.max(0, mail.indexOf('@')));
    String plain = local.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9.-]", "");
    String wanted = plain.isEmpty() ? "person" : cut(plain, 50);
    String signInName =
        IntStream.iterate(1, n -> n + 1)
            .mapToObj(n -> n == 1 ? wanted : wanted + n)
            .filter(signInNameTaken.negate())
            .findFirst()
            .orElseThrow();
    String called = name.isBlank() ? mail : name.strip();
    return freeExtension()
        .map(
            extension ->
                new PersonEntry(
                    cut(called, PersonEntry.LONGEST_NAME),
                    signInName,
                    "employee",
                    extension,
                    "",
                    "",
                    "",
                    mail,
                    ""));
  }

  private static String cut(String text, int longest) {
    return text.substring(0, Math.min(text.length(), longest));
  }

  /** The first after those of everybody that is nobody's. */
  private Optional<String> freeExtension() {
    int first =
        office.directory().people().stream()
            .map(Person::extension)
            .filter(each -> each.matches(PersonEntry.EXTENSIONS))
            .map(Integer::valueOf)
            .max(Comparator.naturalOrder())
            .map(last -> last + 1)
            .orElse(FIRST_EXTENSION);
    Claims claims = new Claims(office);
    return IntStream.range(first, first + TRIED)
        .mapToObj(Integer::toString)
        .filter(each -> each.matches(PersonEntry.EXTENSIONS))
        .filter(each -> claims.extension(each, null).isEmpty())
        .findFirst();
  }
}
