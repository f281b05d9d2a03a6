package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.Map;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Getting in, and not getting in. */
@ExtendWith(TestServer.class)
class SignInTest {
  private static Answer signIn(Client client, String name, String password) {
    return client.post("/api/session", Map.of("name", name, "password", password));
  }

  @Test
  void nothing_but_the_door_is_open_to_strangers() {
    try (Client stranger = new Client(TestServer.get().address())) {
      for (String path :
          new String[] {
            "/api/desk",
            "/api/history",
            "/api/history/1",
            "/api/find?text=a",
            "/api/outside",
            "/api/session"
          }) {
        Answer answer = stranger.get(path);
        assertThat(answer.status()).as(path).isEqualTo(401);
        assertThat(answer.code()).isEqualTo("SIGNED_OUT");
      }
      assertThat(stranger.post("/api/calls", Map.of("to", "212", "device", "x")).status())
          .isEqualTo(401);
      assertThatThrownBy(stranger::connect)
          .hasRootCauseMessage("Unexpected HTTP response status code 401");
    }
  }

  @Test
  void a_forged_request_without_the_token_is_refused() {
    try (Client ines = Client.signedIn("ines")) {
      ines.forget("XSRF-TOKEN");
      String session = ines.cookie("oficina-session");
      assertThat(session).isNotEmpty();
      Answer forged =
          ines.sendWithoutToken("POST", "/api/calls", "{\"to\":\"212\",\"device\":\"x\"}");
      assertThat(forged.status()).isEqualTo(403);
      assertThat(forged.code()).isEqualTo("FORBIDDEN");
    }
  }

  @Test
  void wrong_tries_are_slowed_more_and_more_and_a_right_one_ends_that() {
    try (Client client = new Client(TestServer.get().address())) {
      for (int i = 0; i < 3; i++) {
        assertThat(signIn(client, "petra", "wrong").code()).isEqualTo("WRONG_PASSWORD");
      }
      Answer slowed = signIn(client, "PETRA ", "harbour-light");
      assertThat(slowed.status()).isEqualTo(429);
      assertThat(slowed.response().headers().firstValue("Retry-After")).isPresent();
      TestServer.get().clock().advance(Duration.ofSeconds(1));
      assertThat(signIn(client, "petra", "wrong").status()).isEqualTo(401);
      TestServer.get().clock().advance(Duration.ofSeconds(1));
      assertThat(signIn(client, "petra", "harbour-light").status()).as("2 s by now").isEqualTo(429);
      TestServer.get().clock().advance(Duration.ofSeconds(1));
      assertThat(signIn(client, "petra", "harbour-light").status()).isEqualTo(200);
    }
  }

  @Test
  void a_sign_in_is_by_name_or_extension_and_ends_with_signing_out() {
    try (Client client = new Client(TestServer.get().address())) {
      Answer me = signIn(client, "252", "harbour-light");
      assertThat(me.body().get("name").asString()).isEqualTo("Oskar Lund");
      assertThat(me.body().get("role").asString()).isEqualTo("employee");
      assertThat(client.delete("/api/session").status()).isEqualTo(204);
      assertThat(client.get("/api/session").status()).isEqualTo(401);
    }
    try (Client client = new Client(TestServer.get().address())) {
      assertThat(signIn(client, "mirela", "harbour-light").body().get("role").asString())
          .isEqualTo("administrator");
    }
  }

  @Test
  void a_stolen_cookie_of_before_a_new_password_is_worth_nothing() {
    try (Client davy = Client.signedIn("davy");
        Client thief = Client.signedIn("davy")) {
      thief.forget("oficina-session");
      assertThat(thief.get("/api/desk").status()).as("the signed cookie alone").isEqualTo(200);
      thief.forget("oficina-session");
      Answer changed =
          davy.put(
              "/api/session/password", Map.of("present", "harbour-light", "next", "slack-water-9"));
      assertThat(changed.status()).isEqualTo(204);
      assertThat(thief.get("/api/desk").status()).isEqualTo(401);
      assertThat(davy.get("/api/desk").status()).isEqualTo(200);
    }
  }

  @Test
  void the_cookies_cannot_be_read_by_scripts_but_for_the_token() {
    Client client = new Client(TestServer.get().address());
    Answer answer = signIn(client, "yusuf", "harbour-light");
    assertThat(answer.response().headers().allValues("Set-Cookie"))
        .filteredOn(cookie -> cookie.startsWith("oficina-"))
        .hasSize(2)
        .allMatch(cookie -> cookie.contains("HttpOnly") && cookie.contains("SameSite=Lax"));
    client.close();
  }
}
