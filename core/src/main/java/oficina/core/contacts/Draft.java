package oficina.core.contacts;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import oficina.core.contacts.Contact.Card;
import oficina.core.numbers.DialPlan;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import org.jspecify.annotations.Nullable;

/**
 * A card as somebody has typed it, or as it stands in a file: nothing of it is checked yet.
 *
 * @param numbers in any notation
 */
public record Draft(
    String name,
    String company,
    List<TypedNumber> numbers,
    List<String> mails,
    List<String> addresses,
    List<String> tags,
    String note,
    String tone) {

  /** As much as fits on one line. */
  public static final int LONGEST_LINE = 200;

  public static final int LONGEST_NOTE = 4_000;

  /** What a card is called in files, as long as the database takes it. */
  public static final int LONGEST_UID = 255;

  /** So many numbers, mail addresses, addresses and tags each. */
  public static final int MOST = 20;

  private static final int MOST_LOOKED_AT = 10 * MOST;

  private static final Pattern MAIL = Pattern.compile("[^\\s@<>\",;]+@[^\\s@<>\",;]+");
  private static final Pattern BETWEEN_TAGS = Pattern.compile("[,;]");
  private static final int LONGEST_EXTENSION = 10;
  private static final Pattern EXTENSION = Pattern.compile("p+([0-9]{1,10})");

  /**
   * A number as it was typed.
   *
   * @param extension as typed; may also stand in the number itself
   */
  public record TypedNumber(ContactNumber.Type type, String number, String extension) {}

  /** What is wrong with a card. */
  public enum Flaw {
    /** Neither a name nor a company. */
    NAMELESS,
    NUMBER_UNREADABLE,
    /** A number of the office itself, which is in the directory of people. */
    NUMBER_OF_OURS,
    EXTENSION_UNREADABLE,
    MAIL_UNREADABLE,
    /** More than fits into one of its fields. */
    TOO_LONG,
    /** More of something than a card has room for. */
    TOO_MANY,
    /** A line of a file that belongs to no card. */
    NO_CARD,
    /** A card of a file that begins and does not end. */
    CARD_UNFINISHED,
    /** A line of a file whose quotation marks do not match. */
    LINE_BROKEN,
    /** A file whose first line names no column that is known. */
    NO_COLUMNS,
    /** Where a file is given up in which too much is broken. */
    REST_NOT_READ
  }

  /**
   * Something that is wrong.
   *
   * @param what the text it is about, cut to what can be read at a glance
   */
  public record Finding(Flaw flaw, String what) {
    private static final int SHOWN = 60;

    static Finding of(Flaw flaw, String what) {
      return new Finding(flaw, what.length() > SHOWN ? what.substring(0, SHOWN) + "…" : what);
    }
  }

  /**
   * What became of a draft.
   *
   * @param card null when something is wrong
   */
  public record Checked(@Nullable Card card, List<Finding> findings) {}

  /** The card it makes, with its numbers read as this office dials, or everything wrong with it. */
  public Checked check(DialPlan plan) {
    List<Finding> findings = new ArrayList<>();
    String ownName = line(name, findings);
    String ownCompany = line(company, findings);
    if (ownName.isEmpty() && ownCompany.isEmpty()) {
      findings.add(Finding.of(Flaw.NAMELESS, ""));
    }
    List<ContactNumber> read = new ArrayList<>();
    for (TypedNumber each : numbers.subList(0, Math.min(MOST, numbers.size()))) {
      ContactNumber number = number(each, plan, findings);
      if (number != null && !read.contains(number)) {
        read.add(number);
      }
    }
    List<String> readMails = lines(mails.stream(), findings);
    readMails.stream()
        .filter(mail -> !MAIL.matcher(mail).matches())
        .forEach(mail -> findings.add(Finding.of(Flaw.MAIL_UNREADABLE, mail)));
    Card card =
        new Card(
            ownName,
            ownCompany,
            read,
            readMails,
            lines(addresses.stream(), findings),
            lines(eachTag(), findings),
            text(note, LONGEST_NOTE, findings),
            line(tone, findings));
    if (numbers.size() > MOST) {
      findings.add(Finding.of(Flaw.TOO_MANY, numbers.get(MOST).number()));
    }
    return new Checked(findings.isEmpty() ? card : null, findings);
  }

  /** What stands between commas is a tag of its own, also in files. */
  private Stream<String> eachTag() {
    return tags.stream().flatMap(BETWEEN_TAGS::splitAsStream);
  }

  private static String line(String typed, List<Finding> findings) {
    return text(typed.replaceAll("\\s+", " "), LONGEST_LINE, findings);
  }

  private static String text(String typed, int longest, List<Finding> findings) {
    String text = typed.replace("\r\n", "\n").strip();
    if (text.length() > longest) {
      findings.add(Finding.of(Flaw.TOO_LONG, text));
    }
    return text;
  }

  /** Those that say something, each once, and no more than it takes to see that it is too many. */
  private static List<String> lines(Stream<String> typed, List<Finding> findings) {
    List<String> read =
        typed
            .filter(each -> !each.isBlank())
            .limit(MOST_LOOKED_AT)
            .map(each -> line(each, findings))
            .distinct()
            .limit(MOST + 1)
            .toList();
    if (read.size() > MOST) {
      findings.add(Finding.of(Flaw.TOO_MANY, read.get(MOST)));
    }
    return read;
  }

  /** Null when nothing was typed, or nothing that can be read. */
  private static @Nullable ContactNumber number(
      TypedNumber typed, DialPlan plan, List<Finding> findings) {
    String text = typed.number().strip();
    if (text.isEmpty()) {
      return null;
    }
    Dialled dialled = plan.interpret(text);
    if (dialled.extension() != null) {
      findings.add(Finding.of(Flaw.NUMBER_OF_OURS, text));
      return null;
    }
    if (!(dialled instanceof Dialled.Outside outside)) {
      findings.add(Finding.of(Flaw.NUMBER_UNREADABLE, text));
      return null;
    }
    String extension = typed.extension().strip();
    if (extension.isEmpty() && !outside.afterAnswer().isEmpty()) {
      extension = EXTENSION.matcher(outside.afterAnswer()).replaceFirst("$1");
    }
    if (!extension.matches("[0-9]{0," + LONGEST_EXTENSION + "}")) {
      findings.add(Finding.of(Flaw.EXTENSION_UNREADABLE, extension));
      return null;
    }
    PhoneNumber number = outside.number();
    return new ContactNumber(typed.type(), number, extension);
  }
}
