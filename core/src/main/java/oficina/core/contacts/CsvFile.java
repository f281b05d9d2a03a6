package oficina.core.contacts;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import oficina.core.contacts.Contact.Card;
import oficina.core.contacts.ContactNumber.Type;
import oficina.core.contacts.Draft.Flaw;
import oficina.core.contacts.Draft.TypedNumber;
import oficina.core.numbers.DialPlan;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * Cards as lines with commas between (RFC 4180), the first line naming the columns. Those of other
 * programs are understood by what they are called; commas, semicolons and tabs may stand between. A
 * broken line spoils no other.
 */
public final class CsvFile {
  /** Each costs a look at all that follows. */
  private static final int MOST_BROKEN = 100;

  private static final String NUMBER = "number ";
  private static final String TYPE = " type";
  private static final String EXTENSION = " extension";

  private CsvFile() {}

  /** All cards of a file, and what of it is none, in the order of its lines. */
  public static List<Incoming> read(String file, DialPlan plan) {
    String text = file.startsWith("\uFEFF") ? file.substring(1) : file;
    List<Incoming> read = new ArrayList<>();
    String first = text.lines().findFirst().orElse("");
    CSVFormat format = CSVFormat.RFC4180.builder().setDelimiter(delimiter(first)).get();
    List<String> columns;
    try (CSVParser head = format.parse(new StringReader(first))) {
      columns = head.stream().findFirst().map(CSVRecord::toList).orElse(List.of());
    } catch (IOException | UncheckedIOException e) {
      return List.of(Incoming.bad(1, Flaw.NO_COLUMNS, first));
    }
    Columns known = new Columns(columns);
    if (!known.nameSomebody()) {
      return List.of(Incoming.bad(1, Flaw.NO_COLUMNS, first));
    }
    List<String> lines = text.lines().toList();
    int at = 1;
    for (int broken = 0; at < lines.size(); broken++) {
      if (broken > MOST_BROKEN) {
        read.add(Incoming.bad(at + 1, Flaw.REST_NOT_READ, lines.get(at)));
        return read;
      }
      at = readFrom(at, lines, format, known, plan, read);
    }
    return read;
  }

  /** Reads until a line that is broken, and returns where to go on behind it. */
  private static int readFrom(
      int from,
      List<String> lines,
      CSVFormat format,
      Columns columns,
      DialPlan plan,
      List<Incoming> read) {
    int begins = from;
    String rest = String.join("\n", lines.subList(from, lines.size()));
    try (CSVParser parser = format.parse(new StringReader(rest))) {
      for (CSVRecord record : parser) {
        if (record.toList().stream().anyMatch(value -> !value.isBlank())) {
          Draft draft = columns.draft(record.toList());
          read.add(Incoming.of(begins + 1, columns.uid(record.toList()), draft.check(plan), null));
        }
        begins = from + (int) parser.getCurrentLineNumber();
      }
      return lines.size();
    } catch (IOException | UncheckedIOException e) {
      read.add(Incoming.bad(begins + 1, Flaw.LINE_BROKEN, lines.get(begins)));
      return begins + 1;
    }
  }

  private static char delimiter(String first) {
    return Stream.of(',', ';', '\t')
        .max((a, b) -> Long.compare(count(first, a), count(first, b)))
        .orElse(',');
  }

  private static long count(String text, char wanted) {
    return text.chars().filter(c -> c == wanted).count();
  }

  /** Which column holds what. */
  private static final class Columns {
    private final List<String> names;

    Columns(List<String> columns) {
      names =
          columns.stream()
              .map(each -> each.strip().toLowerCase(Locale.ROOT).replace('_', ' '))
              .toList();
    }

    boolean nameSomebody() {
      return names.stream()
          .anyMatch(each -> each.contains("name") || isCompany(each) || isNumber(each));
    }

    private static boolean isCompany(String column) {
      return column.startsWith("company") || column.startsWith("organi");
    }

    private static boolean isNumber(String column) {
      boolean about = column.endsWith(TYPE) || column.endsWith(EXTENSION);
      return !about
          && Stream.of("phone", "mobile", "tel", "number", "fax").anyMatch(column::contains);
    }

    String uid(List<String> values) {
      return first(values, "uid");
    }

