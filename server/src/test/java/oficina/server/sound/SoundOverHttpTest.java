package oficina.server.sound;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;
import oficina.core.sound.Pcm;
import oficina.core.sound.Wav;
import oficina.server.Client;
import oficina.server.Client.Answer;
import oficina.server.TestServer;
import oficina.server.trunk.TrunkCall;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Who hears whom through the real engine while calls go through everything: each is a tone. */
@ExtendWith(TestServer.class)
class SoundOverHttpTest {
  private static final int INES = Ear.VOICES.get(0);
  private static final int TOMASZ = Ear.VOICES.get(1);
  private static final int ADAEZE = Ear.VOICES.get(2);
  private static final int PETRA = Ear.VOICES.get(3);

  private final SoundEngine engine = TestServer.get().bean(SoundEngine.class);
  private final Client ines = Client.signedIn("ines");
  private final Client tomasz = Client.signedIn("tomasz");
  private final Client adaeze = Client.signedIn("adaeze");
  private final Client petra = Client.signedIn("petra");
  private final Ear inesEar = new Ear(INES);
  private final Ear tomaszEar = new Ear(TOMASZ);
  private final Ear adaezeEar = new Ear(ADAEZE);
  private final Ear petraEar = new Ear(PETRA);

  @BeforeEach
  void everybody_has_a_voice() {
    engine.attach(end(ines), inesEar);
    engine.attach(end(tomasz), tomaszEar);
    engine.attach(end(adaeze), adaezeEar);
    engine.attach(end(petra), petraEar);
  }

  @AfterEach
  void nothing_is_left_in_hand() {
    List.of(ines, tomasz, adaeze, petra).forEach(Client::hangUp);
    engine.detach(end(ines), inesEar);
    engine.detach(end(tomasz), tomaszEar);
    engine.detach(end(adaeze), adaezeEar);
    engine.detach(end(petra), petraEar);
    List.of(ines, tomasz, adaeze, petra).forEach(Client::close);
  }

  private static EndId end(Client client) {
    long person = client.get("/api/session").done().get("id").asLong();
    return new EndId.Device(new PersonId(person), new DeviceId("test"));
  }

  private String tomaszTalksToInes() {
    String call = tomasz.call("201");
    ines.service(call, "answer");
    inesEar.hears(TOMASZ);
    return call;
  }

  private static void does(Client who, String call, String service, Map<String, Object> body) {
    Answer answer = who.post("/api/calls/" + call + "/" + service, body);
    assertThat(answer.status()).as(answer.toString()).isBetween(200, 204);
  }

  @Test
  void whoever_is_held_hears_music_and_whoever_is_muted_is_heard_by_nobody() {
    String call = tomaszTalksToInes();
    tomaszEar.hears(INES);
    ines.service(call, "hold");
    tomaszEar.hearsMusic();
    inesEar.hears();
    ines.service(call, "retrieve");
    tomaszEar.hears(INES);
    does(ines, call, "mute", Map.of("device", "test"));
    tomaszEar.hears();
    inesEar.hears(TOMASZ);
    does(ines, call, "unmute", Map.of("device", "test"));
    tomaszEar.hears(INES);
  }

  @Test
  void a_second_call_is_swapped_with_the_first_and_parked() {
    String first = tomaszTalksToInes();
    String second = adaeze.call("201");
    adaezeEar.hearsTone(400, 450); // it rings
    ines.service(second, "answer");
    adaezeEar.hears(INES);
    inesEar.hears(ADAEZE);
    tomaszEar.hearsMusic();
    ines.service(first, "retrieve");
    inesEar.hears(TOMASZ);
    adaezeEar.hearsMusic();
    does(ines, first, "park", Map.of("slot", "64"));
    tomaszEar.hearsMusic();
    Map<String, Object> take = Map.of("device", "test", "call", first, "evenForOthers", true);
    assertThat(petra.post("/api/slots/64/take", take).status()).isEqualTo(204);
    petraEar.hears(TOMASZ);
    tomaszEar.hears(PETRA);
    adaezeEar.hearsMusic();
  }

  @Test
  void announcing_joining_muting_a_member_and_a_word_aside() {
    String call = tomaszTalksToInes();
    Answer announced =
        ines.post("/api/calls/" + call + "/announce", Map.of("to", "212", "device", "test"));
    String second = announced.done().get("id").asString();
    adaeze.service(second, "answer");
    adaezeEar.hears(INES);
    tomaszEar.hearsMusic();
    does(ines, call, "join", Map.of("other", second, "device", "test"));
    inesEar.hearsTone(660); // somebody enters
    inesEar.hears(TOMASZ, ADAEZE);
    tomaszEar.hears(INES, ADAEZE);
    adaezeEar.hears(INES, TOMASZ);
    int leg = legOf("Adaeze Moor");
    does(ines, call, "members/" + leg + "/mute", Map.of("on", true));
    inesEar.hears(TOMASZ);
    tomaszEar.hears(INES);
    adaezeEar.hears(INES, TOMASZ);
    does(ines, call, "members/" + leg + "/mute", Map.of("on", false));
    does(ines, call, "members/" + leg + "/aside", Map.of("device", "test"));
    adaezeEar.hears(INES);
    inesEar.hears(ADAEZE);
    tomaszEar.hearsMusic();
    petraEar.hears();
  }

