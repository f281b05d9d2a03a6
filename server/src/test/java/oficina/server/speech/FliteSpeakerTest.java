package oficina.server.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import oficina.core.people.PersonId;
import oficina.core.sound.Pcm;
import oficina.server.problems.Problem;
import org.junit.jupiter.api.Test;

/** Speech that this machine makes. */
class FliteSpeakerTest {
  private static final PersonId INES = new PersonId(1);
  private static final String LONG =
      "This is the office of the ferries, and nobody can come to the telephone now. ".repeat(12);

  /** Answers when the test does. */
  private static final class Slow implements Speaker {
    private final Deque<CompletableFuture<short[]>> asked = new ArrayDeque<>();

    @Override
    public synchronized CompletableFuture<short[]> say(Voice voice, String text, For whom) {
      CompletableFuture<short[]> answer = new CompletableFuture<>();
      asked.add(answer);
      notifyAll();
      return answer;
    }

    synchronized CompletableFuture<short[]> next() throws InterruptedException {
      while (asked.isEmpty()) {
        wait();
      }
      return asked.remove();
    }
  }

  @Test
  void a_call_waits_for_no_preview() {
    FliteSpeaker speaker = new FliteSpeaker();
    List<CompletableFuture<short[]>> previews = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      previews.add(speaker.say(Speaker.Voice.ALDER, i + LONG, Speaker.For.PREVIEW));
    }
    assertThat(speaker.say(Speaker.Voice.ALDER, "Good morning.").join()).isNotEmpty();
    assertThat(previews.get(4).isDone()).as("spoken after the others").isFalse();
    // Whatever comes on top of what can wait is not waited for, and nothing of it is kept.
    for (int i = 0; i < 40; i++) {
      previews.add(speaker.say(Speaker.Voice.ALDER, "x" + i + LONG, Speaker.For.PREVIEW));
    }
    assertThat(previews.get(44).join()).isEmpty();
    speaker.stop();
  }

  @Test
  void what_could_not_be_spoken_is_tried_again() throws Exception {
    Slow speaker = new Slow();
    Sentence sentence = new Sentence(speaker, "Good morning.");
    speaker.next().complete(new short[0]);
    CompletableFuture<short[]> again = sentence.spoken();
    speaker.next().complete(new short[] {1});
    assertThat(again.join()).containsExactly(1);
    assertThat(sentence.spoken().join()).containsExactly(1);
    assertThat(speaker.asked).isEmpty();
  }

  @Test
  void each_person_has_one_text_spoken_at_a_time_and_none_that_takes_too_long() throws Exception {
    Slow speaker = new Slow();
    Previews previews = new Previews(speaker);
    ExecutorService other = Executors.newSingleThreadExecutor();
    Future<short[]> first = other.submit(() -> previews.spoken(INES, "Hello."));
    CompletableFuture<short[]> speaking = speaker.next();
    refused(() -> previews.spoken(INES, "Hello again."), "SPEAKING_ALREADY");
    speaking.complete(new short[0]);
    assertThatThrownBy(first::get)
        .isInstanceOf(ExecutionException.class)
        .hasRootCauseMessage("CANNOT_SPEAK");
    for (String text : List.of("1".repeat(1_000), "xq".repeat(500), "%".repeat(200))) {
      refused(() -> previews.spoken(INES, text), "TOO_LONG_TO_SPEAK");
    }
    assertThat(speaker.asked).isEmpty();
    other.shutdownNow();
  }

  private static void refused(Runnable what, String code) {
    assertThatThrownBy(what::run)
        .isInstanceOfSatisfying(Problem.class, e -> assertThat(e.code()).isEqualTo(code));
  }

  @Test
  void how_long_a_text_will_be_is_known_before() {
    FliteSpeaker speaker = new FliteSpeaker();
    for (String text :
        List.of(LONG, "0191 498 0100, 0191 498 0201.", "$9,999 %", "Fx Kw, ext. 8")) {
      double spoken = (double) speaker.say(Speaker.Voice.ALDER, text).join().length / Pcm.RATE;
      assertThat(SpokenLength.of(text).toMillis() / 1_000.0)
          .as(text)
          .isBetween(0.6 * spoken, 2.5 * spoken);
    }
    speaker.stop();
  }
}
