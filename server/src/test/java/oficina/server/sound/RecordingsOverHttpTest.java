package oficina.server.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;
import oficina.core.sound.Pcm;
import oficina.core.sound.Wav;
import oficina.core.tones.Goertzel;
import oficina.server.Client;
import oficina.server.TestServer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Recorded calls through the real engine, exchange and database: each party is a tone. */
@ExtendWith(TestServer.class)
class RecordingsOverHttpTest {
  private static final int INES = Ear.VOICES.get(0);
  private static final int TOMASZ = Ear.VOICES.get(1);
  private static final Duration PATIENCE = Duration.ofSeconds(20);
  private static final String POLICY = "/api/office/recording-policy";

  private final SoundEngine engine = TestServer.get().bean(SoundEngine.class);
  private final Client ines = Client.signedIn("ines");
  private final Client tomasz = Client.signedIn("tomasz");
  private final Client adaeze = Client.signedIn("adaeze");
  private final Client mirela = Client.withoutPage(TestServer.get().address(), "mirela");
  private final Ear inesEar = new Ear(INES);
  private final Ear tomaszEar = new Ear(TOMASZ);
  private final EndId inesEnd = end(ines);
  private final EndId tomaszEnd = end(tomasz);

  private static long id(Client client) {
    return client.get("/api/session").done().get("id").asLong();
  }

  private static EndId end(Client client) {
    return new EndId.Device(new PersonId(id(client)), new DeviceId("test"));
  }

  @BeforeEach
  void voices() {
    engine.attach(inesEnd, inesEar);
    engine.attach(tomaszEnd, tomaszEar);
    policy("CHOICE", "NOT", 90, true, false);
  }

  @AfterEach
  void nothing_is_left() {
    policy("CHOICE", "SENTENCE", 90, true, false);
    for (Client each : List.of(ines, tomasz, adaeze)) {
      each.hangUp();
      each.get("/api/recordings")
          .body()
          .get("recordings")
          .forEach(found -> post(each, found.get("id").asLong(), "remove", Map.of()));
      each.close();
    }
    engine.detach(inesEnd, inesEar);
    engine.detach(tomaszEnd, tomaszEar);
  }

  private void policy(String policy, String announced, int days, boolean remove, boolean keep) {
    Map<String, Object> wanted =
        Map.of(
            "policy", policy,
            "announced", announced,
            "emergencies", false,
            "days", days,
            "mayRemove", remove,
            "mayKeep", keep);
    assertThat(mirela.put(POLICY, wanted).status()).isEqualTo(204);
  }

  private long wouldGo(int days) {
    return mirela.get(POLICY + "/tried?days=" + days).done().get("recordings").asLong();
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

  private void speaks(long millis) {
    inesEar.speaks(millis);
  }

  private static int record(Client who, String call, boolean on) {
    return who.service(call, on ? "record" : "stop-recording").status();
  }

  private String talk() {
    String call = ines.call("221");
    tomasz.service(call, "answer");
    tomaszEar.hears(INES);
    return call;
  }

  /** A call of two seconds that was recorded for Ines. */
  private long recorded() {
    String call = talk();
    assertThat(record(ines, call, true)).isEqualTo(204);
    speaks(2_000);
    ines.service(call, "clear");
    return newest(ines);
  }

  private static long newest(Client owner) {
    return until(
        () -> {
          JsonNode found = owner.get("/api/recordings").body().get("recordings");
          return found.isEmpty() ? null : found.get(0).get("id").asLong();
        });
  }

  private static JsonNode open(Client who, long id) {
    return who.get("/api/recordings/" + id).body();
  }

  private static int post(Client who, long id, String what, Map<String, ?> body) {
    return who.post("/api/recordings/" + id + "/" + what, body).status();
  }

  private static HttpResponse<byte[]> file(Client who, long id, String what, String... headers) {
    return who.bytes("/api/recordings/" + id + "/" + what, headers);
  }

  /** How strong a tone is in one channel, over half a second from there. */
  private static double strength(byte[] wav, int channel, double second, int hertz) {
    int from = Wav.HEADER + 4 * (int) (second * Pcm.RATE);
    ByteBuffer in = ByteBuffer.wrap(wav).order(ByteOrder.LITTLE_ENDIAN);
    short[] samples = new short[Pcm.RATE / 2];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = in.getShort(from + 4 * i + 2 * channel);
    }
    return Goertzel.amplitude(samples, 0, samples.length, hertz);
  }

