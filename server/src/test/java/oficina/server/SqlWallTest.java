package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Whoever looks for a statement looks at stores only. */
class SqlWallTest {
  private static final Pattern STATEMENT =
      Pattern.compile(
          "\\b(select [\\w.*, ()]+ from|insert (ignore )?into|delete from|update \\w+ set) \\w",
          Pattern.CASE_INSENSITIVE);

  @Test
  void statements_stand_in_stores() throws IOException {
    try (Stream<Path> sources = Files.walk(Path.of("src/main/java"))) {
      List<Path> elsewhere =
          sources
              .filter(path -> path.toString().endsWith(".java"))
              .filter(path -> !path.getFileName().toString().endsWith("Store.java"))
              .filter(path -> STATEMENT.matcher(read(path)).find())
              .toList();
      assertThat(elsewhere).isEmpty();
    }
    assertThat(read(Path.of("src/main/java/oficina/server/history/HistoryStore.java")))
        .as("the pattern finds what it is for")
        .containsPattern(STATEMENT);
  }

  private static String read(Path path) {
    try {
      return Files.readString(path).replaceAll("\\s+", " ");
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }
}
