package oficina.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.DeviceId;
import oficina.core.exchange.Command;
import oficina.core.exchange.Decision;
import oficina.core.exchange.Exchange;
import oficina.core.exchange.ExchangeEvent;
import oficina.core.exchange.Settings;
import oficina.core.numbers.Dialled;
import oficina.core.people.Directory;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.routing.Office;
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

  private Exchange exchange;
  private int calls;
  private int pair;

  /** People whose calls are in progress, and as many again who make the measured ones. */
  @Setup
  public void callUp() {
    List<Person> people = new ArrayList<>();
    for (int i = 0; i < 4 * callsInProgress; i++) {
      people.add(
          new Person(
              new PersonId(i), "P" + i, extension(i), null, "T", "S", Duration.ofHours(9), true));
    }
    exchange =
        new Exchange(
            Settings.DEFAULT, new Office(new Directory(people, List.of()), person -> true));
    for (int i = 0; i < callsInProgress; i++) {
      CallId call = make(2 * i);
      if (i % 2 == 0) {
        run(new Command.Answer(call, new PersonId(2 * i + 1), DEVICE));
      }
    }
  }

  private static String extension(int i) {
    return Integer.toString(100_000 + i);
  }

  /** A call made, answered, held, resumed and ended. */
  @Benchmark
  @OperationsPerInvocation(COMMANDS)
  public void wholeCall() {
    int caller = 2 * (callsInProgress + pair++ % callsInProgress);
    PersonId called = new PersonId(caller + 1);
    CallId call = make(caller);
    run(new Command.Answer(call, called, DEVICE));
    run(new Command.Hold(call, called));
    run(new Command.Retrieve(call, called));
    run(new Command.Clear(call, called));
  }

  private CallId make(int caller) {
    CallId call = new CallId(Integer.toString(++calls));
    run(
        new Command.MakeCall(
            call,
            new PersonId(caller),
            DEVICE,
            new Dialled.Internal(extension(caller + 1)),
            CallerId.WITHHELD));
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
