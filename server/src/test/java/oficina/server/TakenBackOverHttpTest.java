package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Taking back that somebody has left, or that a line was taken away. */
@ExtendWith(TestServer.class)
class TakenBackOverHttpTest {
  private static final String PEOPLE = "/api/office/people/";
  private static final String LINES = "/api/office/lines";

  private final Client mirela = Client.signedIn("mirela");

  @AfterEach
  void out() {
    mirela.close();
  }

  private long joins(String name, String signInName, String extension) {
    return mirela
        .post("/api/office/people", OfficeOverHttpTest.joining(name, signInName, extension))
        .done()
        .get("id")
        .asLong();
  }

  private static Map<String, Object> line(String name, String extension, long... members) {
    Map<String, Object> line = new HashMap<>();
    line.put("name", name);
    line.put("extension", extension);
    line.put("number", "");
    line.put("members", members);
    line.put("ringSeconds", 25);
    line.put("mailbox", true);
    return line;
  }

  private JsonNode line(long id) {
    for (JsonNode each : mirela.get(LINES).body()) {
      if (each.get("id").asLong() == id) {
        return each;
      }
    }
    throw new AssertionError("There is no line " + id);
  }

  @Test
  void whoever_has_left_is_there_again_with_lines_and_password() {
    long keziah = joins("Keziah Thorne", "keziah", "297");
    long own = mirela.get("/api/session").body().get("id").asLong();
    long watch =
        mirela.post(LINES, line("Tide watch", "388", keziah, own)).done().get("id").asLong();
    JsonNode before = mirela.get(PEOPLE + keziah).done();
    JsonNode lineBefore = line(watch);

    mirela.delete(PEOPLE + keziah).done();
    assertThat(line(watch).at("/line/members")).hasSize(1);
    long another = joins("Orla Finch", "orla", "297");
    assertThat(mirela.post(PEOPLE + keziah + "/return", Map.of()).code())
        .isEqualTo("EXTENSION_OF_PERSON");
    mirela.delete(PEOPLE + another).done();
    mirela.post(PEOPLE + keziah + "/return", Map.of()).done();

    assertThat(mirela.get(PEOPLE + keziah).done()).isEqualTo(before);
    assertThat(line(watch)).as("in the same order").isEqualTo(lineBefore);
    Client visitor = new Client(TestServer.get().address());
    assertThat(visitor.signIn("keziah", OfficeOverHttpTest.GIVEN).status()).isEqualTo(200);
    assertThat(mirela.post(PEOPLE + keziah + "/return", Map.of()).code())
        .as("once")
        .isEqualTo("TOO_LATE_TO_TAKE_BACK");
    mirela.delete(LINES + "/" + watch).done();
    mirela.delete(PEOPLE + keziah).done();
    String whom = "/api/office/personal?person=" + keziah;
    mirela.delete(whom).done();
    assertThat(mirela.post(PEOPLE + keziah + "/return", Map.of()).code())
        .as("erased meanwhile")
        .isEqualTo("TOO_LATE_TO_TAKE_BACK");
  }

  @Test
  void a_line_that_was_taken_away_is_there_again_with_what_it_had() {
    long own = mirela.get("/api/session").body().get("id").asLong();
    long watch = mirela.post(LINES, line("Fog watch", "389", own)).done().get("id").asLong();
    String greeting = "/api/greetings/g" + watch + "/CLOSED";
    mirela.put(greeting + "/typed", Map.of("text", "The fog has lifted.")).done();
    JsonNode before = line(watch);
    mirela.delete(LINES + "/" + watch).done();
    assertThat(mirela.put(greeting + "/typed", Map.of("text", "x")).code())
        .isEqualTo("NO_SUCH_MAILBOX");
    mirela.post(LINES + "/" + watch + "/return", Map.of()).done();
    assertThat(line(watch)).isEqualTo(before);
    assertThat(mirela.get("/api/greetings").body().toString()).contains("The fog has lifted.");
    mirela.delete(LINES + "/" + watch).done();
    assertThat(mirela.get(LINES).body().toString()).doesNotContain("Fog watch");
  }
}
