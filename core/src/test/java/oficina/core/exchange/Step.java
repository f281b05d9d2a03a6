package oficina.core.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * One step of a random sequence. Calls are named by position, so that a sequence stays meaningful
 * when steps are left out.
 */
record Step(What what, int who, int which, int amount) {
  enum What {
    CALL_INSIDE,
    CALL_OUTSIDE,
    CALL_GROUP,
    CALL_EMERGENCY,
    ARRIVE,
    ANSWER,
    DECLINE,
    SILENCE,
    CLEAR,
    HOLD,
    RETRIEVE,
    MUTE,
    PUT_THROUGH,
    PULL_BACK,
    DEFLECT,
    ANNOUNCE,
    HAND_OVER,
    JOIN,
    RECONNECT,
    PARK,
    TAKE_PARKED,
    DIAL_SLOT,
    MOVE_HERE,
    CALL_VIA_PHONE,
    PHONE,
    TAKE_ASIDE,
    MUTE_MEMBER,
    DROP,
    END_FOR_ALL,
    CALL_BACK,
    CANCEL_CALL_BACK,
    PICK_UP,
    TAKE_OVER,
    CALL_FOR_ANOTHER,
    DIGITS,
    NETWORK_RINGS,
    NETWORK_ANSWERS,
    NETWORK_FAILS,
    NETWORK_CLEARS,
    NETWORK_KEYS,
    TO_MAILBOX,
    TAKE_FROM_MAILBOX,
    GREETING_OVER,
    MESSAGE_SOUNDS,
    CALLER_SILENT,
    TAPE,
    CALL_ATTENDANT,
    ATTENDANT_CLEARS,
    WELCOME_OVER,
    WELCOME_CONNECTS,
    ATTENDANT_CONNECTS,
    TWO_HANG_UP,
    WAIT,
    COME_OR_GO,
    STATUS,
    TAKE_PART,
    FINISH,
    TAKE_WAITING,
    MOVE_WAITING,
    WAITER_CHOOSES,
    DECIDE
  }

  static List<Step> random(Random random, int length) {
    List<Step> steps = new ArrayList<>();
    for (int i = 0; i < length; i++) {
      What what = What.values()[random.nextInt(What.values().length)];
      steps.add(new Step(what, random.nextInt(6), random.nextInt(8), random.nextInt(25)));
    }
    return steps;
  }
}
