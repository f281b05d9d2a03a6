package oficina.core.handset;

import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.EVERYBODY;
import static oficina.core.TestOffice.INES;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.SendCommand;
import oficina.core.exchange.Scene;
import oficina.core.people.PersonId;
import oficina.core.seen.Standpoint;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.junit.jupiter.api.Test;

/** Whatever is pressed in whatever order while whatever happens: the telephone stays in step. */
class RandomKeysTest {
  private static final int SEQUENCES = Integer.getInteger("oficina.random.seeds", 300);
  private static final int STEPS = 120;

  @Test
  void any_keys_at_any_time() {
    for (int seed = 1; seed <= SEQUENCES; seed++) {
      Random random = new Random(seed);
      Scene scene = new Scene();
      Desk desk = new Desk(scene, INES);
      try {
        for (int step = 0; step < STEPS; step++) {
          take(random, scene, desk);
          check(desk);
        }
      } catch (AssertionError | RuntimeException e) {
        throw new AssertionError("seed " + seed, e);
      }
    }
  }

  private static void take(Random random, Scene scene, Desk desk) {
    PersonId other = EVERYBODY.get(1 + random.nextInt(EVERYBODY.size() - 1));
    switch (random.nextInt(15)) {
      case 0 -> scene.arrive(DOV, "+441914980201");
      case 1 -> scene.tryCall(other, "201");
      case 2, 3 -> ringing(scene, other).forEach(call -> scene.answer(call, other));
      case 4 ->
          scene.exchange.state().inHand(other).stream()
              .findFirst()
              .ifPresent(call -> scene.run(new CallCommand.Clear(call, other)));
      case 5 -> desk.wait(random.nextInt(8));
      case 6 -> {
        desk.unplugged();
        desk.plugged();
      }
      case 7 ->
          scene.exchange.state().inHand(INES).stream()
              .findFirst()
              .ifPresent(call -> scene.run(new CallCommand.MoveHere(call, INES, Scene.WINDOW)));
      case 8 ->
          ringing(scene, INES)
              .forEach(call -> scene.run(new CallCommand.Answer(call, INES, Desk.DEVICE)));
      case 9 ->
          scene.exchange.state().inHand(other).stream()
              .findFirst()
              .ifPresent(call -> scene.run(new SendCommand.Park(call, other, null, null, "")));
      default -> desk.press(anyKey(random));
    }
  }

  private static List<CallId> ringing(Scene scene, PersonId person) {
    return scene.exchange.state().inHand(person).stream()
        .filter(id -> scene.state(id).of(person).rings())
        .limit(1)
        .toList();
  }

  private static Key anyKey(Random random) {
    Key.Kind[] kinds = Key.Kind.values();
    while (true) {
      String kind = kinds[random.nextInt(kinds.length)].name();
      Key key = Key.reported(kind, random.nextInt(Panel.LINE_KEYS));
      if (key != null) {
        return key;
      }
    }
  }

  /** What it shows and sounds is what the exchange says. */
  private static void check(Desk desk) {
    Panel panel = desk.panel();
    assertThat(panel.display()).hasSizeBetween(1, Panel.LINES);
    assertThat(panel.soft()).hasSizeLessThanOrEqualTo(Panel.SOFT_KEYS);
    List<Call> here =
        desk.exchange().state().inHand(INES).stream()
            .map(desk::state)
            .filter(call -> Desk.DEVICE.equals(call.of(INES).device()))
            .toList();
    boolean spoken = here.stream().map(call -> call.of(INES)).anyMatch(RandomKeysTest::connected);
    assertThat(panel.sounds().talking()).as("the microphone is open for a call").isEqualTo(spoken);
    boolean rings =
        desk.exchange().state().inHand(INES).stream()
            .map(desk::state)
            .anyMatch(call -> call.of(INES).rings() && !call.of(INES).silenced());
    assertThat(panel.sounds().ring() != Panel.Ring.NOT).as("it rings").isEqualTo(rings);
    List<String> stands =
        desk.exchange().state().inHand(INES).stream()
            .map(desk::state)
            .map(RandomKeysTest::code)
            .toList();
    assertThat(stands)
        .as("calls stand as they do on the screen")
        .containsAll(
            panel.display().stream()
                .filter(line -> line.code().startsWith("CALL_"))
                .map(line -> line.code() + " since " + line.since())
                .map(code -> code.replace("_RINGS_BACK", "_RINGS").replace("_LONG", ""))
                .toList());
    if (panel.sounds().lifted()) {
      assertThat(panel.sounds().path()).isNotEqualTo(Panel.Path.NONE);
    }
  }

  private static String code(Call call) {
    Standpoint stands = Standpoint.of(call, INES);
    String code =
        switch (stands.phase()) {
          case RINGING -> "RINGS";
          case TALKING -> call.conference() ? "CONFERENCE" : "TALKING";
          default -> stands.phase().name();
        };
    return "CALL_" + code + " since " + (call.failure() == null ? stands.since() : null);
  }

  private static boolean connected(Connection mine) {
    return mine.state() == ConnectionState.CONNECTED;
  }
}
