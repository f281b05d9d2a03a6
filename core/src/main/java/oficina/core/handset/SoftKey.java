package oficina.core.handset;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import oficina.core.exchange.Offers.Service;
import org.jspecify.annotations.Nullable;

/** What a key beneath the display can do. */
public enum SoftKey {
  /** Nothing. */
  NONE,
  // With the call that is chosen: services of the exchange.
  ANSWER(Service.ANSWER, 0),
  DECLINE(Service.DECLINE, 1),
  DEFLECT(Service.DEFLECT, 2),
  SILENCE(Service.SILENCE, 3),
  HAND_OVER(Service.HAND_OVER, 0),
  SWAP(Service.SWAP, 1),
  JOIN(Service.JOIN, 2),
  RECONNECT(Service.RECONNECT, 3),
  RETRIEVE(Service.RETRIEVE, 0),
  TRANSFER(Service.TRANSFER, 0),
  PARK(Service.PARK, 1),
  ADD(Service.ADD, 2),
  MOVE_HERE(Service.MOVE_HERE, 3),
  PULL_BACK(Service.PULL_BACK, 0),
  CALL_BACK(Service.CALL_BACK, 0),
  TO_MAILBOX(Service.TO_MAILBOX, 4),
  RECORD(Service.RECORD, 4),
  STOP_RECORDING(Service.STOP_RECORDING, 4),
  END_FOR_ALL(Service.END_FOR_ALL, 5),
  // With what has been dialled or chosen.
  CALL,
  PUT_THROUGH,
  ANNOUNCE,
  ADD_TO_CALL,
  SEND_ON,
  PARK_THERE,
  PARK_NEXT,
  FORWARD_THERE,
  ASSIGN,
  NEXT,
  SIGN_ON_HERE,
  CORRECT,
  BACK,
  // With nothing in hand.
  PICK_UP,
  DISTURB_NOT,
  DISTURB,
  FORWARD,
  FORWARD_OFF,
  ASSIGN_KEYS,
  SIGN_ON,
  GIVE_BACK;

  private final @Nullable Service service;
  private final int place;

  SoftKey() {
    this(null, 0);
  }

  /**
   * @param place where it stands if nothing else does: no key is to change under a finger
   */
  SoftKey(@Nullable Service service, int place) {
    this.service = service;
    this.place = place;
  }

  /** The service of the exchange it stands for; null when it is the telephone's own. */
  @Nullable Service service() {
    return service;
  }

  /** Those for what a call offers, each in its place; what has keys of its own is left out. */
  static List<SoftKey> of(List<Service> offered, boolean here) {
    List<SoftKey> keys = new ArrayList<>(Collections.nCopies(Panel.SOFT_KEYS, NONE));
    for (SoftKey key : values()) {
      boolean wanted = key.service != null && offered.contains(key.service);
      if (wanted && (key != MOVE_HERE || !here)) {
        int place = keys.get(key.place) == NONE ? key.place : keys.indexOf(NONE);
        if (place >= 0) {
          keys.set(place, key);
        }
      }
    }
    return keys;
  }
}
