package oficina.server.journal;

import java.util.List;
import oficina.core.call.Cause;
import oficina.core.call.Occasion;
import oficina.server.json.CoreJson;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Every change that events have ever gone through, oldest first. */
final class Upcasters {
  /** How often a parked call came back in version 1. */
  private static final int COME_BACKS = 3;

  private Upcasters() {}

  static final List<Upcaster> ALL =
      List.of(
          new Upcaster(EventKind.ORIGINATED, 1, Upcasters::asideToldApart),
          new Upcaster(EventKind.ORIGINATED, 2, Upcasters::noWays),
          new Upcaster(EventKind.ORIGINATED, 3, Upcasters::ownName),
          new Upcaster(EventKind.NETWORK_REACHED, 1, Upcasters::callerIdOfTheCall),
          new Upcaster(EventKind.SENT_ON, 1, Upcasters::waysInsteadOfStage),
          new Upcaster(EventKind.PARKED, 1, Upcasters::waysInsteadOfComeBacks),
          new Upcaster(EventKind.MAILBOX_ANSWERED, 1, Upcasters::whyByOccasion));

  /**
   * Version 1 called it announcing, too, when somebody was taken aside. Then the very next event of
   * the call brings them over from the conference.
   */
  private static void asideToldApart(ObjectNode body, @Nullable StoredEvent next) {
    body.putNull("asideOf");
    JsonNode from = body.get("announces");
    if (from == null || from.isNull() || next == null || !next.kind().equals("Merged")) {
      return;
    }
    JsonNode merged = CoreJson.JSON.readTree(next.body());
    if (merged.get("stays").asBoolean() && merged.get("other").equals(from)) {
      body.set("asideOf", from);
      body.putNull("announces");
    }
  }

  /** Version 2 knew no mailbox: whoever nobody answered was told so. */
  private static void noWays(ObjectNode body, @Nullable StoredEvent next) {
    body.putArray("ways");
  }

  /** In version 3 nobody called in somebody else's name. */
  private static void ownName(ObjectNode body, @Nullable StoredEvent next) {
    body.putNull("behalf");
  }

  /** Version 1 showed everybody the caller ID of the call, also those it was sent on to. */
  private static void callerIdOfTheCall(ObjectNode body, @Nullable StoredEvent next) {
    body.putNull("shown");
  }

  /** Version 1 named how far a call had come, from which it followed where it went next. */
  private static void waysInsteadOfStage(ObjectNode body, @Nullable StoredEvent next) {
    ObjectNode sent = (ObjectNode) body.get("sent");
    String stage = sent.remove("stage").asString();
    sent.put("reason", stage.equals("TO_TARGET") ? "SENT_ON" : stage);
    ArrayNode ways = body.putArray("ways");
    if (stage.equals("TO_TARGET")) {
      back(ways, sent.get("by"));
    }
    if (!stage.equals("FRONT_DESK")) {
      frontDesk(ways);
    }
    if (sent.get("to").get("is").asString().equals("Slot")) {
      waitsOn(ways, sent.get("by"), 1);
    }
  }

  /** Version 1 counted how often a parked call had come back. */
  private static void waysInsteadOfComeBacks(ObjectNode body, @Nullable StoredEvent next) {
    ObjectNode parking = (ObjectNode) body.get("parking");
    int comeBacks = parking.remove("comeBacks").asInt();
    ArrayNode ways = body.putArray("ways");
    back(ways, parking.get("by"));
    frontDesk(ways);
    waitsOn(ways, parking.get("by"), comeBacks + 1);
  }

  /** Version 1 said why nobody answered only by which greeting was played. */
  private static void whyByOccasion(ObjectNode body, @Nullable StoredEvent next) {
    Cause why =
        switch (Occasion.valueOf(body.get("occasion").asString())) {
          case BUSY -> Cause.BUSY;
          case AWAY -> Cause.NOT_SIGNED_IN;
          case NO_ANSWER, CLOSED, WELCOME -> Cause.NO_ANSWER;
        };
    body.put("why", why.name());
  }

  private static void waitsOn(ArrayNode ways, JsonNode parker, int comeBacks) {
    for (int time = comeBacks; time < COME_BACKS; time++) {
      way(ways, "WAITS_ON").put("is", "WaitOn");
      back(ways, parker);
      frontDesk(ways);
    }
  }

  private static void back(ArrayNode ways, JsonNode person) {
    ObjectNode party = way(ways, "BACK").put("is", "To").putObject("party");
    party.put("is", "Employee").set("id", person);
  }

  private static void frontDesk(ArrayNode ways) {
    way(ways, "FRONT_DESK").put("is", "FrontDesk");
  }

  private static ObjectNode way(ArrayNode ways, String reason) {
    return ways.addObject().put("reason", reason).putObject("step");
  }
}
