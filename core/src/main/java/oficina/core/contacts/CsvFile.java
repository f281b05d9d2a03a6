package oficina.core.contacts;

import java.io.IOException;
import java.io.Reader;
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
import oficina.core.files.Cells;
import oficina.core.files.CsvReader;
import oficina.core.files.Lines;
import oficina.core.numbers.DialPlan;

/**
 * Cards as lines with commas between (RFC 4180), the first line naming the columns. Those of other
 * programs are understood by what they are called; commas, semicolons and tabs may stand between. A
 * broken line spoils no other.
 */
public final class CsvFile {
  private static final int MOST_COLUMNS = 300;

  private static final String NUMBER = "number ";
  private static final String TYPE = " type";
  private static final String EXTENSION = " extension";

  private CsvFile() {}

  /** The cards of a file, and what of it is none, in the order of its lines. */
  public static List<Incoming> read(Reader file, DialPlan plan) throws IOException {
    Lines lines = new Lines(file, CsvReader.LONGEST);
    Lines.Line first = lines.next();
    String head = first == null ? "" : first.text();
    char delimiter = CsvReader.delimiter(head);
    Columns columns = new Columns(CsvReader.line(head, delimiter));
    if (!columns.nameSomebody()) {
      return List.of(Incoming.bad(1, Flaw.NO_COLUMNS, head));
    }
    CsvReader records = new CsvReader(lines, delimiter);
    Collected read = new Collected();
    for (CsvReader.Row row = records.next(); row != null; row = records.next()) {
      if (!read.add(card(row, columns, plan))) {
        break;
      }
    }
    return read.all();
  }

  private static Incoming card(CsvReader.Row row, Columns columns, DialPlan plan) {
    if (row.broken() != null) {
      return Incoming.bad(row.line(), Flaw.LINE_BROKEN, row.broken());
    }
    Draft draft = columns.draft(row.values());
    return Incoming.of(row.line(), columns.uid(row.values()), draft.check(plan), null);
  }

  /** Which column holds what. */
  private static final class Columns {
    private final List<String> names;

    Columns(List<String> columns) {
      names =
          columns.stream()
              .limit(MOST_COLUMNS)
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
    return Cells.csv(
        head, contacts.stream().map(each -> row(each, numbers, mails, addresses)).toList());
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
