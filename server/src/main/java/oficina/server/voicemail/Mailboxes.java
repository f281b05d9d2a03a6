package oficina.server.voicemail;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Occasion;
import oficina.core.call.Party;
import oficina.core.commands.MachineCommand;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.MachineEvent;
import oficina.core.events.TalkEvent;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.sound.EndId;
import oficina.server.sound.SoundEngine;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Greets and records wherever the exchange has a mailbox answer, and reports to it how far that is.
 * On the exchange's thread.
 */
@Component
class Mailboxes implements ExchangeListener {
  private final SoundEngine engine;
  private final ExchangeLoop loop;
  private final Greetings greetings;
  private final MessageSpool spool;
  private final MessageFiling filing;
  private final Map<EndId.Machine, MailboxEnd> ends = new HashMap<>();

  /** Those that answer callers who are blocked. */
  private final Set<EndId.Machine> blocked = new HashSet<>();

  Mailboxes(
      SoundEngine engine,
      ExchangeLoop loop,
      Greetings greetings,
      MessageSpool spool,
      MessageFiling filing) {
    this.engine = engine;
    this.loop = loop;
    this.greetings = greetings;
    this.spool = spool;
    this.filing = filing;
    loop.listen(this);
  }

  private MailboxEnd attach(EndId.Machine id, CompletableFuture<short[]> greeting) {
    String place = Label.place(id.call(), id.leg());
    MailboxEnd end =
        new MailboxEnd(greeting, new Reporting(id), sound -> spool.append(place, sound));
    ends.put(id, end);
    engine.attach(id, end);
    return end;
  }

  /** From the engine's threads, which wait for nothing. */
  private final class Reporting implements MailboxEnd.Reports {
    private final EndId.Machine id;

    Reporting(EndId.Machine id) {
      this.id = id;
    }

    @Override
    public void greetingOver() {
      loop.submit(new MachineCommand.GreetingOver(id.call(), id.leg()));
    }

    @Override
    public void sounds() {
      loop.submit(new MachineCommand.MessageSounds(id.call(), id.leg()));
    }

    @Override
    public void silent() {
      loop.submit(new MachineCommand.CallerSilent(id.call(), id.leg()));
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
    public @Nullable Void of(MachineEvent.MailboxAnswered e) {
      if (e.why() == Cause.BLOCKED) {
        blocked.add(new EndId.Machine(e.call(), e.leg()));
      }
      attach(
          new EndId.Machine(e.call(), e.leg()),
          greetings.spoken(e.mailbox().owner(), e.occasion()));
      return null;
    }

    @Override
    public @Nullable Void of(MachineEvent.RecordingBegan e) {
      Connection caller = after.opposite(e.leg());
      Party who = caller == null ? after.caller() : caller.party();
      Party owner = after.leg(e.leg()).party().mailboxOf();
      EndId.Machine id = new EndId.Machine(e.call(), e.leg());
      String tray = blocked.contains(id) ? Trays.BLOCKED : null;
      Label label = new Label(e.call(), e.leg(), owner, who, e.at(), tray);
      spool.begin(label.place(), label);
      MailboxEnd end = ends.get(id);
      if (end != null) {
        end.record();
      }
      return null;
    }

    @Override
    public @Nullable Void of(MachineEvent.RecordingEnded e) {
      MailboxEnd end = ends.get(new EndId.Machine(e.call(), e.leg()));
      if (end != null) {
        end.finish();
      }
      if (e.kept()) {
        filing.file(Label.place(e.call(), e.leg()));
      } else {
        spool.remove(Label.place(e.call(), e.leg()));
      }
      return null;
    }

    @Override
    public @Nullable Void of(TalkEvent.ConnectionCleared e) {
      EndId.Machine id = new EndId.Machine(e.call(), e.leg());
      MailboxEnd end = ends.remove(id);
      blocked.remove(id);
      if (end != null) {
        engine.detach(id, end);
      }
      return null;
    }
  }

  @Override
  public void takenUp(ExchangeState state) {
    Set<String> goOn = new HashSet<>();
    for (CallId id : state.atMailboxes()) {
      Connection mailbox = state.call(id).mailbox();
      Party owner = mailbox.party().mailboxOf();
      MailboxEnd end =
          attach(new EndId.Machine(id, mailbox.leg()), greetings.spoken(owner, Occasion.NO_ANSWER));
      if (mailbox.records()) {
        end.goOnRecording();
        goOn.add(Label.place(id, mailbox.leg()));
      }
    }
    filing.fileWhatIsLeft(goOn);
  }
}
