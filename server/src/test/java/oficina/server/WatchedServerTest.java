package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a machine that watches an office reads of it, and what its administrators are told. */
class WatchedServerTest {
  private static final String TOKEN = "a-token-of-the-office";

  @TempDir private Path folder;

  @Test
  void an_office_is_watched_without_a_word_about_anybody() throws Exception {
    Path backup = folder.resolve("last-backup");
    Path password = folder.resolve("first-password");
    try (ServerProcess server =
        new ServerProcess(
            "--oficina.demo=false",
            "--oficina.metrics-token=" + TOKEN,
            "--oficina.last-backup=" + backup,
            "--oficina.first-password-file=" + password,
            "--logging.structured.format.console=oficina.server.logs.NamelessLines")) {
      server.start();
      Client admin = new Client(server.address());
      String first = Files.readString(password).strip();
      assertThat(Files.getPosixFilePermissions(password)).hasSize(2);
      admin.post("/api/session", Map.of("name", "admin", "password", first)).done();
      admin
          .put("/api/session/password", Map.of("present", first, "next", "nobody else knows"))
          .done();

      JsonNode system = admin.get("/api/office/system").body();
      assertThat(system.get("alarms").toString()).isEqualTo("[\"NO_BACKUP\"]");
      assertThat(system.at("/state/version/database").asString()).contains("MariaDB");
      assertThat(system.at("/state/version/schema").asInt()).isGreaterThan(20);
      assertThat(system.at("/state/room/total").asLong()).isPositive();

      Files.writeString(backup, Instant.now().minus(Duration.ofHours(9)) + "\n");
      assertThat(admin.get("/api/office/alarms").body()).isEmpty();
      Files.writeString(backup, Instant.now().minus(Duration.ofDays(3)) + "\n");
      assertThat(admin.get("/api/office/alarms").body().toString()).contains("BACKUP_OLD");

      assertThat(metrics(server, "Bearer another").statusCode()).isEqualTo(401);
      HttpResponse<String> metrics = metrics(server, "Bearer " + TOKEN);
      assertThat(metrics.statusCode()).isEqualTo(200);
      assertThat(metrics.headers().firstValue("Content-Type").orElseThrow())
          .startsWith("application/openmetrics-text");
      assertThat(metrics.body())
          .contains("oficina_database_up 1.0", "oficina_outside_lines 8.0")
          .contains("oficina_alarm{what=\"BACKUP_OLD\"} 1.0")
          .contains("oficina_refused_total{reason=\"SIGNED_OUT\"} 1.0")
          .endsWith("# EOF\n");

      wrongName(server, "Philippa 0191 498 0123");
    }
  }

  private static HttpResponse<String> metrics(ServerProcess server, String authorization)
      throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(server.address() + "/api/metrics"))
            .header("Authorization", authorization)
            .build();
    return HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString());
  }

  /** Every line is JSON; what somebody has typed is in none, also when it went wrong with it. */
  private static void wrongName(ServerProcess server, String typed) {
    Client stranger = new Client(server.address());
    stranger.post("/api/session", Map.of("name", typed, "password", "whatever it is"));
    assertThat(server.log().lines().filter(line -> !line.isBlank()))
        .isNotEmpty()
        .allSatisfy(line -> JsonMapper.shared().readTree(line).get("level"));
    assertThat(server.log()).contains("A new office: the password").doesNotContain(typed);
  }
}
