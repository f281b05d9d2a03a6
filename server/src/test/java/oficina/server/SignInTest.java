package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Getting in, and not getting in. */
@ExtendWith(TestServer.class)
class SignInTest {
  private static Answer signIn(Client client, String name, String password) {
    return client.signIn(name, password);
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
            "/api/session/sign-ins"
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
      assertThat(ines.cookie("oficina-sign-in")).isNotEmpty();
      Answer forged =
          ines.sendWithoutToken("POST", "/api/calls", "{\"to\":\"212\",\"device\":\"x\"}");
      assertThat(forged.status()).isEqualTo(403);
      assertThat(forged.code()).isEqualTo("FORBIDDEN");
    }
  }

  /** Otherwise whoever asks for two things at once would come with the token of before. */
  @Test
  void the_token_stays_the_same_while_one_is_signed_in() {
    try (Client ines = Client.signedIn("ines")) {
      String token = ines.cookie("XSRF-TOKEN");
      assertThat(ines.get("/api/desk").status()).isEqualTo(200);
      assertThat(ines.put("/api/session/tips", Map.of("seen", true)).status()).isEqualTo(204);
      assertThat(ines.cookie("XSRF-TOKEN")).isEqualTo(token);
    }
  }

  @Test
  void after_three_wrong_tries_even_the_right_one_waits() {
    try (Client client = new Client(TestServer.get().address())) {
      for (int i = 0; i < 3; i++) {
        assertThat(signIn(client, "petra", "wrong").code()).isEqualTo("WRONG_PASSWORD");
      }
      Answer slowed = signIn(client, "PETRA ", "harbour-light");
      assertThat(slowed.status()).isEqualTo(429);
      assertThat(slowed.response().headers().firstValue("Retry-After")).isPresent();
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
      assertThat(client.get("/api/session").status()).as("nobody").isEqualTo(204);
    }
    try (Client client = new Client(TestServer.get().address())) {
      assertThat(signIn(client, "mirela", "harbour-light").body().get("role").asString())
          .isEqualTo("administrator");
    }
  }

  @Test
  void a_new_password_ends_all_other_sign_ins_and_renews_this_one() {
    try (Client davy = Client.signedIn("davy");
        Client elsewhere = Client.signedIn("davy")) {
      String cookie = davy.cookie("oficina-sign-in");
      String token = davy.cookie("XSRF-TOKEN");
      assertThat(change(davy, "harbour-light", "slack-water-9").status()).isEqualTo(204);
      assertThat(elsewhere.awaitClosed()).isEqualTo(4001);
      assertThat(elsewhere.get("/api/desk").status()).isEqualTo(401);
      assertThat(davy.get("/api/desk").status()).isEqualTo(200);
      assertThat(davy.cookie("oficina-sign-in")).isNotEqualTo(cookie);
      assertThat(davy.cookie("XSRF-TOKEN")).isNotEqualTo(token);
      assertThat(davy.awaitClosed()).as("to connect anew").isEqualTo(1012);
      davy.connect();
      try (Client thief = withCookie(cookie)) {
        assertThat(thief.get("/api/desk").status()).as("copied before").isEqualTo(401);
      }
    }
  }

  private static Answer change(Client client, String present, String next) {
    return client.put("/api/session/password", Map.of("present", present, "next", next));
  }

  private static Client withCookie(String signIn) {
    Client client = new Client(TestServer.get().address());
    client.show("oficina-sign-in", signIn);
    return client;
  }

  @Test
  void a_password_that_would_be_guessed_is_refused_and_says_why() {
    try (Client nell = Client.signedIn("nell")) {
      Map<String, String> refused =
          Map.of(
              "short",
              "PASSWORD_TOO_SHORT",
              "password1234",
              "PASSWORD_COMMON",
              "i-am-nell-myself",
              "PASSWORD_HAS_NAME",
              "harbour-light",
              "PASSWORD_THE_PRESENT_ONE",
              "the tide waits for nobody ".repeat(4),
              "PASSWORD_TOO_LONG");
      refused.forEach(
          (password, code) -> {
            Answer answer = change(nell, "harbour-light", password);
            assertThat(answer.status()).isEqualTo(422);
            assertThat(answer.code()).isEqualTo(code);
          });
      assertThat(change(nell, "wrong", "slack-water-9").code()).isEqualTo("WRONG_PRESENT_PASSWORD");
    }
  }

  @Test
  void signing_out_ends_copies_of_the_cookie_and_closes_the_pages() {
    Client erik = Client.signedIn("252");
    String cookie = erik.cookie("oficina-sign-in");
    try (Client thief = withCookie(cookie)) {
      thief.connect();
      assertThat(erik.delete("/api/session").status()).isEqualTo(204);
      assertThat(thief.awaitClosed()).isEqualTo(4001);
      assertThat(thief.get("/api/desk").status()).isEqualTo(401);
      TestServer.get().restart();
      assertThat(thief.get("/api/desk").status()).as("also after a restart").isEqualTo(401);
    }
  }

  @Test
  void whoever_is_signed_in_elsewhere_sees_it_and_ends_it_but_not_those_of_others() {
    try (Client here = Client.signedIn("yusuf");
        Client there = Client.signedIn("yusuf");
        Client third = Client.signedIn("yusuf");
        Client other = Client.signedIn("joss")) {
      JsonNode mine = here.get("/api/session/sign-ins").body();
      assertThat(mine.valueStream().filter(each -> each.get("here").asBoolean())).hasSize(1);
      assertThat(mine).hasSizeGreaterThanOrEqualTo(3);
      String others = other.get("/api/session/sign-ins").body().get(0).get("id").asString();
      assertThat(here.delete("/api/session/sign-ins/" + others).status()).isEqualTo(404);
      String theirs =
          there
              .get("/api/session/sign-ins")
              .body()
              .valueStream()
              .filter(each -> each.get("here").asBoolean())
              .findFirst()
              .orElseThrow()
              .get("id")
              .asString();
      assertThat(here.delete("/api/session/sign-ins/" + theirs).status()).isEqualTo(204);
      assertThat(there.awaitClosed()).isEqualTo(4001);
      assertThat(third.get("/api/desk").status()).isEqualTo(200);
      assertThat(here.delete("/api/session/sign-ins").status()).isEqualTo(204);
      assertThat(third.get("/api/desk").status()).isEqualTo(401);
      assertThat(here.get("/api/session/sign-ins").body()).hasSize(1);
      assertThat(other.get("/api/desk").status()).isEqualTo(200);
    }
  }

  @Test
  void however_a_name_is_written_and_however_many_try_at_once_it_is_one_account() {
    List<String> names = List.of("samir", "sámir", "SAMÏR", "samír");
    try (Client client = new Client(TestServer.get().address())) {
      client.get("/api/session");
      long began = System.nanoTime();
      List<Integer> answers =
          IntStream.range(0, 60)
              .parallel()
              .mapToObj(i -> signIn(client, names.get(i % names.size()), "guess " + i).status())
              .toList();
      assertThat(answers).containsOnly(401, 429);
      // After three tries one waits a second, then two, then four: how long it took allows so many.
      long seconds = (System.nanoTime() - began) / 1_000_000_000L + 1;
      int more = Long.SIZE - 1 - Long.numberOfLeadingZeros(seconds + 1);
      assertThat(answers.stream().filter(status -> status == 401))
          .hasSizeLessThanOrEqualTo(3 + more);
    }
  }

  @Test
  void an_attack_keeps_nobody_out_of_their_own_browser_and_is_told_of() {
    try (Client own = Client.withoutPage(TestServer.get().address(), "hamish");
        Client attacker = new Client(TestServer.get().address())) {
      own.delete("/api/session");
      int tried = 0;
      for (int i = 0; i < 8; i++) {
        tried += signIn(attacker, "hamish", "guess " + i).status() == 401 ? 1 : 0;
      }
      assertThat(signIn(attacker, "hamish", "harbour-light").status()).isEqualTo(429);
      Answer in = signIn(own, "hamish", "harbour-light");
      assertThat(in.status()).isEqualTo(200);
      assertThat(in.body().get("tried").get("times").asInt()).isEqualTo(tried);
      assertThat(in.body().get("tried").get("place").asString()).isEqualTo("127.0.0.1");
      assertThat(signIn(own, "hamish", "harbour-light").body().has("tried")).isFalse();
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
