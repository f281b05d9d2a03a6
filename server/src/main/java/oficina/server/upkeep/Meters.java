package oficina.server.upkeep;

import io.micrometer.core.instrument.FunctionCounter;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.binder.jvm.JvmGcMetrics;
import io.micrometer.core.instrument.binder.jvm.JvmMemoryMetrics;
import io.micrometer.core.instrument.binder.jvm.JvmThreadMetrics;
import io.micrometer.core.instrument.binder.system.ProcessorMetrics;
import io.micrometer.prometheusmetrics.PrometheusConfig;
import io.micrometer.prometheusmetrics.PrometheusMeterRegistry;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import oficina.core.upkeep.Alarm;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What is seen of the installation, as meters in the text format of OpenMetrics 1.0. They are read
 * off one look at it, made when they are asked for.
 */
@Component
class Meters {
  static final String OPEN_METRICS = "application/openmetrics-text; version=1.0.0; charset=utf-8";

  private final Installation installation;
  private final Alarms alarms;
  private final JvmGcMetrics collections = new JvmGcMetrics();
  private final PrometheusMeterRegistry registry =
      new PrometheusMeterRegistry(PrometheusConfig.DEFAULT);
  private InstallationState seen;
  private Set<Alarm> raised = Set.of();

  Meters(Installation installation, Alarms alarms) {
    this.installation = installation;
    this.alarms = alarms;
    gauge("calls", "calls in the office", state -> state.use().calls());
    gauge("outside.lines.taken", "outside lines in use", state -> state.use().outsideLines());
    gauge("outside.lines", "outside lines there are", state -> state.use().outsideLinesAll());
    gauge("pages", "pages that are connected", state -> state.use().pages());
    gauge("database.up", "1 while it answers", state -> state.written().away() ? 0 : 1);
    gauge("journal.waiting", "commands not written yet", state -> state.written().waiting());
    counter("journal.refused", "commands not taken", state -> state.written().refused());
    gauge("sound.up", "1 while calls can be heard", state -> state.heard().runs() ? 1 : 0);
    gauge("sound.connections", "ends with sound", state -> state.heard().connections());
    counter("sound.frames", "pieces of 20 ms", state -> state.heard().frames());
    counter("sound.frames.late", "of them late", state -> state.heard().late());
    gauge("disk.free.bytes", "left to write", state -> state.room().free());
    gauge("disk.total.bytes", "in all", state -> state.room().total());
    gauge("spool.bytes", "in files until the database has it", state -> state.room().waiting());
    gauge("backup.last.seconds", "when it was made, 0: never", state -> at(state.lastBackup()));
    gauge("certificate.ends.seconds", "0: without TLS", state -> at(state.certificateEnds()));
    for (Alarm alarm : Alarm.values()) {
      Gauge.builder("oficina.alarm", () -> raised.contains(alarm) ? 1 : 0)
          .description("1 while something has to be done about it")
          .tag("what", alarm.name())
          .register(registry);
    }
    new JvmMemoryMetrics().bindTo(registry);
    new JvmThreadMetrics().bindTo(registry);
    new ProcessorMetrics().bindTo(registry);
    collections.bindTo(registry);
  }

  private static double at(@Nullable Instant moment) {
    return moment == null ? 0 : Duration.between(Instant.EPOCH, moment).toSeconds();
  }

  private void gauge(String name, String about, ToDoubleFunction<InstallationState> value) {
    Gauge.builder("oficina." + name, () -> value.applyAsDouble(seen))
        .description(about)
        .register(registry);
  }

  private void counter(String name, String about, ToDoubleFunction<InstallationState> value) {
    FunctionCounter.builder("oficina." + name, this, me -> value.applyAsDouble(me.seen))
        .description(about)
        .register(registry);
  }

  /** All of them now. */
  synchronized String text() {
    seen = installation.now();
    raised = alarms.now();
    for (InstallationState.Refused each : seen.refused()) {
      FunctionCounter.builder("oficina.refused", this, me -> me.refused(each.what()))
          .description("what was refused, by its reason")
          .tag("reason", each.what())
          .register(registry);
    }
    return registry.scrape(OPEN_METRICS);
  }

  private double refused(String what) {
    return seen.refused().stream()
        .filter(each -> each.what().equals(what))
        .mapToLong(InstallationState.Refused::count)
        .sum();
  }

  @PreDestroy
  void stop() {
    collections.close();
    registry.close();
  }
}