    Draft draft(List<String> values) {
      String name = first(values, "name", "full name", "display name");
      if (name.isEmpty()) {
        name =
            Stream.of(
                    first(values, "first name", "given name"),
                    first(values, "last name", "family name", "surname"))
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(" "));
      }
      List<TypedNumber> numbers = new ArrayList<>();
      List<String> mails = new ArrayList<>();
      List<String> addresses = new ArrayList<>();
      String company = "";
      for (int i = 0; i < Math.min(names.size(), values.size()); i++) {
        String column = names.get(i);
        String value = values.get(i).strip();
        if (value.isEmpty()) {
          continue;
        }
        if (isNumber(column)) {
          numbers.add(number(column, value, values));
        } else if (column.contains("mail") && !column.contains("type")) {
          mails.add(value);
        } else if (column.startsWith("address") || column.endsWith("address")) {
          addresses.add(value);
        } else if (isCompany(column) && company.isEmpty()) {
          company = value;
        }
      }
      return new Draft(
          name,
          company,
          numbers,
          mails,
          addresses,
          List.of(first(values, "tags", "categories", "groups", "labels").split("[,;]")),
          first(values, "note", "notes"),
          first(values, "tone"));
    }

    private TypedNumber number(String column, String value, List<String> values) {
      String beside = column.endsWith("value") ? column.replace("value", "type") : column + TYPE;
      String said = first(values, beside);
      return new TypedNumber(
          type(said.isEmpty() ? column : said), value, first(values, column + EXTENSION));
    }

    private static Type type(String said) {
      String word = said.toLowerCase(Locale.ROOT);
      Map<String, Type> types = new LinkedHashMap<>();
      types.put("fax", Type.FAX);
      types.put("mobile", Type.MOBILE);
      types.put("cell", Type.MOBILE);
      types.put("home", Type.HOME);
      types.put("main", Type.MAIN);
      types.put("work", Type.WORK);
      types.put("business", Type.WORK);
      return types.entrySet().stream()
          .filter(each -> word.contains(each.getKey()))
          .map(Map.Entry::getValue)
          .findFirst()
          .orElse(Type.OTHER);
    }

    private String first(List<String> values, String... wanted) {
      for (String column : wanted) {
        int at = names.indexOf(column);
        if (at >= 0 && at < values.size() && !values.get(at).isBlank()) {
          return values.get(at).strip();
        }
      }
      return "";
    }
  }

  /** Contacts as a file, which goes in again as it came out. */
  public static String write(List<Contact> contacts) {
    int numbers = most(contacts.stream().map(each -> each.card().numbers()).toList());
    int mails = most(contacts.stream().map(each -> each.card().mails()).toList());
    int addresses = most(contacts.stream().map(each -> each.card().addresses()).toList());
    List<String> head = new ArrayList<>(List.of("uid", "name", "company"));
    for (int i = 1; i <= numbers; i++) {
      head.addAll(List.of(NUMBER + i, NUMBER + i + TYPE, NUMBER + i + EXTENSION));
    }
    for (int i = 1; i <= mails; i++) {
      head.add("mail " + i);
    }
    for (int i = 1; i <= addresses; i++) {
      head.add("address " + i);
    }
    head.addAll(List.of("tags", "note", "tone"));
    StringBuilder file = new StringBuilder();
    try (CSVPrinter csv = new CSVPrinter(file, CSVFormat.RFC4180)) {
      csv.printRecord(head);
      for (Contact contact : contacts) {
        csv.printRecord(row(contact, numbers, mails, addresses));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e); // nothing is written but in memory
    }
    return file.toString();
  }

  private static int most(List<? extends List<?>> all) {
    return all.stream().mapToInt(List::size).max().orElse(0);
  }

  private static List<String> row(Contact contact, int numbers, int mails, int addresses) {
    Card card = contact.card();
    List<String> row = new ArrayList<>(List.of(contact.uid(), card.name(), card.company()));
    for (int i = 0; i < numbers; i++) {
      if (i < card.numbers().size()) {
        ContactNumber number = card.numbers().get(i);
        row.addAll(
            List.of(
                number.number().e164(),
                number.type().name().toLowerCase(Locale.ROOT),
                number.extension()));
      } else {
        row.addAll(List.of("", "", ""));
      }
    }
    pad(row, card.mails(), mails);
    pad(row, card.addresses(), addresses);
    row.addAll(List.of(String.join(", ", card.tags()), card.note(), card.tone()));
    return row;
  }

  private static void pad(List<String> row, List<String> values, int to) {
    for (int i = 0; i < to; i++) {
      row.add(i < values.size() ? values.get(i) : "");
    }
  }
}
