package oficina.server.upkeep;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import oficina.core.state.ExchangeState;
import oficina.core.upkeep.Condition;
import oficina.server.calls.Commands;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.journal.JournalWriter;
import oficina.server.office.OfficeData;
import oficina.server.problems.Refusals;
import oficina.server.push.Pushes;
import oficina.server.softphone.SoundPort;
import oficina.server.sound.SoundEngine;
import org.springframework.stereotype.Component;

/** Looks at everything that says how this installation stands. */
@Component
class Installation {
  private final ExchangeLoop loop;
  private final OfficeData office;
  private final JournalWriter journal;
  private final SoundEngine sound;
  private final SoundPort port;
  private final Pushes pushes;
  private final Refusals refusals;
  private final Disks disks;
  private final Backups backups;
  private final Certificate certificate;
  private final Versions versions;
  private final Instant started = Instant.now();

  Installation(
      ExchangeLoop loop,
      OfficeData office,
      JournalWriter journal,
      SoundEngine sound,
      SoundPort port,
      Pushes pushes,
      Refusals refusals,
      Disks disks,
      Backups backups,
      Certificate certificate,
      Versions versions) {
    this.loop = loop;
    this.office = office;
    this.journal = journal;
    this.sound = sound;
    this.port = port;
    this.pushes = pushes;
    this.refusals = refusals;
    this.disks = disks;
    this.backups = backups;
    this.certificate = certificate;
    this.versions = versions;
  }

  /** As far as somebody may have to do something about it. */
  Condition condition() {
    return new Condition(
        journal.state().behind(),
        port.isOpen() && sound.isRunning(),
        disks.now(),
        backups.now(),
        certificate.ends());
  }

  /** All of it. */
  InstallationState now() {
    Condition condition = condition();
    return new InstallationState(
        started,
        Commands.await(loop.ask(this::use)),
        new InstallationState.Written(
            journal.state().behind(), journal.waiting(), journal.state().refused()),
        new InstallationState.Heard(
            condition.soundRuns(), port.connections(), sound.frames(), sound.lateFrames()),
        new InstallationState.Room(
            condition.disk().free(), condition.disk().total(), disks.waiting()),
        condition.backups().last(),
        condition.certificateEnds(),
        versions.now(),
        refused());
  }

  /** On the exchange's thread. */
  private InstallationState.Use use() {
    ExchangeState state = loop.state();
    return new InstallationState.Use(
        state.calls().size(),
        state.outsideLinesTaken(),
        office.settings().limits().outsideLines(),
        pushes.openPages());
  }

  private List<InstallationState.Refused> refused() {
    return Stream.concat(
            refusals.counts().entrySet().stream(),
            port.refused().counts().entrySet().stream().filter(each -> each.getValue() > 0))
        .map(each -> new InstallationState.Refused(each.getKey(), each.getValue()))
        .sorted(Comparator.comparing(InstallationState.Refused::what))
        .toList();
  }
}
