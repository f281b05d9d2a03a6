package oficina.server.exchange;

import java.util.ArrayList;
import java.util.List;
import oficina.core.exchange.Call;
import oficina.core.exchange.Connection;
import oficina.core.people.PersonId;
import oficina.server.exchange.CallView.Action;
import oficina.server.exchange.CallView.Phase;

/** What can be done with a call now, in the order of the buttons. */
final class Actions {
  private Actions() {}

  /**
   * @param announced the held call it announces, or null
   * @param partner the active call it could be joined with, or null
   */
  static List<Action> of(Call call, Connection own, Phase phase, Call announced, Call partner) {
    List<Action> actions = new ArrayList<>();
    if (phase == Phase.RINGING) {
      actions.add(Action.ANSWER);
      if (call.origin().callBack() == null) {
        actions.add(Action.DEFLECT);
      }
      actions.add(Action.DECLINE);
      if (!own.silenced()) {
        actions.add(Action.SILENCE);
      }
      return actions;
    }
    PersonId person = own.party().employee();
    boolean two = call.conversation() && call.connections().size() == 2;
    if (announced != null) {
      if (call.asideBy(person)) {
        actions.add(Action.JOIN);
        actions.add(phase == Phase.HELD ? Action.RETRIEVE : Action.SWAP);
        actions.add(Action.CLEAR);
      } else {
        announcement(actions, phase, two, announced.conference());
      }
      return actions;
    }
    switch (phase) {
      case TALKING, WAITING -> {
        if (call.conversation()) {
          actions.add(Action.HOLD);
          actions.add(own.muted() ? Action.UNMUTE : Action.MUTE);
          if (two) {
            actions.add(Action.TRANSFER);
            actions.add(Action.PARK);
          }
          actions.add(Action.ADD);
          actions.add(Action.MOVE_HERE);
        }
        if (call.connections().stream().anyMatch(c -> c.party().usesOutsideLine())) {
          actions.add(Action.DIGITS);
        }
      }
      case HELD -> {
        actions.add(Action.RETRIEVE);
        if (two) {
          actions.add(Action.PARK);
        }
        if (partner != null && partner.announces() == null) {
          actions.add(Action.JOIN);
          if (two && partner.connections().size() == 2) {
            actions.add(Action.HAND_OVER);
          }
        }
        actions.add(Action.MOVE_HERE);
      }
      case FAILED -> {
        boolean placed = own.party().equals(call.caller());
        if (placed && call.called().employee() != null) {
          actions.add(Action.CALL_BACK);
        }
      }
      default -> {}
    }
    if (person.equals(call.starter())) {
      actions.add(Action.END_FOR_ALL);
    }
    actions.add(Action.CLEAR);
    return actions;
  }

  private static void announcement(
      List<Action> actions, Phase phase, boolean answered, boolean toConference) {
    if (answered && toConference) {
      actions.add(Action.JOIN);
    }
    if (phase != Phase.FAILED && (answered || !toConference)) {
      actions.add(Action.HAND_OVER);
    }
    if (answered) {
      actions.add(phase == Phase.HELD ? Action.RETRIEVE : Action.SWAP);
      if (!toConference) {
        actions.add(Action.JOIN);
      }
    }
    actions.add(Action.RECONNECT);
  }
}
