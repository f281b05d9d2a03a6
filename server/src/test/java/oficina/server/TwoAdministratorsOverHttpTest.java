package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Two administrators at once. */
@ExtendWith(TestServer.class)
class TwoAdministratorsOverHttpTest {
  @Test
  void of_two_who_change_one_thing_at_once_the_later_one_is_told() {
    try (Client mirela = Client.signedIn("mirela")) {
      long id =
          mirela
              .post(
                  "/api/office/people", OfficeOverHttpTest.joining("Isolde Tarn", "isolde", "298"))
              .done()
              .get("id")
              .asLong();
      String path = "/api/office/people/" + id;
      int shown = mirela.get(path).body().get("version").asInt();
      Map<String, Object> one =
          new HashMap<>(OfficeOverHttpTest.person("Isolde Tarn", "isolde", "299"));
      Map<String, Object> other =
          new HashMap<>(OfficeOverHttpTest.person("Isolde Tarnish", "isolde", "298"));

      mirela.put(path + "?version=" + shown, one).done();
      assertThat(mirela.put(path + "?version=" + shown, other).code())
          .isEqualTo("CHANGED_MEANWHILE");
      assertThat(mirela.get(path).body().at("/person/extension").asString()).isEqualTo("299");
      int now = mirela.get(path).body().get("version").asInt();
      mirela.put(path + "?version=" + now, other).done();

      JsonNode line = mirela.get("/api/office/lines").body().get(0);
      String at = "/api/office/lines/" + line.get("id").asLong();
      int before = line.get("version").asInt();
      assertThat(mirela.put(at + "?version=" + (before + 1), line.get("line")).code())
          .isEqualTo("CHANGED_MEANWHILE");
      mirela.put(at + "?version=" + before, line.get("line")).done();
      JsonNode office = mirela.get("/api/office/identity").body();
      assertThat(mirela.put("/api/office/identity?version=1", office.get("identity")).code())
          .isEqualTo("CHANGED_MEANWHILE");
      mirela.delete(path).done();
    }
  }
}
