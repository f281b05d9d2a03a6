package oficina.server;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.atomic.AtomicBoolean;
import tools.jackson.databind.JsonNode;

/**
 * Two people who call each other all the time, and know from the confirmations how their call must
 * stand, whatever becomes of the server meanwhile.
 */
final class Traffic implements Runnable {
  /** How the call stands, seen from whoever placed it. */
  private enum State {
    NONE,
    RINGING,
    TALKING,
    HELD,
    PARKED
  }

  /** On which {@link Client} asks for everything. */
  private static final String DEVICE = "test";

  /** What was not as it must be; empty in the end. */
  final List<String> wrong = new ArrayList<>();

  /** Calls that have come to their end. */
  final List<String> ended = new ArrayList<>();

  int confirmed;
  private volatile int resumed;

  /** How often it has found the server again. */
  private volatile int returns;

  private final ServerProcess server;
  private final Client caller;
  private final Client called;
  private final String extension;
  private final String slot;
  private final AtomicBoolean over;
  private final Random random = new Random(5);

  private State state = State.NONE;
  private State underWay;
  private String call;
  private String began;

  Traffic(ServerProcess server, String caller, String called, String slot, AtomicBoolean over) {
    this.server = server;
    this.caller = Client.withoutPage(server.address(), caller);
    this.called = Client.withoutPage(server.address(), called);
    connect();
    this.extension = this.called.get("/api/session").body().get("extension").asString();
    this.slot = slot;
    this.over = over;
  }

  int resumed() {
    return resumed;
  }

  int returns() {
    return returns;
  }

  @Override
  public void run() {
    while (wrong.isEmpty() && (!over.get() || state != State.NONE)) {
      try {
        step(over.get() ? State.NONE : next());
      } catch (AssertionError gone) {
        comeBack();
      }
    }
  }

  private State next() {
    return switch (state) {
      case NONE -> State.RINGING;
      case RINGING -> State.TALKING;
      case TALKING ->
          switch (random.nextInt(4)) {
            case 0 -> State.NONE;
            case 1 -> State.PARKED;
            default -> State.HELD;
          };
      case HELD, PARKED -> State.TALKING;
    };
  }

  private void step(State to) {
    underWay = to;
    Client.Answer answer =
        switch (to) {
          case NONE -> (state == State.PARKED ? called : caller).service(call, "clear");
          case RINGING -> caller.post("/api/calls", Map.of("to", extension, "device", DEVICE));
          case TALKING ->
              state == State.RINGING
                  ? called.service(call, "answer")
                  : state == State.HELD
                      ? caller.service(call, "retrieve")
                      : caller.post(
                          "/api/slots/" + slot + "/take", Map.of("call", call, "device", DEVICE));
          case HELD -> caller.service(call, "hold");
          case PARKED -> caller.post("/api/calls/" + call + "/park", Map.of("slot", slot));
        };
    if (answer.status() >= 300) {
      if (answer.status() >= 500) {
        throw new AssertionError(answer.toString()); // it was going down
      }
      compare(); // a ringing that gave up meanwhile, for example
      return;
    }
    confirmed++;
    if (to == State.RINGING) {
      call = answer.done().get("id").asString();
      began = null;
    }
    if (to == State.NONE) {
      ended.add(call);
    }
    state = to;
    underWay = null;
  }

  /**
   * As the windows on which their calls are: where a server took long to be back, calls wait for
   * these and no others.
   */
  private void connect() {
    caller.connect(DEVICE);
    called.connect(DEVICE);
  }

  /** Waits for the server and looks whether everything stands as it must. */
  private void comeBack() {
    while (true) {
      try {
        while (!server.answers()) {
          Thread.sleep(200); // seldom, so that the server has the processors to itself
        }
        connect();
        compare();
        returns++;
        return;
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return;
      } catch (RuntimeException | AssertionError diedAgain) {
        // It was killed once more: wait for the next one.
      }
    }
  }

  private void compare() {
    JsonNode desk = caller.get("/api/desk").body();
    JsonNode mine = desk.get("calls").path(0);
    State found = found(desk, mine);
    boolean happened = underWay != null && found == underWay;
    // A ringing gives up in time, also while the server is away.
    boolean gaveUp = state == State.RINGING && found == State.NONE;
    if (found != state && !happened && !gaveUp) {
      wrong.add("expected " + state + " or " + underWay + " but found " + found + ": " + desk);
    }
    if (!mine.isMissingNode()) {
      String id = mine.get("id").asString();
      boolean placedUnconfirmed = state == State.NONE && underWay == State.RINGING;
      if (placedUnconfirmed) {
        call = id;
      } else if (!id.equals(call)) {
        wrong.add("expected call " + call + " but found " + id);
      }
      String itBegan = mine.get("began").asString();
      if (began != null && !placedUnconfirmed && !began.equals(itBegan)) {
        wrong.add("began " + began + " but found " + itBegan);
      }
      began = itBegan;
    }
    if (found != State.NONE && found == state) {
      resumed++;
    }
    if (found == State.NONE && state != State.NONE) {
      ended.add(call);
    }
    state = found;
    underWay = null;
  }

  private State found(JsonNode desk, JsonNode mine) {
    for (JsonNode each : desk.get("shelf")) {
      if (each.get("slot").asString().equals(slot) && each.has("waiting")) {
        return State.PARKED;
      }
    }
    if (mine.isMissingNode()) {
      return State.NONE;
    }
    return switch (mine.get("phase").asString()) {
      case "CALLING" -> State.RINGING;
      case "TALKING" -> State.TALKING;
      case "HELD" -> State.HELD;
      case "FAILED" -> {
        caller.service(mine.get("id").asString(), "clear");
        yield State.NONE;
      }
      default -> throw new AssertionError(mine.toString());
    };
  }

  @Override
  public String toString() {
    return "traffic to " + extension;
  }
}
