package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Requests that no browser would send are refused with a problem document, and harm nobody. */
@ExtendWith(TestServer.class)
class DoorTest {
  private static final String HOST = URI.create(TestServer.get().address()).getAuthority();

  /** Sends these very bytes, and returns what comes back. */
  private static String raw(String request) throws IOException {
    try (Socket socket =
        new Socket("127.0.0.1", URI.create(TestServer.get().address()).getPort())) {
      socket.setSoTimeout(20_000);
      socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
      return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  private static String request(String line, String... headers) {
    return line
        + " HTTP/1.1\r\nHost: "
        + HOST
        + "\r\nConnection: close\r\n"
        + String.join("", headers)
        + "\r\n";
  }

  private static void refused(String answer, int status, String code) {
    assertThat(answer)
        .startsWith("HTTP/1.1 " + status)
        .contains("application/problem+json")
        .contains("X-Content-Type-Options: nosniff")
        .contains("Content-Security-Policy: default-src 'self'")
        .containsPattern("Cache-Control: [a-z, -]*no-store");
    JsonNode document =
        JsonMapper.shared()
            .readTree(answer.substring(answer.indexOf('{'), answer.lastIndexOf('}') + 1));
    assertThat(document.get("code").asString()).isEqualTo(code);
  }

  @ParameterizedTest
  @CsvSource({
    "GET /%00, 400, ADDRESS_MALFORMED",
    "GET /api/%2Fdesk, 400, ADDRESS_MALFORMED",
    "GET /api/desk/../session/x, 400, ADDRESS_MALFORMED",
    "GET /api/session;a=b, 400, ADDRESS_MALFORMED",
    "GET //api//session, 400, ADDRESS_MALFORMED",
    "GET /api/find?text=%, 400, ADDRESS_MALFORMED",
    "GET /api/find?text=%ff%fe, 400, ADDRESS_MALFORMED",
    "GET /api/find?text=%ed%a0%80, 400, ADDRESS_MALFORMED",
    "GET /api/find?text=%07, 400, ADDRESS_MALFORMED",
    "GET /nowhere, 404, NOT_FOUND",
    "TRACE /, 405, METHOD_NOT_ALLOWED",
    "PROPFIND /, 400, ADDRESS_MALFORMED",
    "GET /WEB-INF/web.xml, 404, NOT_FOUND",
    "POST /error, 403, FORBIDDEN",
    "GET /error, 404, NOT_FOUND",
  })
  void an_odd_address_or_method(String line, int status, String code) throws IOException {
    refused(raw(request(line)), status, code);
  }

  @Test
  void an_authority_instead_of_an_address() throws IOException {
    refused(raw(request("CONNECT " + HOST)), 405, "METHOD_NOT_ALLOWED");
  }

  @Test
  void too_long_an_address_and_too_many_headers() throws IOException {
    refused(raw(request("GET /api/find?text=" + "a".repeat(4_000))), 414, "ADDRESS_TOO_LONG");
    assertThat(raw(request("GET /", "X-Long: " + "a".repeat(20_000) + "\r\n")))
        .startsWith("HTTP/1.1 400");
  }

  @Test
  void a_body_that_is_not_json_or_too_large() throws IOException {
    String type = "Content-Type: ";
    refused(
        raw(request("POST /api/session", type + "*/*\r\n", "Content-Length: 2\r\n") + "{}"),
        415,
        "NOT_JSON");
    refused(
        raw(request("POST /api/session", type + "a/b/c\r\n", "Content-Length: 2\r\n") + "{}"),
        415,
        "NOT_JSON");
    refused(
        raw(
            request(
                "POST /api/session",
                type + "application/json\r\n",
                "Content-Length: 99999999\r\n")),
        413,
        "BODY_TOO_LARGE");
    Client client = new Client(TestServer.get().address());
    client.get("/api/session");
    String token = client.cookie("XSRF-TOKEN");
    String chunk = "10000\r\n{\"name\":\"" + " ".repeat(0x10000 - 9) + "\r\n";
    refused(
        raw(
            request(
                    "POST /api/session",
                    type + "application/json\r\n",
                    "Transfer-Encoding: chunked\r\n",
                    "X-XSRF-TOKEN: " + token + "\r\nCookie: XSRF-TOKEN=" + token + "\r\n")
                + chunk
                + chunk
                + "0\r\n\r\n"),
        413,
        "BODY_TOO_LARGE");
  }

  @Test
  void what_browsers_may_keep_and_tell_others() throws IOException {
    String page = raw(request("GET /"));
    assertThat(page).contains("Referrer-Policy: no-referrer").contains("no-store");
    Matcher asset = Pattern.compile("/assets/[^\"]+\\.js").matcher(page);
    assertThat(asset.find()).isTrue();
    assertThat(raw(request("GET " + asset.group())))
        .contains("max-age=31536000, public, immutable");
  }

  @Test
  void a_page_of_another_site_and_a_cookie_of_nobody() throws IOException {
    refused(raw(request("GET /api/push", "Origin: nonsense\r\n")), 403, "OTHER_ORIGIN");
    refused(raw(request("GET /api/desk", "Origin: http://evil.example\r\n")), 403, "OTHER_ORIGIN");
    refused(raw(request("GET /api/desk", "Origin: https://" + HOST + "\r\n")), 403, "OTHER_ORIGIN");
    refused(raw(request("GET /api/desk", "Origin: http://" + HOST + "\r\n")), 401, "SIGNED_OUT");
    refused(raw(request("GET /api/desk", "Cookie: oficina-sign-in=JSUl\r\n")), 401, "SIGNED_OUT");
    try (Client joss = Client.signedIn("joss")) {
      String cookie = "Cookie: oficina-sign-in=" + joss.cookie("oficina-sign-in") + "\r\n";
      refused(raw(request("GET /api/push", cookie)), 400, "NOT_A_SOCKET");
      // Nor is a window a telephone, one's own or another's.
      for (String name : List.of("no%20name", "outside", "stand-in", "phone-1", "phone-9")) {
        refused(
            raw(
                request(
                    "GET /api/push?device=" + name,
                    cookie,
                    "Upgrade: websocket\r\nSec-WebSocket-Version: 13\r\n",
                    "Sec-WebSocket-Key: dGhlIHNhbXBsZSBub25jZQ==\r\n")),
            400,
            "FIELDS_WRONG");
      }
    }
  }

  @Test
  void a_text_that_is_no_text_comes_in_nowhere_and_blinds_no_page() {
    try (Client ines = Client.signedIn("ines");
        Client joss = Client.signedIn("joss")) {
      String call = ines.call("01514960177");
      for (String note : new String[] {"\\ud800", "a\\u0000b", "\\u001b[31m", "\\uffff"}) {
        Client.Answer answer =
            ines.send(
                "POST",
                "/api/calls/" + call + "/park",
                "{\"slot\":\"61\",\"note\":\"" + note + "\"}");
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.code()).isEqualTo("FIELDS_WRONG");
        assertThat(answer.body().get("about").get("fields").asString()).isEqualTo("note");
      }
      assertThat(ines.service(call, "hold").status()).isIn(204, 409);
      ines.service(call, "clear");
      joss.await(push -> push.path("people").toString().contains("Ines Calloway"));
    }
  }
}
