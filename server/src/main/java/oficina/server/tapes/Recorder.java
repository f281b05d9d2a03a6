package oficina.server.tapes;

import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.call.TapeEnd;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.TalkEvent;
import oficina.core.events.TapeEvent;
import oficina.core.heard.Taping;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import oficina.core.state.Tape;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Told;
import oficina.server.exchange.Turn;
import oficina.server.sound.SoundEngine;
import oficina.server.sound.Tap;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Records what the exchange says is recorded. On the exchange's thread. */
@Component
class Recorder implements ExchangeListener {
  private static final Logger LOG = LoggerFactory.getLogger(Recorder.class);

  private final SoundEngine engine;
  private final TapeSpool spool;
  private final RecordingFiling filing;
  private final Telling telling;
  private final MovableClock clock;

  /** Of each call, by connection. */
  private final Map<CallId, Map<Integer, TapeWriter>> writers = new HashMap<>();

  Recorder(
      SoundEngine engine,
      TapeSpool spool,
      RecordingFiling filing,
      Telling telling,
      MovableClock clock,
      ExchangeLoop loop) {
    this.engine = engine;
    this.spool = spool;
    this.filing = filing;
    this.telling = telling;
    this.clock = clock;
    loop.listen(this);
  }

  @Override
  public Turn turn() {
    return Turn.RECORDINGS;
  }

  @Override
  public void happened(Told told) {
    told.event().accept(new Following());
    told.calls().forEach(call -> follow(call.id(), call.after(), told.event().at()));
  }

  private final class Following implements FewEvents<@Nullable Void> {
    @Override
    public @Nullable Void otherwise(ExchangeEvent event) {
      return null;
    }

    @Override
    public @Nullable Void of(TapeEvent.TapeAnnounced e) {
      telling.tell(e.call());
      return null;
    }

    @Override
    public @Nullable Void of(TapeEvent.TapeStopped e) {
      TapeWriter writer = here(e.call()).get(e.leg());
      if (writer != null && e.why() == TapeEnd.REFUSED) {
        here(e.call()).remove(e.leg());
        writer.discard();
      }
      return null;
    }

    /** Whoever comes over brings along what is recorded for them. */
    @Override
    public @Nullable Void of(TalkEvent.Merged e) {
      TapeWriter writer = here(e.other()).remove(e.otherLeg());
      engine.tap(e.other(), List.of());
      if (writer != null) {
        writer.become(writer.label().in(e.call(), e.leg()));
        here(e.call()).put(e.leg(), writer);
      }
      return null;
    }

    @Override
    public @Nullable Void of(TalkEvent.DigitsSent e) {
      here(e.call()).values().forEach(writer -> writer.digits(e.digits()));
      return null;
    }
  }

  private Map<Integer, TapeWriter> here(CallId call) {
    return writers.computeIfAbsent(call, id -> new TreeMap<>());
  }

  /** Begins, goes on and ends what the state of a call says. */
  private void follow(CallId id, @Nullable Call call, Instant now) {
    Map<Integer, TapeWriter> here = here(id);
    here.values().removeIf(writer -> over(call, writer));
    if (call == null) {
      writers.remove(id);
      return;
    }
    List<Tap> taps = new ArrayList<>();
    for (Connection leg : call.connections()) {
      if (leg.tape().on() && !here.containsKey(leg.leg())) {
        here.put(leg.leg(), begin(call, leg, now));
      }
      TapeWriter writer = here.get(leg.leg());
      if (writer == null) {
        continue;
      }
      Taping taping = Taping.of(call, leg);
      if (taping == null) {
        writer.pause(leg.tape().on() ? Mark.Kind.HELD : Mark.Kind.STOPPED, now);
      } else {
        writer.goOn(now);
        taps.add(new Tap(taping.ours(), taping.theirs(), telling.byTones(), writer));
      }
    }
    engine.tap(id, taps);
    if (here.isEmpty()) {
      writers.remove(id);
    }
  }

  /** Files what is over; whoever has only stopped it may go on. */
  private boolean over(@Nullable Call call, TapeWriter writer) {
    Connection leg = call == null ? null : call.leg(writer.label().leg());
    if (leg != null && kept(leg.tape())) {
      return false;
    }
    engine.tap(writer.label().call(), List.of());
    writer.finish();
    filing.file(writer.label().place());
    return true;
  }

  private TapeWriter begin(Call call, Connection leg, Instant now) {
    PersonId owner = leg.party().employee();
    Connection other = call.opposite(leg.leg());
    Party with = other == null ? call.called() : other.party();
    String place = call.id() + "." + leg.leg() + "." + now.toEpochMilli();
    TapeLabel label = new TapeLabel(place, call.id(), leg.leg(), owner, with, leg.line(), now);
    spool.begin(place, label);
    return new TapeWriter(spool, label, 0, now);
  }

  /** Whether what was recorded before the server was started anew goes on. */
  private static boolean goesOn(TapeLabel label, @Nullable Call call) {
    Connection leg = call == null ? null : call.leg(label.leg());
    return leg != null && label.owner().equals(leg.party().employee()) && kept(leg.tape());
  }

  private static boolean kept(Tape tape) {
    return tape.on() || tape.state() == Tape.State.STOPPED;
  }

  @Override
  public void takenUp(ExchangeState state) {
    try {
      List<TapeLabel> labels = new ArrayList<>(spool.labels());
      labels.sort(Comparator.comparing(TapeLabel::began));
      for (TapeLabel label : labels) {
        if (goesOn(label, state.call(label.call()))) {
          long samples = spool.length(label.place()) / TapeWriter.CHANNELS;
          here(label.call())
              .put(label.leg(), new TapeWriter(spool, label, samples, clock.instant()));
        }
      }
      filing.fileWhatIsLeft(
          writers.values().stream()
              .flatMap(here -> here.values().stream())
              .map(writer -> writer.label().place())
              .collect(Collectors.toSet()));
    } catch (IOException e) {
      LOG.error("What was recorded before cannot be found", e);
    }
    for (Call call : state.calls()) {
      follow(call.id(), call, clock.instant());
    }
  }
}
