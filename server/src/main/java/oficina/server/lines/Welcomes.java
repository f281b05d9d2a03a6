package oficina.server.lines;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import oficina.core.call.CallId;
import oficina.core.call.Occasion;
import oficina.core.call.Party;
import oficina.core.commands.MachineCommand;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.MachineEvent;
import oficina.core.events.TalkEvent;
import oficina.core.people.GroupId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import oficina.core.voicemail.ExtensionKeys;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.office.OfficeData;
import oficina.server.sound.EndId;
import oficina.server.sound.SoundEngine;
import oficina.server.voicemail.AttendantEnd;
import oficina.server.voicemail.Greetings;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Speaks with whoever is welcomed to a line, and listens to what they dial. On the exchange's
 * thread.
 */
@Component
class Welcomes implements ExchangeListener {
  /** Whoever knows no extension waits no longer for the line to ring. */
  private static final Duration AFTER_GREETING = Duration.ofSeconds(3);

  private static final Duration BETWEEN_KEYS = Duration.ofSeconds(4);
  private static final int TRIES = 3;

  private final SoundEngine engine;
  private final ExchangeLoop loop;
  private final Greetings greetings;
  private final OfficeData office;
  private final Map<CallId, Session> sessions = new HashMap<>();

  Welcomes(SoundEngine engine, ExchangeLoop loop, Greetings greetings, OfficeData office) {
    this.engine = engine;
    this.loop = loop;
    this.greetings = greetings;
    this.office = office;
    loop.listen(this);
  }

  /** One caller who is welcomed. */
  private final class Session {
    private final EndId.Machine id;
    private final AttendantEnd end = new AttendantEnd();
    private final ExtensionKeys keys = new ExtensionKeys();
    private int heard;
    private int inVain;

    Session(EndId.Machine id, GroupId line) {
      this.id = id;
      engine.attach(id, end);
      say(greetings.spoken(new Party.Members(line), Occasion.WELCOME));
    }

    /** Whoever is spoken to is waited for only when all has been said. */
    private void say(CompletableFuture<short[]> words) {
      heard++;
      end.say(List.of(words), () -> loop.post(() -> await(AFTER_GREETING)));
    }

    void pressed(String digits) {
      heard++;
      end.say(List.of(), () -> {});
      for (char key : digits.toCharArray()) {
        ExtensionKeys.Heard what = keys.press(key, office.directory());
        if (what != ExtensionKeys.Heard.MORE) {
          follow(what);
          return;
        }
      }
      await(BETWEEN_KEYS);
    }

    /** What is to happen when no key follows for so long. */
    private void await(Duration time) {
      int before = heard;
      loop.later(
          time,
          () -> {
            if (sessions.get(id.call()) == this && heard == before) {
              follow(keys.pause(office.directory()));
            }
          });
    }

    private void follow(ExtensionKeys.Heard what) {
      switch (what) {
        case MORE -> {}
        case LINE -> loop.run(new MachineCommand.WelcomeOver(id.call(), id.leg()));
        case EXTENSION ->
            loop.run(
                new MachineCommand.WelcomeConnects(
                    id.call(), id.leg(), office.plan().interpret(keys.dialled())));
        case NONE -> inVain();
      }
    }

    private void inVain() {
      if (++inVain == TRIES) {
        loop.run(new MachineCommand.WelcomeOver(id.call(), id.leg()));
      } else {
        say(greetings.noSuchExtension());
      }
    }
  }

  @Override
  public void happened(ExchangeEvent event, @Nullable Call after) {
    event.accept(new Following());
  }

  private final class Following implements FewEvents<@Nullable Void> {
    @Override
    public @Nullable Void otherwise(ExchangeEvent event) {
      return null;
    }

    @Override
    public @Nullable Void of(MachineEvent.Welcomed e) {
      begins(new EndId.Machine(e.call(), e.leg()), e.welcome().line());
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

  private void begins(EndId.Machine id, GroupId line) {
    sessions.put(id.call(), new Session(id, line));
  }

  @Override
  public void pressed(CallId call, String keys) {
    Session session = sessions.get(call);
    if (session != null) {
      session.pressed(keys);
    }
  }

  /** Whoever was welcomed when the server stopped is welcomed anew. */
  @Override
  public void takenUp(ExchangeState state) {
    for (Call call : state.calls()) {
      Connection there = call.standIn();
      GroupId line = there == null ? null : there.party().welcomesTo();
      if (line != null) {
        begins(new EndId.Machine(call.id(), there.leg()), line);
      }
    }
  }
}
