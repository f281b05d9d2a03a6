package oficina.server.attendants;

import java.io.IOException;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.concurrent.CompletableFuture;
import oficina.core.call.Occasion;
import oficina.core.call.Owner;
import oficina.core.call.Party;
import oficina.core.numbers.Dialled;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.sound.Pcm;
import oficina.core.voicemail.Menu;
import oficina.core.voicemail.Say;
import oficina.server.database.Cursor;
import oficina.server.greetings.GreetingStore;
import oficina.server.machines.SpeakingEnd;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.speech.Speaker;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import oficina.server.voicemail.Message;
import oficina.server.voicemail.MessageMarkStore;
import oficina.server.voicemail.MessageStore;
import oficina.server.voicemail.TranscriptStore;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.support.PropertiesLoaderUtils;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** What is said to whoever listens to their messages by telephone, and done for them. */
@Component
class ReadingOut {
  private static final Logger LOG = LoggerFactory.getLogger(ReadingOut.class);
  private static final int MOST = 50;
  private static final int SHORTEST_GREETING = Pcm.RATE;

  private final MessageStore messages;
  private final MessageMarkStore marks;
  private final TranscriptStore sounds;
  private final GreetingStore greetings;
  private final Pins pins;
  private final OfficeData office;
  private final Parties parties;
  private final Topics topics;
  private final Speaker speaker;
  private final MovableClock clock;
  private final Properties sentences;

  ReadingOut(
      MessageStore messages,
      MessageMarkStore marks,
      TranscriptStore sounds,
      GreetingStore greetings,
      Pins pins,
      OfficeData office,
      Parties parties,
      Topics topics,
      Speaker speaker,
      MovableClock clock)
      throws IOException {
    this.messages = messages;
    this.marks = marks;
    this.sounds = sounds;
    this.greetings = greetings;
    this.pins = pins;
    this.office = office;
    this.parties = parties;
    this.topics = topics;
    this.speaker = speaker;
    this.clock = clock;
    sentences =
        PropertiesLoaderUtils.loadProperties(new ClassPathResource("speech/menu.en.properties"));
  }

  /** What a conversation needs of the call it is in. */
  interface Line {
    void hangUp();

    /**
     * Connects whoever listens with somebody. Nobody waits for it.
     *
     * @param cannot done on the attendants' thread when that is not possible
     */
    void connect(PersonId owner, Dialled to, Runnable cannot);
  }

  /**
   * Begins to talk with somebody.
   *
   * @param caller null for whoever calls from outside
   * @param place from where they call
   */
  Conversation conversation(@Nullable PersonId caller, String place, SpeakingEnd end, Line line) {
    return new Conversation(caller, place, end, line);
  }

  /** With one listener. On the attendants' thread. */
  final class Conversation {
    private final Menu menu;
    private final SpeakingEnd end;
    private final Line line;
    private final List<Message> list = new ArrayList<>();
    private final @Nullable PersonId caller;
    private final String place;
    private final Playback playback = new Playback();
    private @Nullable PersonId owner;

    Conversation(@Nullable PersonId caller, String place, SpeakingEnd end, Line line) {
      this.caller = caller;
      this.place = place;
      this.end = end;
      this.line = line;
      menu = new Menu(caller == null ? null : office.person(caller).extension());
    }

    void begin() {
      follow(menu.begin());
    }

    void pressed(char key) {
      guarded(() -> follow(menu.key(key)));
    }

    void idle() {
      guarded(() -> follow(menu.idle()));
    }

    private void guarded(Runnable what) {
      try {
        what.run();
      } catch (DataAccessException e) {
        LOG.warn("Messages cannot be read out now: {}", e.getMessage());
        say(List.of(sentence("NOT_NOW")), line::hangUp);
      }
    }

    private void follow(Menu.Step step) {
      boolean over = false;
      for (Menu.Deed deed : step.deeds()) {
        over |= deed == Menu.Deed.END;
        if (carryOut(deed)) {
          return; // what is said then follows from it
        }
      }
      if (!step.say().isEmpty()) {
        Saying saying = new Saying();
        List<CompletableFuture<short[]>> words =
            step.say().stream().map(what -> what.accept(saying)).toList();
        say(words, over ? line::hangUp : () -> {});
      }
    }

    private void say(List<CompletableFuture<short[]>> words, Runnable then) {
      end.say(words, then);
    }

