package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every operation of the API with bad values, fifty times each: never a failure of the server, and
 * always a problem document with a sentence.
 */
@ExtendWith(TestServer.class)
class FuzzTest {
  private static final JsonMapper JSON = JsonMapper.shared();
  private static final long SEED = 20260615;
  private static final int TIMES = 50;

  /** Values that stand for nothing, as JSON. */
  private static final List<String> BAD =
      List.of(
          "null",
          "\"\"",
          "\" \"",
          "\"\\ud800\"",
          "\"\\u0000\"",
          "\"%00\"",
          "\"../..\"",
          "\"a/b\"",
          "\"" + "x".repeat(300) + "\"",
          "\"" + "🐟".repeat(40) + "\"",
          "-1",
          "0",
          "1e400",
          "9223372036854775807",
          "92233720368547758080",
          "0.5",
          "true",
          "[]",
          "{}",
          "[null]",
          "[[[]]]",
          "\"+1000000000-01-01T00:00:00Z_1\"",
          "\"-1000000000-01-01T00:00:00Z_1\"",
          "\"tel:%zz\"",
          "\"+49\"",
          "\"+499999999999999\"",
          "\"'; drop table person; --\"",
          "\"<script>\"",
          "\"NaN\"",
          "{\"a\":{\"a\":{\"a\":1}}}");

  /** Bodies that are no documents. */
  private static final List<String> NO_DOCUMENT =
      List.of("", "{", "[", "nonsense", "\"text\"", "7", "[]", "{\"a\":}", "\u0000", "{}x", "null");

  private final Random random = new Random(SEED);
  private final Set<String> sentences = new HashSet<>();

  FuzzTest() throws IOException {
    for (String file : List.of("words.en.json", "words.view.en.json")) {
      JSON.readTree(Path.of("../web/src/api", file).toFile())
          .forEach(group -> sentences.addAll(group.propertyNames()));
    }
  }

  private String oneOf(List<String> all) {
    return all.get(random.nextInt(all.size()));
  }

  /** Not the identity of anybody or anything. */
  private String badInAddress() {
    String text = oneOf(BAD).replaceAll("^\"|\"$", "").replace("\\ud800", "�");
    return URLEncoder.encode(text.isEmpty() ? " " : text, StandardCharsets.UTF_8)
        .replace("+", "%20");
  }

  @Test
  void bad_values_never_make_the_server_fail_and_are_always_answered_with_what_to_do() {
    Client client = Client.withoutPage(TestServer.get().address(), "mirela");
    JsonNode api = client.get("/api/description").body();
    List<String> wrong = new ArrayList<>();
    int asked = 0;
    for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
      for (Map.Entry<String, JsonNode> operation : path.getValue().properties()) {
        for (int i = 0; i < TIMES; i++) {
          String address = address(path.getKey(), operation.getValue());
          String body = body(operation.getValue(), api);
          String method = operation.getKey().toUpperCase(Locale.ROOT);
          Answer answer = client.send(method, address, body);
          asked++;
          if (!isGood(answer)) {
            wrong.add("%s %s %s: %s".formatted(method, address, body, answer));
          }
          if (answer.status() == 401) {
            client = Client.withoutPage(TestServer.get().address(), "mirela");
          }
          if (path.getKey().endsWith("/callers") && answer.status() == 204) {
            // "true" is no bad value here; nobody may call in by themselves during later tests.
            client.put(path.getKey(), Map.of("on", false));
          }
        }
      }
    }
    assertThat(wrong).isEmpty();
    assertThat(asked).isGreaterThan(40 * TIMES);
  }

  private boolean isGood(Answer answer) {
    if (answer.status() < 400) {
      return true;
    }
    String type = answer.response().headers().firstValue("Content-Type").orElse("");
    return answer.status() < 500
        && type.startsWith("application/problem+json")
        && sentences.contains(answer.code());
  }

  private String address(String template, JsonNode operation) {
    StringBuilder query = new StringBuilder();
    for (JsonNode parameter : operation.path("parameters")) {
      if (parameter.get("in").asString().equals("query") && random.nextInt(4) > 0) {
        query
            .append(query.isEmpty() ? '?' : '&')
            .append(parameter.get("name").asString())
            .append('=')
            .append(badInAddress());
      }
    }
    return filled(template) + query;
  }

  private String filled(String template) {
    StringBuilder address = new StringBuilder();
    for (String part : template.substring(1).split("/")) {
      address.append('/').append(part.startsWith("{") ? badInAddress() : part);
    }
    return address.toString();
  }

  private String body(JsonNode operation, JsonNode api) {
    JsonNode content = operation.path("requestBody").path("content");
    if (content.isEmpty()) {
      return null;
    }
    if (random.nextInt(5) == 0 || !content.has("application/json")) {
      return oneOf(NO_DOCUMENT); // also where a file is wanted
    }
    String schema = content.iterator().next().get("schema").get("$ref").asString();
    JsonNode properties = api.at(schema.substring(schema.indexOf('/'))).get("properties");
    StringBuilder text = new StringBuilder("{");
    for (Map.Entry<String, JsonNode> property : properties.properties()) {
      if (random.nextInt(6) > 0) {
        text.append(text.length() > 1 ? "," : "")
            .append('"')
            .append(property.getKey())
            .append("\":")
            .append(oneOf(BAD));
      }
    }
    return text.append("}").toString();
  }
}
