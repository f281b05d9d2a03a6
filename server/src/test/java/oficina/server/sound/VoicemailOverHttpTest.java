package oficina.server.sound;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;
import oficina.core.sound.BadSoundException;
import oficina.core.sound.Pcm;
import oficina.core.sound.Wav;
import oficina.core.tones.Goertzel;
import oficina.server.Client;
import oficina.server.TestServer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Messages through the real engine, exchange and database: whoever leaves one is a tone. */
@ExtendWith(TestServer.class)
class VoicemailOverHttpTest {
  private static final int INES = Ear.VOICES.get(0);
  private static final Duration PATIENCE = Duration.ofSeconds(20);
  private static final int GREETING = 500;

  private final SoundEngine engine = TestServer.get().bean(SoundEngine.class);
  private final Client ines = Client.signedIn("ines");
  private final Client tomasz = Client.signedIn("tomasz");
  private final Client una = Client.signedIn("una");
  private final Client adaeze = Client.signedIn("adaeze");
  private final Ear inesEar = new Ear(INES);
  private final EndId.Device inesEnd =
      new EndId.Device(new PersonId(id(ines)), new DeviceId("test"));

  private static long id(Client client) {
    return client.get("/api/session").done().get("id").asLong();
  }

  /** Short ones: nobody wants to wait. */
  @BeforeEach
  void greetings() {
    engine.attach(inesEnd, inesEar);
    for (String mailbox : List.of("p" + id(tomasz), "g" + freight())) {
      String address = "/api/greetings/" + mailbox + "/NO_ANSWER/sound";
      assertThat(tomasz.upload(address, Wav.write(tone(GREETING))).status()).isEqualTo(204);
    }
  }

