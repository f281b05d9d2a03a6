package oficina.server.mailboxes;

import java.util.HashSet;
import java.util.Set;
import oficina.core.call.Cause;
import oficina.core.call.Occasion;
import oficina.core.call.Party;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.MachineEvent;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.greetings.Greetings;
import oficina.server.machines.Joined;
import oficina.server.machines.MachineKind;
import oficina.server.machines.MachineSession;
import oficina.server.sound.SoundEnd;
import oficina.server.voicemail.Label;
import oficina.server.voicemail.Trays;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Mailboxes greet and record, and report to the exchange how far that is. */
@Component
class Mailboxes implements MachineKind {
  private final ExchangeLoop loop;
  private final Greetings greetings;
  private final MessageSpool spool;
  private final MessageFiling filing;

  /** Where recording goes on that had begun before the server was started. */
  private final Set<String> goOn = new HashSet<>();

  Mailboxes(ExchangeLoop loop, Greetings greetings, MessageSpool spool, MessageFiling filing) {
    this.loop = loop;
    this.greetings = greetings;
    this.spool = spool;
    this.filing = filing;
  }

  @Override
  public Class<Party.Mailbox> is() {
    return Party.Mailbox.class;
  }

  @Override
  public MachineSession join(Joined where) {
    Session session = new Session(where);
    if (where.connection().records()) {
      session.end.goOnRecording();
      goOn.add(session.place);
    }
    return session;
  }

  @Override
  public void takenUp() {
    filing.fileWhatIsLeft(goOn);
    goOn.clear();
  }

  /** One mailbox in one call. */
  private final class Session implements MachineSession, FewEvents<@Nullable Void> {
    private final int leg;
    private final Party owner;
    private final String place;
    private final @Nullable String tray;
    private final MailboxEnd end;
    private Call call;

    Session(Joined where) {
      call = where.call();
      leg = where.connection().leg();
      owner = where.connection().party().mailboxOf();
      place = Label.place(where.id().call(), leg);
      Occasion occasion = Occasion.NO_ANSWER;
      boolean blocked = false;
      if (where.with() instanceof MachineEvent.MailboxAnswered with) {
        occasion = with.occasion();
        blocked = with.why() == Cause.BLOCKED;
      }
      tray = blocked ? Trays.BLOCKED : null;
      end =
          new MailboxEnd(
              greetings.spoken(owner, occasion),
              new Reporting(loop, where.id()),
              sound -> spool.append(place, sound));
    }

    @Override
    public SoundEnd end() {
      return end;
    }

    @Override
    public void happened(ExchangeEvent event, Call after) {
      call = after;
      event.accept(this);
    }

    @Override
    public @Nullable Void otherwise(ExchangeEvent event) {
      return null;
    }

    @Override
    public @Nullable Void of(MachineEvent.RecordingBegan e) {
      Connection caller = call.opposite(leg);
      Party who = caller == null ? call.caller() : caller.party();
      spool.begin(place, new Label(e.call(), leg, owner, who, e.at(), tray));
      end.record();
      return null;
    }

    @Override
    public @Nullable Void of(MachineEvent.RecordingEnded e) {
      end.finish();
      if (e.kept()) {
        filing.file(place);
      } else {
        spool.remove(place);
      }
      return null;
    }
  }
}