  @Test
  void both_sides_are_in_a_channel_each_and_any_part_is_read() {
    long id = recorded();
    byte[] whole = file(ines, id, "sound").body();
    assertThat(strength(whole, 0, 0.5, INES)).isGreaterThan(0.05);
    assertThat(strength(whole, 1, 0.5, TOMASZ)).isGreaterThan(0.05);
    assertThat(strength(whole, 0, 0.5, TOMASZ)).isLessThan(0.005);
    assertThat(strength(whole, 1, 0.5, INES)).isLessThan(0.005);
    HttpResponse<byte[]> part = file(ines, id, "sound", "Range", "bytes=70000-70999");
    assertThat(part.statusCode()).isEqualTo(206);
    assertThat(part.body()).isEqualTo(Arrays.copyOfRange(whole, 70_000, 71_000));
    assertThat(file(ines, id, "opus").body()).startsWith("OggS".getBytes());
    assertThat(new String(file(ines, id, "text").body())).startsWith("WEBVTT");
    JsonNode opened = open(ines, id);
    assertThat(opened.get("recording").get("other").get("name").asString())
        .isEqualTo("Tomasz Brill");
    assertThat(opened.get("ours")).hasSize(400);

    JsonNode entries = ines.get("/api/history?filter=RECORDED").body().get("entries");
    assertThat(entries.get(0).get("recorded").asBoolean()).isTrue();
    String call = entries.get(0).get("call").asString();
    assertThat(ines.get("/api/recordings/of-call/" + call).body().get(0).get("id").asLong())
        .isEqualTo(id);
    assertThat(tomasz.get("/api/recordings/of-call/" + call).body()).isEmpty();
    JsonNode his = tomasz.get("/api/history").body().get("entries").get(0);
    assertThat(his.get("recorded").asBoolean()).as("his part is not").isFalse();
    assertThat(ines.get("/api/history?filter=RECORDED&text=tomasz").body().get("entries"))
        .isNotEmpty();
    assertThat(ines.get("/api/history?filter=RECORDED&text=nobody").body().get("entries"))
        .isEmpty();
  }

  @Test
  void nothing_is_recorded_while_one_holds_and_muting_leaves_the_other() {
    String call = talk();
    assertThat(record(ines, call, true)).isEqualTo(204);
    speaks(1_200);
    ines.service(call, "hold");
    speaks(600);
    ines.service(call, "retrieve");
    ines.service(call, "mute");
    inesEar.hears(TOMASZ);
    speaks(1_700);
    assertThat(record(ines, call, false)).isEqualTo(204);
    speaks(300);
    assertThat(record(ines, call, true)).isEqualTo(204);
    speaks(300);
    ines.service(call, "clear");
    long id = newest(ines);
    JsonNode marks = open(ines, id).get("marks");
    assertThat(marks.get(0).get("kind").asString()).isEqualTo("HELD");
    assertThat(marks.get(0).get("lasted").asLong()).isBetween(500L, 10_000L);
    assertThat(marks.get(1).get("kind").asString()).isEqualTo("STOPPED");
    byte[] whole = file(ines, id, "sound").body();
    double gap = marks.get(0).get("at").asLong() / 1_000.0;
    double stopped = marks.get(1).get("at").asLong() / 1_000.0;
    assertThat(stopped - gap).isGreaterThan(1);
    assertThat(strength(whole, 0, 0.3, INES)).isGreaterThan(0.05);
    assertThat(strength(whole, 0, stopped - 0.6, INES)).as("muted").isLessThan(0.005);
    assertThat(strength(whole, 1, stopped - 0.6, TOMASZ)).isGreaterThan(0.05);
  }