  private int legOf(String name) {
    for (JsonNode call : ines.get("/api/desk").body().get("calls")) {
      for (JsonNode member : call.path("conference").path("members")) {
        if (member.get("who").get("name").asString().equals(name)) {
          return member.get("leg").asInt();
        }
      }
    }
    throw new AssertionError("not in a conference: " + name);
  }

  @Test
  void a_number_that_is_not_in_use_says_so_and_a_colleague_who_talks_is_busy() {
    String call = ines.call("0151 496 0199");
    TestServer.get().clock().advance(Duration.ofSeconds(1));
    inesEar.hearsTone(400);
    ines.service(call, "clear");
    tomaszTalksToInes();
    tomaszEar.hears(INES);
  }

  @Test
  void keys_are_heard_as_tones_at_the_far_end_and_whoever_plays_it_speaks_there() {
    String dov = "+441514960177";
    assertThat(petra.put("/api/outside/subscribers/" + dov + "/player", Map.of()).status())
        .isEqualTo(204);
    String call = ines.call("0151 496 0177");
    TestServer.get().clock().advance(Duration.ofSeconds(1));
    ines.awaitCall("CALLING");
    petra.post("/api/outside/subscribers/" + dov + "/answer", Map.of());
    ines.awaitCall("TALKING");
    String line = "";
    for (JsonNode each : petra.get("/api/outside").body().get("subscribers")) {
      if (each.get("number").asString().equals(dov)) {
        line = each.get("calls").get(0).get("id").asString();
      }
    }
    Ear farEar = new Ear(ADAEZE);
    engine.attach(new EndId.Line(new TrunkCall(line)), farEar);
    inesEar.hears(ADAEZE);
    farEar.hears(INES);
    does(ines, call, "digits", Map.of("digits", "5"));
    farEar.hearsTone(770, 1336);
    ines.service(call, "clear");
  }

  @Test
  void a_stand_in_speaks_for_itself() {
    String call = ines.call("222"); // Una has no page: the telephone on her desk answers
    TestServer.get().clock().advance(Duration.ofSeconds(1));
    ines.awaitCall("CALLING");
    TestServer.get().clock().advance(Duration.ofSeconds(6));
    ines.awaitCall("TALKING");
    inesEar.hearsMusic(); // sound that is none of the tones
    ines.service(call, "clear");
  }

  @Test
  void an_engine_that_was_stopped_and_an_end_that_failed_end_no_call() {
    String call = tomaszTalksToInes();
    engine.stop();
    ines.service(call, "hold");
    engine.start();
    tomaszEar.hearsMusic();
    ines.service(call, "retrieve");
    tomaszEar.hears(INES);
    inesEar.fail(true);
    tomaszEar.hears();
    Ear again = new Ear(INES);
    engine.attach(end(ines), again); // the page has connected anew
    tomaszEar.hears(INES);
    again.hears(TOMASZ);
    engine.detach(end(ines), again);
  }

  @Test
  void the_office_plays_its_own_music_once_an_administrator_has_uploaded_it() {
    try (Client mirela = Client.signedIn("mirela")) {
      short[] tone = new short[Pcm.RATE];
      for (int i = 0; i < tone.length; i++) {
        tone[i] = (short) (5_000 * Math.sin(2 * Math.PI * 1_000 * i / Pcm.RATE));
      }
      String address = "/api/office/hold-music?name=ours.wav";
      assertThat(mirela.upload(address, "no sound".getBytes()).code()).isEqualTo("SOUND_NOT_WAV");
      assertThat(mirela.upload(address, Wav.write(new short[0])).code()).isEqualTo("SOUND_EMPTY");
      assertThat(ines.upload(address, Wav.write(tone)).status()).isEqualTo(403);
      assertThat(mirela.upload(address + "&line=987654", Wav.write(tone)).code())
          .isEqualTo("NO_SUCH_QUEUE");
      assertThat(mirela.upload(address, Wav.write(tone)).status()).isEqualTo(204);
      String call = tomaszTalksToInes();
      ines.service(call, "hold");
      tomaszEar.hearsTone(1_000);
      assertThat(mirela.get("/api/office/hold-music").body().get("name").asString())
          .isEqualTo("ours.wav");
      assertThat(mirela.delete("/api/office/hold-music").status()).isEqualTo(204);
      tomaszEar.hearsMusic();
    }
  }
}
