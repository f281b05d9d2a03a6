package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URLEncoder;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
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
          "\"+1000000000-01-01T00:00:00Z\"",
          "\"9999-12-31T23:59:59.999999999Z\"",
          "\"0000-01-01T00:00:00Z\"",
          "\"+999999999-12-31\"",
          "\"-0001-01-01\"",
          "\"tel:%zz\"",
          "\"+49\"",
          "\"+499999999999999\"",
          "\"'; drop table person; --\"",
          "\"<script>\"",
          "\"NaN\"",
          "{\"a\":{\"a\":{\"a\":1}}}");

  private static final List<String> BAD_TIMES =
      List.of(
          "%2B1000000000-12-31T23:59:59Z",
          "-1000000000-01-01T00:00:00Z",
          "9999-12-31T23:59:59.999999999Z",
          "0000-01-01T00:00:00Z",
          "%2B999999999-12-31",
          "-0001-01-01",
          "2026-02-30");

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

  /** Files that are none of their kind, or none that anybody has use for. */
  private static List<byte[]> badFiles() {
    List<byte[]> files = new ArrayList<>();
    for (int format : new int[] {0, 1, 3, 6, 7, 0xFFFE}) {
      for (int bits : new int[] {0, 8, 12, 16, 24, 32, 64}) {
        files.add(wav(format, bits));
      }
    }
    for (String text :
        List.of(
            "MThd\0\0\0\6\0\0\0\1\0\u0060MTrk\0\0\0\4\0\u00ff\57\0",
            "FORM\0\0\0\56AIFFCOMM\0\0\0\22",
            ".snd\0\0\0\30\0\0\0\0\0\0\0\1\0\0\37\100\0\0\0\1abcd",
            "RIFF",
            "GIF89a",
            "BM",
            "\u0089PNG\r\n\u001a\n",
            "a\n".repeat(5_000),
            "BEGIN:VCARD\n".repeat(5_000),
            "name,number\n\"a\n\"b\"c\n",
            "BEGIN:VCALENDAR\nBEGIN:VEVENT\nDTSTART:99990101\nRRULE:FREQ=YEARLY\nEND:VEVENT\n",
            "BEGIN:VCALENDAR\nBEGIN:VEVENT\nDTSTART:00010101\nEND:VEVENT\n")) {
      files.add(text.getBytes(StandardCharsets.ISO_8859_1));
    }
    return files;
  }

  private static byte[] wav(int format, int bits) {
    int frame = Math.max(1, bits / 8);
    return ByteBuffer.allocate(144)
        .order(ByteOrder.LITTLE_ENDIAN)
        .put("RIFF".getBytes(StandardCharsets.US_ASCII))
        .putInt(136)
        .put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII))
        .putInt(16)
        .putShort((short) format)
        .putShort((short) 1)
        .putInt(16_000)
        .putInt(16_000 * frame)
        .putShort((short) frame)
        .putShort((short) bits)
        .put("data".getBytes(StandardCharsets.US_ASCII))
        .putInt(99)
        .array();
  }

  @Test
  void files_that_are_none_never_make_the_server_fail() {
    List<String> wrong = new ArrayList<>();
    try (Client mirela = Client.signedIn("mirela")) {
      for (Map.Entry<String, String> place :
          Map.of(
                  "/api/greetings/p1/BUSY/sound?until=9999-12-31T00:00:00Z", "audio/wav",
                  "/api/office/hold-music?name=x", "audio/wav",
                  "/api/contact-imports", "text/vcard",
                  "/api/contact-imports?own=true", "text/csv",
                  "/api/blocks/file?answer=BUSY", "text/csv",
                  "/api/office/holidays", "text/calendar",
                  "/api/contacts/1/picture", "image/png")
              .entrySet()) {
        for (byte[] file : badFiles()) {
          Answer answer = mirela.upload(place.getKey(), file, place.getValue());
          if (!isGood(answer)) {
            wrong.add(place + " " + Arrays.toString(Arrays.copyOf(file, 60)) + ": " + answer);
          }
        }
      }
      mirela.delete("/api/office/hold-music");
    }
    assertThat(wrong).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"mirela", "lotte"})
  void bad_values_never_make_the_server_fail_and_are_always_answered_with_what_to_do(String who) {
    Client client = Client.withoutPage(TestServer.get().address(), who);
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
            client = Client.withoutPage(TestServer.get().address(), who);
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
            .append(
                parameter.path("schema").path("format").asString("").startsWith("date")
                    ? oneOf(BAD_TIMES)
                    : badInAddress());
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
