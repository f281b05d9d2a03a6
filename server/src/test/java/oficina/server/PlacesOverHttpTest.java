package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The register of teams and sites. */
@ExtendWith(TestServer.class)
class PlacesOverHttpTest {
  @Test
  void a_team_or_a_site_gets_another_name_and_everybody_there_goes_with_it() {
    try (Client mirela = Client.signedIn("mirela")) {
      String teams = "/api/office/places/teams";
      JsonNode before = mirela.get("/api/office/places").body();
      mirela.put(teams, Map.of("name", "Workshop", "becomes", "Slip & workshop")).done();
      JsonNode found = mirela.get("/api/office/people?text=Slip").body().get("people");
      assertThat(found).isNotEmpty();
      assertThat(found.get(0).get("person").get("team").asString()).isEqualTo("Slip & workshop");
      mirela.put(teams, Map.of("name", "Slip & workshop", "becomes", "Workshop")).done();
      assertThat(mirela.get("/api/office/places").body()).isEqualTo(before);

      assertThat(mirela.put(teams, Map.of("name", "Workshop", "becomes", " ")).code())
          .isEqualTo("TEAM_NAMELESS");
      assertThat(mirela.put(teams, Map.of("name", "Nowhere", "becomes", "There")).code())
          .isEqualTo("NO_SUCH_PLACE");
    }
  }

  @Test
  void two_teams_become_one() {
    try (Client mirela = Client.signedIn("mirela")) {
      String people = "/api/office/people";
      Map<String, Object> person = new HashMap<>(Map.of("name", "Odo Lind", "signInName", "odo"));
      person.putAll(Map.of("role", "EMPLOYEE", "extension", "2977", "directNumber", ""));
      person.putAll(Map.of("team", "Divers", "site", "", "mail", "", "mobile", ""));
      long odo =
          mirela
              .post(people, Map.of("person", person, "password", "a long first password"))
              .done()
              .get("id")
              .asLong();
      mirela
          .put("/api/office/places/teams", Map.of("name", "Divers", "becomes", "Workshop"))
          .done();
      assertThat(mirela.get(people + "/" + odo).body().at("/person/team").asString())
          .isEqualTo("Workshop");
      assertThat(mirela.get("/api/office/places").body().toString()).doesNotContain("Divers");
      mirela.delete(people + "/" + odo).done();
    }
  }
}
