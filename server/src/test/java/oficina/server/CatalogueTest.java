package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import oficina.core.contacts.Draft;
import oficina.core.decision.Refusal.Reason;
import oficina.core.notices.Notice;
import oficina.core.numbers.Dialled;
import oficina.core.office.Claims;
import oficina.core.passwords.PasswordRules;
import oficina.core.sound.BadSoundException;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The server sends codes; the pages' catalogue has a sentence for each of them. */
class CatalogueTest {
  private static final Path PAGES = Path.of("../web/src");
  private static final Pattern CODE =
      Pattern.compile(
          "(?:HttpStatus\\.[A-Z_]+,\\s*|tooMany\\(|busy\\()\"([A-Z_]*[A-Z])\"|-> \"([A-Z_]+)\"");
  private static final Pattern SENTENCE = Pattern.compile("\"[A-Z][a-z]+( [a-zA-Z,']+){3,}[.!?]\"");

  private static JsonNode words(String feature) throws IOException {
    return words(feature, "words.en.json");
  }

  private static JsonNode words(String feature, String file) throws IOException {
    return JsonMapper.shared().readTree(PAGES.resolve(feature).resolve(file).toFile());
  }

  private static List<Path> sources() throws IOException {
    try (Stream<Path> all = Files.walk(Path.of("src/main/java"))) {
      return all.filter(file -> file.toString().endsWith(".java")).toList();
    }
  }

  @Test
  void every_code_has_a_sentence() throws IOException {
    TreeSet<String> codes = new TreeSet<>();
    for (Reason reason : Reason.values()) {
      codes.add(reason.name());
    }
    codes.remove(Reason.NOT_CALLABLE.name());
    for (Dialled.Why why : Dialled.Why.values()) {
      codes.add("NOT_CALLABLE_" + why);
    }
    for (Claims.Kind kind : Claims.Kind.values()) {
      codes.add("EXTENSION_OF_" + kind);
    }
    for (PasswordRules.Weakness weakness : PasswordRules.Weakness.values()) {
      codes.add("PASSWORD_" + weakness);
    }
    for (Draft.Flaw flaw : Draft.Flaw.values()) {
      codes.add("CARD_" + flaw);
    }
    for (BadSoundException.Reason reason : BadSoundException.Reason.values()) {
      codes.add("SOUND_" + reason);
    }
    for (Path source : sources()) {
      Matcher code = CODE.matcher(Files.readString(source));
      while (code.find()) {
        codes.add(code.group(1) != null ? code.group(1) : code.group(2));
      }
    }
    assertThat(codes).hasSizeGreaterThan(60);
    JsonNode first = words("api").get("trouble");
    JsonNode later = words("api", "words.view.en.json").get("problem");
    codes.removeIf(code -> first.has(code) || later.has(code));
    assertThat(codes).isEmpty();
    JsonNode notices = words("notices").get("notice");
    for (Notice.What what : Notice.What.values()) {
      assertThat(notices.has(what.name())).as("notice %s", what).isTrue();
    }
  }

  @Test
  void the_server_makes_no_sentences_of_its_own() throws IOException {
    for (Path source : sources()) {
      String code = Files.readString(source).replaceAll("(?s)LOG\\.\\w+\\(.*?\\);", "");
      assertThat(SENTENCE.matcher(code).results().map(found -> found.group()).toList())
          .as(source.toString())
          .isEmpty();
    }
  }
}