  @Test
  void nobody_else_finds_hears_or_changes_it() {
    long id = recorded();
    for (Client other : List.of(tomasz, adaeze, mirela)) {
      assertThat(other.get("/api/recordings").body().get("recordings")).isEmpty();
      for (String what : List.of("sound", "file", "opus", "text")) {
        assertThat(file(other, id, what).statusCode()).isEqualTo(404);
      }
      assertThat(other.get("/api/recordings/" + id).code()).isEqualTo("NO_SUCH_RECORDING");
      String until = TestServer.get().clock().instant().plusSeconds(60).toString();
      assertThat(post(other, id, "hand", Map.of("person", id(other), "until", until)))
          .isEqualTo(404);
      assertThat(post(other, id, "remarks", Map.of("at", 0, "text", "mine"))).isEqualTo(404);
      for (String what : List.of("remove", "restore", "keep", "transcript")) {
        assertThat(post(other, id, what, Map.of())).as(what).isEqualTo(404);
      }
      assertThat(other.delete("/api/recordings/" + id + "/remarks/1").status()).isEqualTo(404);
      assertThat(other.delete("/api/recordings/" + id + "/hand/1").status()).isEqualTo(404);
      String note = "/api/recordings/" + id + "/note";
      assertThat(other.put(note, Map.of("text", "mine")).status()).isEqualTo(404);
    }
    assertThat(ines.put(POLICY, Map.of()).status()).as("no administrator").isEqualTo(403);
    assertThat(ines.get("/api/office/recording-log").status()).isEqualTo(403);
    assertThat(open(ines, id).get("remarks")).isEmpty();
  }

  @Test
  void a_colleague_hears_it_for_a_time_and_all_that_is_done_is_logged_for_good() {
    long id = recorded();
    String until = TestServer.get().clock().instant().plus(Duration.ofDays(1)).toString();
    String past = TestServer.get().clock().instant().minusSeconds(60).toString();
    assertThat(post(ines, id, "hand", Map.of("person", id(tomasz), "until", past))).isEqualTo(422);
    assertThat(post(ines, id, "hand", Map.of("person", id(tomasz), "until", until))).isEqualTo(204);
    assertThat(newest(tomasz)).isEqualTo(id);
    assertThat(file(tomasz, id, "sound").statusCode()).isEqualTo(200);
    assertThat(file(tomasz, id, "sound").statusCode()).isEqualTo(200);
    for (String what : List.of("file", "opus", "text")) {
      assertThat(file(tomasz, id, what).statusCode()).as("is saved by its owner").isEqualTo(403);
    }
    assertThat(post(tomasz, id, "remove", Map.of())).isEqualTo(403);
    assertThat(post(tomasz, id, "remarks", Map.of("at", 500, "text", "here"))).isEqualTo(204);
    assertThat(open(tomasz, id).get("log")).as("not theirs to see").isEmpty();
    file(ines, id, "file");
    TestServer.get().clock().advance(Duration.ofDays(1));
    assertThat(tomasz.get("/api/recordings/" + id).code()).isEqualTo("NO_SUCH_RECORDING");
    assertThat(open(ines, id).get("remarks").get(0).get("by").asString()).isEqualTo("Tomasz Brill");
    List<String> deeds =
        open(ines, id).get("log").valueStream().map(e -> e.get("deed").asString()).toList();
    assertThat(deeds).containsExactly("SAVED", "LISTENED", "HANDED_ON");
    JsonNode all = mirela.get("/api/office/recording-log").body().get("entries");
    assertThat(all.get(0).get("owner").asString()).isEqualTo("Ines Calloway");
    assertThat(all.get(1).get("deed").get("by").asString()).isEqualTo("Tomasz Brill");
    JdbcClient jdbc = TestServer.get().bean(JdbcClient.class);
    for (String change :
        List.of("update recording_log set by_person = 1", "delete from recording_log")) {
      assertThatThrownBy(() -> jdbc.sql(change).update()).isInstanceOf(DataAccessException.class);
    }
  }

