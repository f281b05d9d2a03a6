package oficina.server.problems;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The sentences of problems, from the one catalogue of words that the pages use too. */
@Component
class Words {
  private final JsonNode problems;

  Words(JsonMapper json) {
    try (InputStream file = Words.class.getResourceAsStream("/words/en.json")) {
      problems = json.readTree(file).get("problem");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The sentence of this code, with what it speaks of filled in. */
  String sentence(String code, Map<String, String> about) {
    String sentence = problems.path(code).asString("");
    if (sentence.isEmpty()) {
      throw new IllegalArgumentException("no sentence for problem " + code);
    }
    for (Map.Entry<String, String> each : about.entrySet()) {
      sentence = sentence.replace("{{" + each.getKey() + "}}", each.getValue());
    }
    return sentence;
  }
}
