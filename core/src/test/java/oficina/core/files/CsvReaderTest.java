package oficina.core.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Tables as files. */
class CsvReaderTest {

  private static List<CsvReader.Row> read(String file) throws IOException {
    CsvReader reader = new CsvReader(new Lines(new StringReader(file), CsvReader.LONGEST), ',');
    List<CsvReader.Row> rows = new ArrayList<>();
    for (CsvReader.Row row = reader.next(); row != null; row = reader.next()) {
      rows.add(row);
    }
    return rows;
  }

  @Test
  void records_span_lines_and_a_broken_one_spoils_no_other() throws IOException {
    List<CsvReader.Row> rows =
        read("\uFEFFa,\"b\nc\"\r\n\r\nd,\"e\"f\rg,h\n\"open,i\nj,k\n" + "l,m\n".repeat(50_000));
    assertThat(rows.subList(0, 6))
        .extracting(row -> row.line() + " " + row.values() + " " + row.broken())
        .containsExactly(
            "1 [a, b\nc] null",
            "4 [] d,\"e\"f",
            "5 [g, h] null",
            "6 [] \"open,i",
            "7 [j, k] null",
            "8 [l, m] null");
    assertThat(rows).hasSize(50_005);
  }

  @Test
  void a_record_is_no_longer_than_it_may_be() throws IOException {
    String longest = "x".repeat(CsvReader.LONGEST);
    List<CsvReader.Row> rows = read(longest + "y\n\"" + "z\n".repeat(40_000) + "\"\na,b\n");
    assertThat(rows.get(0).broken()).isEqualTo(longest);
    assertThat(rows.get(1).broken()).isEqualTo("\"z");
    assertThat(rows.get(rows.size() - 1).values()).containsExactly("a", "b");
  }

  @Test
  void nothing_that_goes_out_is_a_formula_and_what_comes_in_again_is_what_it_was()
      throws IOException {
    assertThat(
            Cells.csv(
                List.of("a"),
                List.of(
                    Arrays.asList("=cmd|' /C calc'!A0", "+1+1", "@SUM(A1)", "-2", "\t=1", null),
                    List.of("+441134960148", "'plain", "'=1", "a=1"))))
        .isEqualTo(
            "a\r\n'=cmd|' /C calc'!A0,'+1+1,'@SUM(A1),'-2,'\t=1,\r\n"
                + "+441134960148,'plain,''=1,a=1\r\n");
    Random random = new Random(7);
    List<List<String>> rows = new ArrayList<>();
    for (int i = 0; i < 2_000; i++) {
      StringBuilder value = new StringBuilder();
      for (int j = random.nextInt(5); j >= 0; j--) {
        value.append("'=+-@\t\n\",a1".charAt(random.nextInt(11)));
      }
      rows.add(List.of(value.toString(), "end"));
    }
    assertThat(read(Cells.csv(List.of("a"), rows)))
        .extracting(CsvReader.Row::values)
        .containsExactlyElementsOf(
            java.util.stream.Stream.concat(java.util.stream.Stream.of(List.of("a")), rows.stream())
                .toList());
  }
}
