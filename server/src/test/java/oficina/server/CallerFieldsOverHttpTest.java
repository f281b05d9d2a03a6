package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What members of a line see of its callers: the number they key in, and what the office knows. */
class CallerFieldsOverHttpTest extends FreightOverHttp {
  private final ConcurrentLinkedQueue<String> asked = new ConcurrentLinkedQueue<>();
  private final ExecutorService threads = Executors.newCachedThreadPool();
  private HttpServer office;

  @BeforeEach
  void an_address_of_the_office() throws IOException {
    office = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    office.setExecutor(threads);
    office.createContext(
        "/known", each -> answer(each, 200, "{\"Sailing\":\"Skerry 8:15\",\"Vans\":2}"));
    office.createContext("/wrong", each -> answer(each, 200, "[\"no object\"]"));
    office.createContext("/long", each -> answer(each, 200, "\"" + "x".repeat(100_000) + "\""));
    office.createContext("/fails", each -> answer(each, 500, "{}"));
    office.createContext("/unknown", each -> answer(each, 404, ""));
    office.createContext("/never", each -> {}); // and is never answered
    office.start();
  }

  @AfterEach
  void closed() {
    office.stop(0);
    threads.shutdownNow();
  }

  private void answer(HttpExchange exchange, int status, String body) throws IOException {
    asked.add(exchange.getRequestURI().getQuery());
    byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
    exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
    try (exchange) {
      exchange.getResponseBody().write(bytes);
    }
  }

  private Answer keeps(String asks, String address) {
    Map<String, Object> settings = settings();
    settings.put("asks", asks);
    settings.put("address", address);
    settings.put("fields", List.of("COMPANY"));
    return boss.put(kept, settings);
  }

  private String address(String path) {
    return "http://127.0.0.1:%d/%s?number={number}&booking={digits}"
        .formatted(office.getAddress().getPort(), path);
  }

  private static String fields(String call) {
    return "/api/calls/" + call + "/caller-fields";
  }

  @Test
  void what_the_caller_keys_in_is_there_when_it_rings_and_what_the_office_knows_beside_it() {
    assertThat(keeps("booking", address("known")).status()).isEqualTo(204);
    calls(DOV);
    assertThat(queue().get("waiting")).as("they were not asked yet").isEmpty();
    assertThat(stranger.post(DOV + "/keys", Map.of("digits", "4712*471100")).status())
        .isEqualTo(204);
    JsonNode rings = tomasz.awaitCall("RINGING");
    assertThat(rings.get("queued").get("given").asString()).isEqualTo("471100");
    assertThat(rings.get("queued").get("asked").asString()).isEqualTo("booking");
    String call = rings.get("id").asString();
    JsonNode seen = tomasz.get(fields(call)).body();
    assertThat(seen.get("fields").toString())
        .contains(
            "{\"name\":\"Sailing\",\"value\":\"Skerry 8:15\"}",
            "{\"name\":\"Vans\",\"value\":\"2\"}");
    assertThat(seen.has("trouble")).isFalse();
    assertThat(asked).containsExactly("number=+441514960177&booking=471100");
    tomasz.get(fields(call));
    assertThat(asked).as("each caller once").hasSize(1);
    assertThat(stranger.get(fields(call)).code()).isEqualTo("NO_SUCH_CALL");
    assertThat(boss.get(fields(call)).code())
        .as("nor who leads the office")
        .isEqualTo("NO_SUCH_CALL");
  }

  @Test
  void an_address_that_is_slow_wrong_or_fails_costs_the_call_nothing_and_is_said() {
    keeps("", address("known"));
    calls(DOV);
    String call = tomasz.awaitCall("RINGING").get("id").asString();
    Map<String, String> troubles =
        Map.of("never", "SLOW", "wrong", "WRONG", "long", "FAILED", "fails", "FAILED");
    troubles.forEach(
        (path, trouble) -> {
          keeps("", address(path));
          assertThat(tomasz.get(fields(call)).body().get("trouble").asString())
              .as(path)
              .isEqualTo(trouble);
        });
    keeps("", address("unknown"));
    assertThat(tomasz.get(fields(call)).body().has("trouble")).isFalse();
    keeps("", "http://127.0.0.1:9/nobody");
    assertThat(tomasz.get(fields(call)).body().get("trouble").asString()).isEqualTo("FAILED");
    assertThat(tomasz.service(call, "answer").status()).isEqualTo(204);
  }

  @Test
  void what_is_no_address_is_refused_and_nothing_is_changed() {
    for (String each :
        List.of("bookings", "file:///etc/passwd", "http://", "http://a b/{number}")) {
      assertThat(keeps("cargo", each).code()).as(each).isEqualTo("NO_ADDRESS");
    }
    JsonNode lines = boss.get("/api/office/queues").body().get("lines");
    assertThat(lines.toString()).doesNotContain("cargo");
  }
}