  private static short[] tone(int hertz) {
    short[] samples = new short[Pcm.RATE / 2];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = (short) (6_000 * Math.sin(2 * Math.PI * hertz * i / Pcm.RATE));
    }
    return samples;
  }

  private String freight() {
    for (JsonNode each : tomasz.get("/api/greetings").body()) {
      if (each.path("line").asString("").equals("Freight")) {
        return each.get("mailbox").asString().substring(1);
      }
    }
    throw new AssertionError("Freight has no mailbox");
  }

  @AfterEach
  void nothing_is_left() {
    engine.detach(inesEnd, inesEar);
    for (Client each : List.of(ines, tomasz, una, adaeze)) {
      each.hangUp();
      each.post("/api/voicemail/remove", Map.of("ids", ids(each)));
      each.close();
    }
  }

  private static List<Long> ids(Client client) {
    List<Long> ids = new ArrayList<>(List.of(0L));
    client
        .get("/api/voicemail")
        .body()
        .get("messages")
        .forEach(message -> ids.add(message.get("id").asLong()));
    return ids;
  }

  private static <T> T until(Supplier<T> wanted) {
    long end = System.nanoTime() + PATIENCE.toNanos();
    T found = wanted.get();
    while (found == null && System.nanoTime() < end) {
      LockSupport.parkNanos(20_000_000);
      found = wanted.get();
    }
    assertThat(found).isNotNull();
    return found;
  }

  private static JsonNode newMessage(Client client) {
    return until(
        () -> {
          JsonNode found = client.get("/api/voicemail?onlyNew=true").body().get("messages");
          return found.isEmpty() ? null : found.get(0);
        });
  }

  private void inesIsHeard(Client owner) {
    inesEar.hearsTone(GREETING);
    inesEar.hearsTone(1_000);
    owner.await(
        push ->
            push.path("leaving").size() == 1
                && push.get("leaving").get(0).get("speaks").asBoolean());
  }

  /** Ines reaches nobody and says something to Tomasz' mailbox. */
  private String inesSpeaksToTheMailbox() {
    String call = ines.call("221");
    tomasz.service(call, "decline");
    ines.awaitCall("FAILED");
    assertThat(ines.service(call, "to-mailbox").status()).isEqualTo(204);
    ines.awaitCall("MESSAGE");
    inesIsHeard(tomasz);
    return call;
  }

  private static byte[] file(Client client, long id, String... headers) {
    HttpResponse<byte[]> answer = client.bytes("/api/voicemail/" + id + "/sound", headers);
    assertThat(answer.statusCode()).isBetween(200, 206);
    return answer.body();
  }

  @Test
  void a_message_is_left_heard_and_dealt_with() throws BadSoundException {
    String call = inesSpeaksToTheMailbox();
    ines.service(call, "clear");
    JsonNode message = newMessage(tomasz);
    long id = message.get("id").asLong();
    assertThat(message.get("who").get("name").asString()).isEqualTo("Ines Calloway");
    assertThat(message.get("length").asLong()).isBetween(900L, 8_000L);
    byte[] whole = file(tomasz, id);
    short[] samples = Wav.read(whole, Duration.ofMinutes(3));
    assertThat(Goertzel.amplitude(samples, Pcm.RATE / 4, Pcm.RATE / 2, INES)).isGreaterThan(0.05);
    assertThat(Goertzel.amplitude(samples, 0, Pcm.RATE / 2, 1_000)).as("the tone").isLessThan(0.01);
    byte[] part = file(tomasz, id, "Range", "bytes=20000-20999");
    assertThat(part).isEqualTo(Arrays.copyOfRange(whole, 20_000, 21_000));
    assertThat(file(tomasz, id, "Range", "bytes=-10"))
        .isEqualTo(Arrays.copyOfRange(whole, whole.length - 10, whole.length));
    for (String ignored : List.of("seconds=1-2", "bytes=a-b", "bytes=0-1,3-4", "bytes=5-2")) {
      assertThat(file(tomasz, id, "Range", ignored)).as(ignored).isEqualTo(whole);
    }
    HttpResponse<byte[]> none =
        tomasz.bytes("/api/voicemail/" + id + "/sound", "Range", "bytes=99999999-");
    assertThat(none.statusCode()).isEqualTo(416);
    assertThat(none.headers().firstValue("Content-Range")).contains("bytes */" + whole.length);
    assertThat(new String(none.body(), StandardCharsets.UTF_8)).contains("NO_SUCH_PART");

    assertThat(post(tomasz, id, "heard", Map.of("on", true))).isEqualTo(204);
    assertThat(tomasz.get("/api/voicemail").body().get("fresh").asInt()).isZero();
    assertThat(post(tomasz, id, "heard", Map.of("on", false))).isEqualTo(204);
    assertThat(tomasz.get("/api/voicemail").body().get("fresh").asInt()).isEqualTo(1);
    put(tomasz, id, "note", "rang back, busy");
    put(tomasz, id, "words", "The barge is late");
    assertThat(found(tomasz, "barg")).isEqualTo(1);
    assertThat(found(tomasz, "ines")).isEqualTo(1);
    assertThat(found(tomasz, "nobody")).isZero();
    JsonNode letter = tomasz.get("/api/voicemail/" + id).body();
    assertThat(letter.get("message").get("note").asString()).isEqualTo("rang back, busy");
    assertThat(letter.get("corrected").asString()).isEqualTo("The barge is late");
    assertThat(letter.get("outline")).hasSizeGreaterThan(100);

    Map<String, Object> passing = Map.of("person", id(adaeze), "note", "yours, I think");
    assertThat(post(tomasz, id, "pass", passing)).isEqualTo(204);
    JsonNode copy = newMessage(adaeze);
    assertThat(copy.get("passedBy").asString()).isEqualTo("Tomasz Brill");
    assertThat(file(adaeze, copy.get("id").asLong())).isEqualTo(whole);
    tomasz.post("/api/voicemail/remove", Map.of("ids", List.of(id)));
    assertThat(tomasz.get("/api/voicemail/" + id).code()).isEqualTo("NO_SUCH_MESSAGE");
    tomasz.post("/api/voicemail/restore", Map.of("ids", List.of(id)));
    assertThat(tomasz.get("/api/voicemail/" + id).status()).isEqualTo(200);
  }

  private static int post(Client who, long id, String what, Map<String, Object> body) {
    return who.post("/api/voicemail/" + id + "/" + what, body).status();
  }

  private static void put(Client who, long id, String what, String text) {
    assertThat(who.put("/api/voicemail/" + id + "/" + what, Map.of("text", text)).status())
        .isEqualTo(204);
  }

  private static int found(Client who, String text) {
    return who.get("/api/voicemail?text=" + text).body().get("messages").size();
  }

  @Test
  void nobody_else_finds_hears_or_changes_it() {
    String call = inesSpeaksToTheMailbox();
    assertThat(adaeze.service(call, "take-from-mailbox").code()).isEqualTo("NO_SUCH_CALL");
    ines.service(call, "clear");
    long id = newMessage(tomasz).get("id").asLong();
    for (Client other : List.of(adaeze, ines, una)) {
      assertThat(other.get("/api/voicemail").body().get("messages")).isEmpty();
      for (String what : List.of("", "/sound", "/file", "/opus", "/transcript")) {
        assertThat(other.bytes("/api/voicemail/" + id + what).statusCode()).isEqualTo(404);
      }
      for (String what : List.of("heard", "dealt")) {
        assertThat(post(other, id, what, Map.of("on", true))).isEqualTo(404);
      }
      for (String what : List.of("note", "words")) {
        String address = "/api/voicemail/" + id + "/" + what;
        assertThat(other.put(address, Map.of("text", "mine")).status()).isEqualTo(404);
      }
      assertThat(post(other, id, "pass", Map.of("person", id(other), "note", ""))).isEqualTo(404);
      other.post("/api/voicemail/remove", Map.of("ids", List.of(id)));
      String greeting = "/api/greetings/p" + id(tomasz) + "/BUSY";
      assertThat(other.bytes(greeting + "/sound").statusCode()).isEqualTo(404);
      assertThat(other.put(greeting + "/typed", Map.of("text", "hello")).status()).isEqualTo(404);
      assertThat(other.upload(greeting + "/sound", Wav.write(tone(500))).status()).isEqualTo(404);
      assertThat(other.delete(greeting).status()).isEqualTo(404);
    }
    JsonNode still = tomasz.get("/api/voicemail/" + id).body().get("message");
    assertThat(still.get("fresh").asBoolean()).isTrue();
    assertThat(still.get("note").asString()).isEmpty();
  }

  @Test
  void a_group_shares_its_mailbox_and_each_sees_who_dealt_with_what() {
    String call = ines.call("212");
    adaeze.service(call, "answer");
    inesEar.hears();
    adaeze.post("/api/calls/" + call + "/put-through", Map.of("to", "220", "mailbox", true));
    adaeze.awaitNoCalls();
    inesIsHeard(una);
    ines.service(call, "clear");
    JsonNode message = newMessage(una);
    long id = message.get("id").asLong();
    assertThat(message.get("line").asString()).isEqualTo("Freight");
    assertThat(newMessage(tomasz).get("id").asLong()).isEqualTo(id);
    assertThat(post(una, id, "dealt", Map.of("on", true))).isEqualTo(204);
    assertThat(tomasz.get("/api/voicemail").body().get("fresh").asInt()).isZero();
    JsonNode dealt = tomasz.get("/api/voicemail/" + id).body().get("message").get("dealt");
    assertThat(dealt.get("name").asString()).isEqualTo("Una Redfern");
    assertThat(dealt.get("mine").asBoolean()).isFalse();
  }

  @Test
  void its_owner_takes_the_caller_out_of_the_mailbox() {
    String call = inesSpeaksToTheMailbox();
    assertThat(tomasz.service(call, "take-from-mailbox").status()).isEqualTo(204);
    ines.awaitCall("TALKING");
    tomasz.awaitCall("TALKING");
    assertThat(newMessage(tomasz).get("who").get("name").asString()).isEqualTo("Ines Calloway");
  }

  @Test
  void messages_are_read_out_at_a_telephone_by_keys() {
    Ear tomaszEar = new Ear(Ear.VOICES.get(1));
    EndId tomaszEnd = new EndId.Device(new PersonId(id(tomasz)), new DeviceId("test"));
    engine.attach(tomaszEnd, tomaszEar);
    try {
      ines.service(inesSpeaksToTheMailbox(), "clear");
      newMessage(tomasz);
      String address = "/api/voicemail-by-telephone/pin";
      assertThat(tomasz.put(address, Map.of("pin", "12")).code()).isEqualTo("FIELDS_WRONG");
      assertThat(tomasz.put(address, Map.of("pin", "4711")).status()).isEqualTo(204);
      String wrong = tomasz.call("290");
      keys(wrong, "1#2#3#");
      until(() -> tomasz.get("/api/desk").body().get("calls").isEmpty() ? true : null);
      assertThat(newMessage(tomasz).get("fresh").asBoolean()).isTrue();
      TestServer.get().clock().advance(Duration.ofMinutes(1)); // it has become slow to try more
      String call = tomasz.call("290");
      keys(call, "4711#1");
      tomaszEar.hears(INES);
      assertThat(tomasz.get("/api/voicemail").body().get("fresh").asInt()).isZero();
      keys(call, "3");
      until(() -> tomasz.get("/api/voicemail").body().get("messages").isEmpty() ? true : null);
      keys(call, "0");
      tomasz.awaitNoCalls();
    } finally {
      engine.detach(tomaszEnd, tomaszEar);
    }
  }

  private void keys(String call, String digits) {
    Map<String, Object> keys = Map.of("digits", digits);
    assertThat(tomasz.post("/api/calls/" + call + "/digits", keys).status()).isEqualTo(204);
  }

  @Test
  void while_the_database_is_away_nothing_said_is_lost() {
    String call = inesSpeaksToTheMailbox();
    TestServer.get().database().freeze();
    try {
      ines.service(call, "clear");
      ines.awaitNoCalls();
    } finally {
      TestServer.get().database().thaw();
    }
    assertThat(newMessage(tomasz).get("length").asLong()).isGreaterThan(900);
  }

  @Test
  void a_greeting_for_a_time_gives_way_to_the_usual_sentence() {
    String greeting = "/api/greetings/p" + id(ines) + "/AWAY";
    String until = TestServer.get().clock().instant().plusSeconds(3_600).toString();
    assertThat(ines.upload(greeting + "/sound?until=" + until, Wav.write(tone(500))).status())
        .isEqualTo(204);
    assertThat(ines.get("/api/greetings").body().toString()).contains(until.substring(0, 19));
    TestServer.get().clock().advance(Duration.ofHours(1));
    assertThat(ines.get("/api/greetings").body().toString()).doesNotContain(until.substring(0, 19));
    assertThat(ines.bytes(greeting + "/sound").body()).isNotEqualTo(Wav.write(tone(500)));
    assertThat(ines.delete(greeting).status()).isEqualTo(204);
  }

  @Test
  void bad_greetings_are_refused_with_what_to_do() {
    String address = "/api/greetings/p" + id(ines) + "/BUSY";
    assertThat(ines.upload(address + "/sound", "no sound".getBytes()).code())
        .isEqualTo("SOUND_NOT_WAV");
    assertThat(ines.put(address + "/typed", Map.of("text", " ")).code()).isEqualTo("FIELDS_WRONG");
    assertThat(ines.upload(address + "/sound", Wav.write(new short[60 * Pcm.RATE])).code())
        .isEqualTo("SOUND_TOO_LONG");
    assertThat(ines.get("/api/greetings/x1/BUSY/sound").status()).isEqualTo(404);
  }
}
