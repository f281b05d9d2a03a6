package oficina.server.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/** With the programs of this machine, and a voice of it. */
class SphinxTranscriberTest {
  private final FliteSpeaker speaker = new FliteSpeaker();
  private final SphinxTranscriber transcriber = new SphinxTranscriber("en", new Pronunciations());

  private List<String> heard(String said, String... names) throws SpeechException {
    short[] sound = speaker.say(Speaker.Voice.DAMSON, said).join();
    return transcriber.listen(sound, List.of(names)).stream().map(Transcriber.Word::text).toList();
  }

  @Test
  void names_that_no_dictionary_has_are_heard_when_they_are_told() throws SpeechException {
    String said = "Hello Mirela, this is Tomasz Brill from the island school.";
    assertThat(heard(said)).contains("hello", "school").doesNotContain("Mirela", "Brill");
    assertThat(heard(said, "Mirela", "Tomasz", "Brill", "Østergård"))
        .contains("hello", "Mirela", "Tomasz", "Brill", "school");
  }

  @Test
  void who_is_not_named_is_not_heard() throws SpeechException {
    assertThat(heard("Please call me back about the ferry.", "Mirela", "Yusuf", "Celia"))
        .containsSequence("please", "call", "me", "back", "about", "the", "ferry");
  }

  @Test
  void phones_are_those_of_the_dictionary() {
    assertThat(Pronunciations.phones("pau m ih r ax l ax pau \n")).isEqualTo("M IH R AH L AH");
  }
}
