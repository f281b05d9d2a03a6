package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The numbers that a network has given to the office, and who gets them. */
@ExtendWith(TestServer.class)
class NumberRangesOverHttpTest {
  private static final String IDENTITY = "/api/office/identity";
  private static final String PEOPLE = "/api/office/people";

  private final Client mirela = Client.signedIn("mirela");

  @AfterEach
  void out() {
    ranges();
    mirela.close();
  }

  private Client.Answer ranges(String... typed) {
    ObjectNode identity = (ObjectNode) mirela.get(IDENTITY).done().get("identity");
    List.of(typed).forEach(identity.putArray("ranges")::add);
    return mirela.put(IDENTITY, identity);
  }

  private Map<String, Object> withNumber(String number) {
    Map<String, Object> person = OfficeOverHttpTest.person("Isolde Marr", "isolde", "298");
    person.put("directNumber", number);
    return person;
  }

  @Test
  void people_and_lines_get_none_but_these_and_are_offered_those_that_are_free() {
    JsonNode first = mirela.get(PEOPLE).done().at("/people/0");
    String theirs = first.at("/person/directNumber").asString();
    assertThat(theirs).isNotEmpty();
    assertThat(ranges("all of them").code()).isEqualTo("RANGE_UNREADABLE");
    assertThat(ranges("0191 498 0700 – 0709", "0191 498 0800").status()).isEqualTo(204);
    JsonNode office = mirela.get(IDENTITY).done();
    assertThat(office.at("/identity/ranges").toString())
        .isEqualTo("[\"0191 498 0700 – 0191 498 0709\",\"0191 498 0800\"]");
    assertThat(office.get("freeCount").asInt()).isEqualTo(11);
    assertThat(office.at("/free/0").asString()).isEqualTo("0191 498 0700");

    Map<String, Object> joining =
        Map.of("person", withNumber("0191 498 0710"), "password", OfficeOverHttpTest.GIVEN);
    assertThat(mirela.post(PEOPLE, joining).code()).isEqualTo("NUMBER_OUTSIDE_RANGES");
    String file = "name,extension,direct_number,team\nIsolde Marr,298,0191 498 0710,Freight\n";
    assertThat(
            mirela
                .upload(
                    "/api/office/people-file", file.getBytes(StandardCharsets.UTF_8), "text/csv")
                .body()
                .toString())
        .contains("NUMBER_OUTSIDE_RANGES");
    joining = Map.of("person", withNumber("0191 498 0700"), "password", OfficeOverHttpTest.GIVEN);
    long id = mirela.post(PEOPLE, joining).done().get("id").asLong();
    assertThat(mirela.get(IDENTITY).done().at("/free/0").asString()).isEqualTo("0191 498 0701");
    assertThat(mirela.put(PEOPLE + "/" + first.get("id"), first.get("person")).status())
        .as("whoever has another one keeps it")
        .isEqualTo(204);
    mirela.delete(PEOPLE + "/" + id).done();
    assertThat(ranges("0191 498 0800").status()).isEqualTo(204);
    assertThat(mirela.post(PEOPLE + "/" + id + "/return", Map.of()).status())
        .as("also when they come back with it")
        .isEqualTo(204);
    mirela.delete(PEOPLE + "/" + id).done();
  }
}
