package oficina.bench;

import java.time.Duration;
import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.decision.Decision;
import oficina.core.events.ExchangeEvent;
import oficina.core.exchange.Exchange;
import oficina.core.numbers.Dialled;
import oficina.core.office.Settings;
import oficina.core.people.PersonId;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/**
 * Commands per second at the exchange with many calls in progress, half of them ringing with a
 * timer running. One operation is one command decided and applied; the commands are those of whole
 * calls.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(java.util.concurrent.TimeUnit.SECONDS)
public class BusyExchange {
  private static final int COMMANDS = 5;
  private static final DeviceId DEVICE = new DeviceId("bench");
  private static final Instant START = Instant.parse("2026-06-15T08:00:00Z");

  @Param({"10", "1000", "10000"})
  public int callsInProgress;

  private static final int FIRST_EXTENSION = 100_000;

  private Exchange exchange;
  private int calls;
  private int pair;

  /** People whose calls are in progress, and as many again who make the measured ones. */
  @Setup
  public void callUp() {
    exchange =
        BigOffice.exchange(
            4 * callsInProgress,
            FIRST_EXTENSION,
            Duration.ofHours(9),
            Settings.DEFAULT,
            i -> null,
            DEVICE,
            START);
    for (int i = 0; i < callsInProgress; i++) {
      CallId call = make(2 * i);
      if (i % 2 == 0) {
        run(new CallCommand.Answer(call, new PersonId(2 * i + 1), DEVICE));
      }
    }
  }

  private static String extension(int i) {
    return Integer.toString(FIRST_EXTENSION + i);
  }

  /** A call made, answered, held, resumed and ended. */
  @Benchmark
  @OperationsPerInvocation(COMMANDS)
  public void wholeCall() {
    int caller = 2 * (callsInProgress + pair++ % callsInProgress);
    PersonId called = new PersonId(caller + 1);
    CallId call = make(caller);
    run(new CallCommand.Answer(call, called, DEVICE));
    run(new CallCommand.Hold(call, called));
    run(new CallCommand.Retrieve(call, called));
    run(new CallCommand.Clear(call, called));
  }

  private CallId make(int caller) {
    CallId call = new CallId(Integer.toString(++calls));
    run(
        new CallCommand.MakeCall(
            call, new PersonId(caller), DEVICE, new Dialled.Internal(extension(caller + 1)), null));
    return call;
  }

  private void run(Command command) {
    Decision decision = exchange.decide(command, START.plusMillis(calls));
    if (!(decision instanceof Decision.Accepted accepted)) {
      throw new IllegalStateException(decision.toString());
    }
    for (ExchangeEvent event : accepted.events()) {
      exchange.apply(event);
    }
  }
}
