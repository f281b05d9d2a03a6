package oficina.server.voicemail;

import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.commands.MachineCommand;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.TalkEvent;
import oficina.core.exchange.Refusal;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import oficina.server.door.PerSecond;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.sound.EndId;
import oficina.server.sound.SoundEngine;
import oficina.server.threads.Threads;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Reads messages out to whoever calls for them. A session for each such call; what it needs of the
 * database it does on a thread of its own, one key after the other.
 */
@Component
class Attendants implements ExchangeListener {
  private static final Duration PATIENCE = Duration.ofMinutes(1);

  /** Each may have a message read from the database: nobody keeps others from hearing theirs. */
  private static final int KEYS_PER_SECOND = 20;

  private final SoundEngine engine;
  private final ExchangeLoop loop;
  private final ReadingOut readingOut;
  private final ExecutorService work =
      Executors.newSingleThreadExecutor(Threads.named("attendant"));
  private final Map<CallId, Session> sessions = new HashMap<>();

  Attendants(SoundEngine engine, ExchangeLoop loop, ReadingOut readingOut) {
    this.engine = engine;
    this.loop = loop;
    this.readingOut = readingOut;
    loop.listen(this);
  }

  /** What the exchange is asked for in one call. */
  private final class Session implements ReadingOut.Line {
    private final EndId.Machine id;
    private final AttendantEnd end = new AttendantEnd();
    private final ReadingOut.Conversation conversation;
    private final PerSecond fingers = new PerSecond(KEYS_PER_SECOND);
    private int keys;

    Session(EndId.Machine id, @Nullable PersonId caller, String place) {
      this.id = id;
      conversation = readingOut.conversation(caller, place, end, this);
      engine.attach(id, end);
      work.execute(conversation::begin);
      awaitKeys();
    }

    void pressed(String digits) {
      keys++;
      digits
          .chars()
          .filter(key -> fingers.allows())
          .forEach(key -> work.execute(() -> conversation.pressed((char) key)));
      awaitKeys();
    }

    /** Whoever presses nothing for long is let go; what is being said counts as well. */
    private void awaitKeys() {
      int before = keys;
      loop.later(
          PATIENCE.plus(Duration.ofMinutes(3)),
          () -> {
            if (sessions.get(id.call()) == this && keys == before) {
              work.execute(conversation::idle);
            }
          });
    }

    @Override
    public void end() {
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
  public void happened(ExchangeEvent event, @Nullable Call after) {
    event.accept(new Following(after));
  }

  private final class Following implements FewEvents<@Nullable Void> {
    private final @Nullable Call after;

    Following(@Nullable Call after) {
      this.after = after;
    }

    @Override
    public @Nullable Void otherwise(ExchangeEvent event) {
      return null;
    }

    @Override
    public @Nullable Void of(TalkEvent.Established e) {
      begins(after, after.leg(e.leg()));
      return null;
    }

    @Override
    public @Nullable Void of(TalkEvent.ConnectionCleared e) {
      Session session = sessions.get(e.call());
      if (session != null && session.id.leg() == e.leg()) {
        sessions.remove(e.call());
        engine.detach(session.id, session.end);
      }
      return null;
    }
  }

  private void begins(Call call, @Nullable Connection there) {
    if (there != null && there.party() instanceof Party.Attendant attendant) {
      EndId.Machine id = new EndId.Machine(call.id(), there.leg());
      sessions.put(call.id(), new Session(id, attendant.caller(), place(call)));
    }
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

  @Override
  public void pressed(CallId call, String keys) {
    Session session = sessions.get(call);
    if (session != null) {
      session.pressed(keys);
    }
  }

  /** Whoever was listening when the server stopped begins anew. */
  @Override
  public void takenUp(ExchangeState state) {
    for (Call call : state.calls()) {
      call.connections().forEach(each -> begins(call, each));
    }
  }
}
