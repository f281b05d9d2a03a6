package oficina.server.queues;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;
import java.util.concurrent.CompletableFuture;
import oficina.core.call.Party;
import oficina.core.commands.MachineCommand;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.QueueEvent;
import oficina.core.people.GroupId;
import oficina.core.queueing.Queue;
import oficina.core.state.Call;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.machines.Joined;
import oficina.server.machines.MachineKind;
import oficina.server.machines.MachineSession;
import oficina.server.office.OfficeData;
import oficina.server.sound.EndId;
import oficina.server.sound.Music;
import oficina.server.sound.SoundEnd;
import oficina.server.speech.Speaker;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.support.PropertiesLoaderUtils;
import org.springframework.stereotype.Component;

/**
 * What somebody hears who waits at a line: first, when the line asks for a number of theirs, the
 * question; then the ringing tone when somebody is free at once, else music, and now and then their
 * place and how long it will take.
 */
@Component
class WaitingVoice implements MachineKind {
  private static final int MOST_SPOKEN = 99;

  private final ExchangeLoop loop;
  private final OfficeData office;
  private final QueueBoard board;
  private final Music music;
  private final Properties sentences;

  /** Each sentence is made once, however many wait. */
  private final LoadingCache<String, CompletableFuture<short[]>> spoken;

  WaitingVoice(ExchangeLoop loop, OfficeData office, QueueBoard board, Music music, Speaker speaker)
      throws IOException {
    this.loop = loop;
    this.office = office;
    this.board = board;
    this.music = music;
    sentences =
        PropertiesLoaderUtils.loadProperties(new ClassPathResource("speech/queue.en.properties"));
    spoken =
        Caffeine.newBuilder()
            .maximumSize(4L * MOST_SPOKEN)
            .build(text -> speaker.say(Speaker.Voice.ALDER, text));
  }

  @Override
  public Class<Party.Queue> is() {
    return Party.Queue.class;
  }

  @Override
  public MachineSession join(Joined where) {
    return new Session(where.id(), where.connection().party().waitsAt());
  }

  private final class Session implements MachineSession {
    private final EndId.Machine id;
    private final GroupId line;
    private final WaitingEnd end;
    private @Nullable AskedNumber asked;
    private boolean waits;
    private boolean over;
    private boolean keeps;
    private boolean told;

    Session(EndId.Machine id, GroupId line) {
      this.id = id;
      this.line = line;
      end = new WaitingEnd(music, line, office.region());
      Queue queue = office.now().directions().queue(line);
      Call call = loop.state().call(id.call());
      if (queue != null && queue.told().asks() != null && call != null && call.place().isAsked()) {
        ask(queue.told().asks());
      } else {
        loop.later(Duration.ofSeconds(1), this::looks);
      }
    }

    private void ask(Queue.Question question) {
      end.between(WaitingEnd.Between.SILENCE);
      asked = new AskedNumber(question, () -> sayQuestion(question), this::given, loop::later);
      sayQuestion(question);
    }

    private void sayQuestion(Queue.Question question) {
      String words = sentences.getProperty("QUESTION").replace("{name}", question.name());
      end.say(
          List.of(spoken.get(words)),
          () ->
              loop.post(
                  () -> {
                    if (asked != null) {
                      asked.asked();
                    }
                  }));
    }

    private void given(String digits) {
      loop.run(new MachineCommand.CallerGives(id.call(), id.leg(), digits));
    }

    /** A moment later: whoever is not rung for by then waits. */
    private void looks() {
      Call call = loop.state().call(id.call());
      if (!over && call != null) {
        happened(call);
      }
    }

    @Override
    public SoundEnd end() {
      return end;
    }

    @Override
    public void happened(ExchangeEvent event, Call after) {
      if (event instanceof QueueEvent.NumberGiven) {
        asked = null;
        end.say(List.of(), () -> {});
        end.between(WaitingEnd.Between.RINGING);
        loop.later(Duration.ofSeconds(1), this::looks);
      } else if (loop.now().isAfter(after.began()) || waits) {
        happened(after);
      }
    }

    private void happened(Call call) {
      if (!waits && !call.rings() && call.waits()) {
        waits = true;
        end.between(WaitingEnd.Between.MUSIC);
        say();
      }
    }

    private void say() {
      Queue queue = office.now().directions().queue(line);
      if (over || queue == null) {
        return;
      }
      List<CompletableFuture<short[]>> words = words(queue.told());
      if (!told) {
        told = true;
        words.addAll(choices(queue.choices()));
      }
      if (!keeps) {
        end.say(words, () -> {});
      }
      if (queue.told().every() != null) {
        loop.later(queue.told().every(), this::say);
      }
    }

    private List<CompletableFuture<short[]>> words(Queue.Told told) {
      List<CompletableFuture<short[]>> words = new ArrayList<>();
      int place = loop.state().queues().waitingAt(line).indexOf(id.call()) + 1;
      if (told.place() && place > 0 && place <= MOST_SPOKEN) {
        words.add(sentence(place == 1 ? "NEXT" : "PLACE", place));
      }
      Duration wait = board.expectedWait(line, Math.max(1, place));
      if (told.time() && wait != null) {
        int minutes = (int) Math.min(MOST_SPOKEN, (wait.toSeconds() + 59) / 60);
        words.add(sentence(minutes <= 1 ? "SOON" : "MINUTES", minutes));
      }
      return words;
    }

    /** What can be had by a key, once, after the place has been said for the first time. */
    private List<CompletableFuture<short[]>> choices(Queue.Choices choices) {
      List<CompletableFuture<short[]>> words = new ArrayList<>();
      if (choices.keep()) {
        words.add(sentence("KEEP", 0));
      }
      if (choices.message()) {
        words.add(sentence("MESSAGE", 0));
      }
      if (choices.elsewhere()) {
        words.add(sentence("ELSEWHERE", 0));
      }
      return words;
    }

    @Override
    public void pressed(String keys) {
      if (asked != null) {
        end.say(List.of(), () -> {});
        asked.pressed(keys);
        return;
      }
      MachineCommand.Choice choice =
          switch (keys.charAt(keys.length() - 1)) {
            case '1' -> MachineCommand.Choice.KEEP;
            case '2' -> MachineCommand.Choice.MESSAGE;
            case '3' -> MachineCommand.Choice.ELSEWHERE;
            default -> null;
          };
      Queue queue = office.now().directions().queue(line);
      if (choice == null || queue == null || over) {
        return;
      }
      if (choice == MachineCommand.Choice.KEEP && queue.choices().keep() && !keeps) {
        keeps = true; // they hear that it is so before they hang up
        end.say(List.of(sentence("KEPT", 0)), () -> loop.post(() -> choose(choice)));
      } else {
        choose(choice);
      }
    }

    private void choose(MachineCommand.Choice choice) {
      loop.run(new MachineCommand.WaiterChooses(id.call(), id.leg(), choice));
    }

    private CompletableFuture<short[]> sentence(String which, int number) {
      return spoken.get(sentences.getProperty(which).replace("{n}", Integer.toString(number)));
    }

    @Override
    public void left() {
      over = true;
    }
  }
}
