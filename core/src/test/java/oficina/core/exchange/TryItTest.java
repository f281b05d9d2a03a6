package oficina.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import oficina.core.TestOffice;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Refusal;
import oficina.core.exchange.TryIt.Given;
import oficina.core.exchange.TryIt.Trial;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Settings;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.routing.Station;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.junit.jupiter.api.Test;

/** What Try it says becomes of a call is what becomes of it. */
class TryItTest {
  private static final int OFFICES = Integer.getInteger("oficina.random.trials", 10_000);
  private static final Duration PATIENCE = Settings.DEFAULT.times().networkPatience();
  private static final List<String> NUMBERS =
      List.of("201", "212", "213", "214", "221", "222", "100", "220", "290");

  @Test
  void a_real_call_takes_the_way_that_was_tried() {
    for (int seed = 1; seed <= OFFICES; seed++) {
      Random random = new Random(seed);
      Scene scene = new Scene();
      scene.exchange.office(new RandomRules(random).office(scene.office.office));
      for (PersonId person : TestOffice.EVERYBODY) {
        if (random.nextInt(4) == 0) {
          scene.goes(person);
        } else if (random.nextInt(3) == 0) {
          Status.Kind kind = Status.Kind.values()[random.nextInt(5)];
          scene.run(new OfficeCommand.SetStatus(person, kind, "", null));
        }
      }
      scene.wait(random.nextInt(200_000));
      CallId real = scene.nextId();
      int to = random.nextInt(NUMBERS.size());
      PersonId colleague = TestOffice.EVERYBODY.get(random.nextInt(6));
      boolean inside = random.nextInt(3) == 0;
      PhoneNumber from = random.nextInt(5) == 0 ? null : TestOffice.DOV;
      String before = scene.exchange.state().snapshot();
      Trial tried =
          new TryIt(scene.exchange)
              .run(
                  placed(scene, TryIt.call(), inside ? colleague : null, from, to),
                  scene.now(),
                  Given.AS_IT_IS,
                  null);
      assertThat(scene.exchange.state().snapshot()).as("nothing rings").isEqualTo(before);
      Refusal refused = scene.run(placed(scene, real, inside ? colleague : null, from, to));
      assertThat(refused).isEqualTo(tried.refused());
      if (refused == null) {
        assertThat(ways(tried)).as("seed %s", seed).isEqualTo(really(scene, real));
      }
    }
  }

  private static Command placed(
      Scene scene, CallId id, PersonId colleague, PhoneNumber from, int to) {
    return colleague == null
        ? new NetworkCommand.Arrive(id, from, new PhoneNumber("+441914980" + NUMBERS.get(to)))
        : new CallCommand.MakeCall(
            id, colleague, TryIt.device(), scene.office.plan.interpret(inside(to)), null);
  }

  private static String inside(int to) {
    return NUMBERS.get(to).equals("100") ? "200" : NUMBERS.get(to);
  }

  private static List<String> ways(Trial trial) {
    List<String> ways = new ArrayList<>();
    for (Station station : trial.stations()) {
      if (station.kind() == Station.Kind.RINGS) {
        ways.add(station.to() + " " + station.time().toSeconds());
      } else if (station.kind() == Station.Kind.WAITS) {
        ways.add("waits at " + station.at());
      } else if (station.kind() == Station.Kind.MAILBOX) {
        ways.add(station.at().toString());
      }
    }
    ways.add(String.valueOf(trial.told()));
    return ways;
  }

  /**
   * Everybody it rings at, one after the other, until somebody would hear why it goes no further.
   */
  private static List<String> really(Scene scene, CallId id) {
    List<String> ways = new ArrayList<>();
    Call call = scene.state(id);
    while (call != null && call.failure() == null && call.mailbox() == null) {
      List<Connection> rings =
          call.connections().stream().filter(each -> !each.answered()).toList();
      if (rings.isEmpty()) {
        break;
      }
      Duration time = Duration.between(rings.get(0).since(), rings.get(0).due());
      if (call.waits()) {
        ways.add("waits at " + new Party.Members(call.place().line()));
        call = waitsInVain(scene, call);
        continue;
      }
      boolean welcomed = call.standIn() != null;
      if (!welcomed
          && time.compareTo(PATIENCE) < 0) { // else it goes out, which rings nobody of the office
        ways.add(rings.stream().map(Connection::party).toList() + " " + time.toSeconds());
      }
      scene.wait((int) Duration.between(scene.now(), call.due()).toSeconds());
      call = scene.state(id);
    }
    if (call != null && call.mailbox() != null) {
      ways.add(call.mailbox().party().toString());
    }
    Cause told = call == null || call.failure() == null ? null : call.failure().cause();
    ways.add(String.valueOf(told));
    return ways;
  }

  /** The call when it waits no longer, or at another line. */
  private static Call waitsInVain(Scene scene, Call waits) {
    Call call = waits;
    while (call != null && call.waits() && call.place().entered() == waits.place().entered()) {
      scene.wait((int) Duration.between(scene.now(), call.due()).toSeconds());
      call = scene.state(waits.id());
    }
    return call;
  }

  @Test
  void something_can_be_taken_for_granted_of_whoever_is_called() {
    Scene scene = new Scene();
    Command call =
        new NetworkCommand.Arrive(TryIt.call(), TestOffice.DOV, new PhoneNumber("+441914980221"));
    PersonId tomasz = TestOffice.TOMASZ;
    for (Given given : Given.values()) {
      Trial trial = new TryIt(scene.exchange).run(call, scene.now(), given, tomasz);
      assertThat(trial.stations().get(trial.stations().size() - 1).at())
          .as("%s", given)
          .isIn(new Party.Mailbox(new Party.Employee(tomasz)), new Party.Employee(tomasz));
      boolean rings = trial.stations().stream().anyMatch(each -> each.kind() == Station.Kind.RINGS);
      boolean takes = given == Given.AS_IT_IS || given == Given.THERE || given == Given.DECLINES;
      assertThat(rings).as("%s", given).isEqualTo(takes || given == Given.ON_A_CALL);
    }
  }
}
