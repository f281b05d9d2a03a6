package oficina.server.attendants;

import java.time.Duration;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import oficina.core.call.Party;
import oficina.core.commands.MachineCommand;
import oficina.core.decision.Refusal;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.server.door.PerSecond;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.machines.Joined;
import oficina.server.machines.MachineKind;
import oficina.server.machines.MachineSession;
import oficina.server.machines.SpeakingEnd;
import oficina.server.sound.EndId;
import oficina.server.sound.SoundEnd;
import oficina.server.threads.InTurn;
import oficina.server.threads.Threads;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Voices that read messages out to whoever calls for them. What they need of the database each does
 * one key after the other, and none waits for another one.
 */
@Component
class Attendants implements MachineKind {
  private static final Duration PATIENCE = Duration.ofMinutes(1);

  /** Each may have a message read from the database: nobody keeps others from hearing theirs. */
  private static final int KEYS_PER_SECOND = 20;

  /** As many can have the database work for them at a time. */
  private static final int THREADS = 4;

  /** Of keys pressed faster than they can be answered. */
  private static final int MOST_WAITING = 100;

  private final ExchangeLoop loop;
  private final ReadingOut readingOut;
  private final ExecutorService threads =
      Executors.newFixedThreadPool(THREADS, Threads.named("attendants"));

  Attendants(ExchangeLoop loop, ReadingOut readingOut) {
    this.loop = loop;
    this.readingOut = readingOut;
  }

  /** What the exchange is asked for in one call. */
  private final class Session implements MachineSession, ReadingOut.Line {
    private final EndId.Machine id;
    private final SpeakingEnd end = new SpeakingEnd();
    private final ReadingOut.Conversation conversation;
    private final Executor work = new InTurn(threads, MOST_WAITING);
    private final PerSecond fingers = new PerSecond(KEYS_PER_SECOND);
    private int keys;
    private boolean over;

    Session(EndId.Machine id, @Nullable PersonId caller, String place) {
      this.id = id;
      conversation = readingOut.conversation(caller, place, end, this);
      work.execute(conversation::begin);
      awaitKeys();
    }

    @Override
    public SoundEnd end() {
      return end;
    }

    @Override
    public void pressed(String digits) {
      keys++;
      digits
          .chars()
          .filter(key -> fingers.allows())
          .forEach(key -> work.execute(() -> conversation.pressed((char) key)));
      awaitKeys();
    }

    @Override
    public void left() {
      over = true;
    }

    /** Whoever presses nothing for long is let go; what is being said counts as well. */
    private void awaitKeys() {
      int before = keys;
      loop.later(
          PATIENCE.plus(Duration.ofMinutes(3)),
          () -> {
            if (!over && keys == before) {
              work.execute(conversation::idle);
            }
          });
    }

    @Override
    public void hangUp() {
      loop.submit(new MachineCommand.AttendantClears(id.call(), id.leg()));
    }

    @Override
    public void connect(PersonId owner, Dialled to, Runnable cannot) {
      loop.submit(new MachineCommand.AttendantConnects(id.call(), id.leg(), owner, to))
          .thenAccept(
              decision -> {
                if (decision instanceof Refusal) {
                  work.execute(cannot);
                }
              });
    }
  }

  @Override
  public Class<Party.Attendant> is() {
    return Party.Attendant.class;
  }

  @Override
  public MachineSession join(Joined where) {
    Party.Attendant attendant = (Party.Attendant) where.connection().party();
    return new Session(where.id(), attendant.caller(), place(where.call()));
  }

  /** By which this telephone is told from others. */
  private static String place(Call call) {
    return call.connections().stream()
        .map(Connection::party)
        .filter(party -> !(party instanceof Party.Attendant))
        .map(Party::toString)
        .findFirst()
        .orElse("");
  }
}
