package oficina.server.lines;

import java.time.Duration;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import oficina.core.call.Occasion;
import oficina.core.call.Party;
import oficina.core.commands.MachineCommand;
import oficina.core.people.ExtensionKeys;
import oficina.core.people.GroupId;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.greetings.Greetings;
import oficina.server.machines.Joined;
import oficina.server.machines.MachineKind;
import oficina.server.machines.MachineSession;
import oficina.server.machines.SpeakingEnd;
import oficina.server.office.OfficeData;
import oficina.server.sound.EndId;
import oficina.server.sound.SoundEnd;
import org.springframework.stereotype.Component;

/** Voices that speak with whoever is welcomed to a line, and listen to what they dial. */
@Component
class Welcomes implements MachineKind {
  /** Whoever knows no extension waits no longer for the line to ring. */
  private static final Duration AFTER_GREETING = Duration.ofSeconds(3);

  private static final Duration BETWEEN_KEYS = Duration.ofSeconds(4);
  private static final int TRIES = 3;

  private final ExchangeLoop loop;
  private final Greetings greetings;
  private final OfficeData office;

  Welcomes(ExchangeLoop loop, Greetings greetings, OfficeData office) {
    this.loop = loop;
    this.greetings = greetings;
    this.office = office;
  }

  /** One caller who is welcomed. */
  private final class Session implements MachineSession {
    private final EndId.Machine id;
    private final SpeakingEnd end = new SpeakingEnd();
    private final ExtensionKeys keys = new ExtensionKeys();
    private int heard;
    private int inVain;
    private boolean over;

    Session(EndId.Machine id, GroupId line) {
      this.id = id;
      say(greetings.spoken(new Party.Members(line), Occasion.WELCOME));
    }

    /** Whoever is spoken to is waited for only when all has been said. */
    private void say(CompletableFuture<short[]> words) {
      heard++;
      end.say(List.of(words), () -> loop.post(() -> await(AFTER_GREETING)));
    }

    @Override
    public SoundEnd end() {
      return end;
    }

    @Override
    public void left() {
      over = true;
    }

    @Override
    public void pressed(String digits) {
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
            if (!over && heard == before) {
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
  public Class<Party.Welcome> is() {
    return Party.Welcome.class;
  }

  @Override
  public MachineSession join(Joined where) {
    return new Session(where.id(), where.connection().party().welcomesTo());
  }
}
