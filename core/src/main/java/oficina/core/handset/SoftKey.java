package oficina.core.handset;

import java.util.List;
import oficina.core.exchange.Offers.Service;
import org.jspecify.annotations.Nullable;

/** What a key beneath the display can do. */
public enum SoftKey {
  // With the call that is chosen: services of the exchange.
  ANSWER(Service.ANSWER),
  DECLINE(Service.DECLINE),
  DEFLECT(Service.DEFLECT),
  SILENCE(Service.SILENCE),
  HAND_OVER(Service.HAND_OVER),
  SWAP(Service.SWAP),
  JOIN(Service.JOIN),
  RECONNECT(Service.RECONNECT),
  RETRIEVE(Service.RETRIEVE),
  TRANSFER(Service.TRANSFER),
  PARK(Service.PARK),
  ADD(Service.ADD),
  MOVE_HERE(Service.MOVE_HERE),
  PULL_BACK(Service.PULL_BACK),
  CALL_BACK(Service.CALL_BACK),
  TO_MAILBOX(Service.TO_MAILBOX),
  RECORD(Service.RECORD),
  STOP_RECORDING(Service.STOP_RECORDING),
  END_FOR_ALL(Service.END_FOR_ALL),
  // With what has been dialled or chosen.
  CALL(null),
  PUT_THROUGH(null),
  ANNOUNCE(null),
  ADD_TO_CALL(null),
  SEND_ON(null),
  PARK_THERE(null),
  PARK_NEXT(null),
  FORWARD_THERE(null),
  ASSIGN(null),
  NEXT(null),
  SIGN_ON_HERE(null),
  CORRECT(null),
  BACK(null),
  // With nothing in hand.
  PICK_UP(null),
  DISTURB_NOT(null),
  DISTURB(null),
  FORWARD(null),
  FORWARD_OFF(null),
  ASSIGN_KEYS(null),
  SIGN_ON(null),
  GIVE_BACK(null);

  private final @Nullable Service service;

  SoftKey(@Nullable Service service) {
    this.service = service;
  }

  /** The service of the exchange it stands for; null when it is the telephone's own. */
  @Nullable Service service() {
    return service;
  }

  /** Those for what a call offers, the most wanted first; what has keys of its own is left out. */
  static List<SoftKey> of(List<Service> offered, boolean here) {
    return List.of(values()).stream()
        .filter(key -> key.service != null && offered.contains(key.service))
        .filter(key -> key != MOVE_HERE || !here)
        .limit(Panel.SOFT_KEYS)
        .toList();
  }
}