  @Test
  void it_is_removed_kept_and_forgotten_as_the_office_says() {
    long id = recorded();
    policy("CHOICE", "NOT", 30, false, false);
    long before = wouldGo(1);
    TestServer.get().clock().advance(Duration.ofDays(2));
    assertThat(wouldGo(1)).as("this one too").isGreaterThan(before);
    assertThat(ines.post("/api/recordings/" + id + "/remove", Map.of()).code())
        .isEqualTo("RECORDING_STAYS");
    String longer = TestServer.get().clock().instant().plus(Duration.ofDays(60)).toString();
    assertThat(ines.post("/api/recordings/" + id + "/keep", Map.of("until", longer)).code())
        .isEqualTo("RECORDING_NOT_KEPT_LONGER");
    policy("CHOICE", "NOT", 30, true, true);
    assertThat(post(ines, id, "keep", Map.of("until", longer))).isEqualTo(204);
    TestServer.get().clock().advance(Duration.ofDays(31));
    Client again = Client.withoutPage(TestServer.get().address(), "ines"); // that took long
    assertThat(again.get("/api/recordings/" + id).status()).isEqualTo(200);
    assertThat(post(again, id, "remove", Map.of())).isEqualTo(204);
    assertThat(again.get("/api/recordings/" + id).status()).isEqualTo(404);
    assertThat(post(again, id, "restore", Map.of())).isEqualTo(204);
    JdbcClient jdbc = TestServer.get().bean(JdbcClient.class);
    long sound =
        jdbc.sql("select sound_id from recording where id = ?")
            .param(id)
            .query(Long.class)
            .single();
    TestServer.get().clock().advance(Duration.ofDays(30));
    until(() -> count(jdbc, "recording", sound) == 0 ? true : null);
    until(() -> count(jdbc, "sound_second", sound) == 0 ? true : null);
    Client last = Client.withoutPage(TestServer.get().address(), "ines");
    JsonNode entry = last.get("/api/history?filter=RECORDED").body().get("entries").get(0);
    assertThat(entry.get("other").get("name").asString()).as("stays").isEqualTo("Tomasz Brill");
    Client office = Client.withoutPage(TestServer.get().address(), "mirela");
    JsonNode log = office.get("/api/office/recording-log").body().get("entries");
    assertThat(log.get(0).get("deed").get("deed").asString()).isEqualTo("FORGOTTEN");
  }

  private static long count(JdbcClient jdbc, String table, long sound) {
    return jdbc.sql("select count(*) from " + table + " where sound_id = ?")
        .param(sound)
        .query(Long.class)
        .single();
  }

  @Test
  void the_office_decides_and_tells() {
    policy("NEVER", "TONES", 90, true, false);
    String call = talk();
    assertThat(ines.service(call, "record").code()).isEqualTo("RECORDING_NOT_ALLOWED");
    ines.service(call, "clear");
    ines.awaitNoCalls();
    policy("EVERY_CALL", "TONES", 90, true, false);
    String every = talk();
    tomaszEar.hearsTone(1_400);
    speaks(1_500); // what is shorter than a second is not kept
    assertThat(ines.awaitCall("TALKING").get("tape").get("on").asBoolean()).isTrue();
    ines.service(every, "clear");
    assertThat(newest(ines)).isPositive();
    assertThat(newest(tomasz)).as("his part is his").isNotEqualTo(newest(ines));
    ines.awaitNoCalls();
    policy("CHOICE", "SENTENCE", 90, true, false);
    String told = talk();
    ines.service(told, "mute");
    tomaszEar.hears();
    assertThat(record(ines, told, true)).isEqualTo(204);
    tomaszEar.hearsSomething(); // the sentence: nobody else speaks
  }

  @Test
  void while_the_database_is_away_nothing_said_is_lost() {
    String call = talk();
    assertThat(record(ines, call, true)).isEqualTo(204);
    speaks(1_500);
    TestServer.get().database().freeze();
    try {
      speaks(700);
      ines.service(call, "clear");
      ines.awaitNoCalls();
    } finally {
      TestServer.get().database().thaw();
    }
    long id = newest(ines);
    assertThat(open(ines, id).get("recording").get("length").asLong()).isGreaterThan(1_400);
  }
}