    /** Does something and tells whether it decides itself what is said next. */
    private boolean carryOut(Menu.Deed deed) {
      switch (deed) {
        case CHECK_PIN -> {
          follow(checked());
          return true;
        }
        case CALL_BACK -> {
          callBack();
          return true;
        }
        case SLOWER, FASTER -> {
          changeSpeed(deed == Menu.Deed.FASTER ? 1 : -1);
          return true;
        }
        case HEARD -> marks.heard(atHand().id(), mailbox(), owner, clock.instant());
        case DELETE -> {
          Message gone = list.remove(menu.at());
          marks.remove(List.of(gone.id()), mailbox(), clock.instant());
        }
        case RECORD_GREETING -> end.listen();
        case KEEP_GREETING -> {
          short[] greeting = end.listened();
          if (greeting.length >= SHORTEST_GREETING) {
            greetings.keep(
                mailbox().get(0),
                new GreetingStore.Greeting(Occasion.NO_ANSWER, "", clock.instant(), null),
                greeting);
          }
        }
        case END -> {
          return false;
        }
      }
      if (deed == Menu.Deed.HEARD || deed == Menu.Deed.DELETE) {
        topics.tell(List.of(owner), Topic.VOICEMAIL);
      }
      return false;
    }

    /** Goes on with the message from where it is; one that has been heard begins anew. */
    private void changeSpeed(int faster) {
      if (playback.canBe(faster)) {
        int said = end.saidOf(playback.words());
        say(List.of(playback.goOn(faster, said), sentence("CHOICES")), () -> {});
      }
    }

    private Menu.Step checked() {
      PersonId wanted = office.directory().personAt(menu.extension()).map(Person::id).orElse(null);
      if (wanted == null
          || !pins.isRight(wanted, menu.pin(), new Pins.At(place, wanted.equals(caller)))) {
        return menu.wrongPin();
      }
      owner = wanted;
      list.addAll(messages.page(mailbox(), /* onlyNew= */ true, List.of(), Cursor.NEWEST, MOST));
      int fresh = list.size();
      messages.page(mailbox(), /* onlyNew= */ false, List.of(), Cursor.NEWEST, MOST).stream()
          .filter(each -> !each.fresh())
          .forEach(list::add);
      return menu.open(fresh, list.size());
    }

    private List<String> mailbox() {
      return List.of(Owner.key(owner));
    }

    private Message atHand() {
      return list.get(menu.at());
    }

    private void callBack() {
      String dial = parties.dial(atHand().caller());
      Runnable cannot = () -> follow(menu.cannotCallBack());
      if (dial == null) {
        cannot.run();
      } else {
        line.connect(owner, office.plan().interpret(dial), () -> guarded(cannot));
      }
    }

    /** Everything there is to say, as sound. */
    private final class Saying implements Say.Cases<CompletableFuture<short[]>> {
      @Override
      public CompletableFuture<short[]> of(Say.Words words) {
        return sentence(words.name());
      }

      @Override
      public CompletableFuture<short[]> of(Say.Count count) {
        String name = count.fresh() > 0 ? "NEW" : count.all() > 0 ? "ONLY_OLD" : "NONE";
        return text(
            sentences
                .getProperty(name)
                .replace("{fresh}", Integer.toString(count.fresh()))
                .replace("{all}", Integer.toString(count.all())));
      }

      @Override
      public CompletableFuture<short[]> of(Say.Head head) {
        return text(head(list.get(head.message())));
      }

      @Override
      public CompletableFuture<short[]> of(Say.Sound sound) {
        long id = list.get(sound.message()).id();
        return playback.begin(sounds.samples(id));
      }
    }

    private CompletableFuture<short[]> sentence(String name) {
      return text(sentences.getProperty(name));
    }

    private CompletableFuture<short[]> text(String text) {
      return speaker.say(Speaker.Voice.ALDER, text);
    }

    private String head(Message message) {
      Party caller = message.caller();
      String who = parties.name(caller);
      if (caller.outsideNumber() != null) {
        who = String.join(" ", who.replace(" ", ", ").split("(?<=[0-9])(?=[0-9])"));
      }
      ZonedDateTime when = message.began().atZone(office.now().identity().zone());
      LocalDate today = clock.instant().atZone(when.getZone()).toLocalDate();
      String day =
          when.toLocalDate().equals(today)
              ? sentences.getProperty("TODAY")
              : when.format(DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH));
      return sentences
          .getProperty("HEAD")
          .replace("{who}", who.isEmpty() ? sentences.getProperty("WITHHELD") : who)
          .replace("{day}", day)
          .replace("{time}", when.format(DateTimeFormatter.ofPattern("H mm", Locale.ENGLISH)));
    }
  }
}
