package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** An office that begins with nothing: one administrator, no demo people, no known password. */
class NewOfficeTest {
  private static final Pattern PASSWORD =
      Pattern.compile("Sign in as admin with the password (\\S+)");

  @Test
  void an_empty_database_gets_one_administrator_who_chooses_a_password_first() {
    try (ServerProcess server =
        new ServerProcess("--oficina.demo=false", "--oficina.demo-past=true")) {
      server.start();
      Matcher said = PASSWORD.matcher(server.log());
      assertThat(said.find()).as(server.log()).isTrue();
      String password = said.group(1);
      assertThat(said.find()).as("said once").isFalse();
      assertThat(server.log()).doesNotContain("demo office");

      Client admin = new Client(server.address());
      assertThat(
              admin
                  .post("/api/session", Map.of("name", "ines", "password", "harbour-light"))
                  .code())
          .as("nobody of the demo")
          .isEqualTo("WRONG_PASSWORD");
      assertThat(admin.post("/api/session", Map.of("name", "admin", "password", password)).status())
          .isEqualTo(200);
      assertThat(admin.post("/api/calls", Map.of("to", "100", "device", "x")).code())
          .isEqualTo("PASSWORD_MUST_CHANGE");
      Map<String, String> own = Map.of("present", password, "next", "nobody else knows");
      assertThat(admin.put("/api/session/password", own).status()).isEqualTo(204);
      assertThat(admin.get("/api/office/identity").body().get("missing").toString())
          .contains("MAIN_NUMBER", "PEOPLE", "LINES", "FRONT_DESK");
      Map<String, Object> first = OfficeOverHttpTest.joining("Odile Marr", "odile", "101");
      assertThat(admin.post("/api/office/people", first).status()).isEqualTo(201);
      assertThat(admin.get("/api/find?text=odile").body().toString()).contains("Odile Marr");
      assertThat(admin.get("/api/history").body().get("entries")).as("no invented past").isEmpty();
      server.kill();
      server.start();
      assertThat(PASSWORD.matcher(server.log()).results().count()).as("not again").isEqualTo(1);
    }
  }
}
