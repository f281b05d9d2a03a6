package oficina.server.exchange;

import java.util.ArrayList;
import java.util.List;
import oficina.core.exchange.Call;
import oficina.core.exchange.Connection;
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
    if (phase == Phase.RINGING) {
      return own.silenced()
          ? List.of(Action.ANSWER, Action.DEFLECT, Action.DECLINE)
          : List.of(Action.ANSWER, Action.DEFLECT, Action.DECLINE, Action.SILENCE);
    }
    List<Action> actions = new ArrayList<>();
    boolean two = call.conversation() && call.connections().size() == 2;
    if (announced != null) {
      announcement(actions, phase, two);
      return actions;
    }
    switch (phase) {
      case TALKING, WAITING -> {
        actions.add(Action.HOLD);
        actions.add(own.muted() ? Action.UNMUTE : Action.MUTE);
        if (two) {
          actions.add(Action.TRANSFER);
        }
        if (call.connections().stream().anyMatch(c -> c.party().usesOutsideLine())) {
          actions.add(Action.DIGITS);
        }
      }
      case HELD -> {
        actions.add(Action.RETRIEVE);
        if (partner != null && partner.announces() == null) {
          actions.add(Action.JOIN);
          actions.add(Action.HAND_OVER);
        }
      }
      default -> {}
    }
    actions.add(Action.CLEAR);
    return actions;
  }

  private static void announcement(List<Action> actions, Phase phase, boolean two) {
    if (phase != Phase.FAILED) {
      actions.add(Action.HAND_OVER);
    }
    if (two) {
      actions.add(phase == Phase.HELD ? Action.RETRIEVE : Action.SWAP);
      actions.add(Action.JOIN);
    }
    actions.add(Action.RECONNECT);
  }
}
