package oficina.core.exchange;

import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.machines.Attendants;
import oficina.core.machines.Leading;
import oficina.core.machines.Mailboxes;
import oficina.core.machines.Returning;
import oficina.core.machines.Tapes;
import oficina.core.machines.Waiting;
import oficina.core.machines.Welcomes;
import oficina.core.services.Blocking;
import oficina.core.services.CallBacks;
import oficina.core.services.Conferencing;
import oficina.core.services.Delegating;
import oficina.core.services.Devices;
import oficina.core.services.Handling;
import oficina.core.services.Members;
import oficina.core.services.OutsidePhones;
import oficina.core.services.Parking;
import oficina.core.services.PickUps;
import oficina.core.services.Placing;
import oficina.core.services.Sending;
import oficina.core.services.Statuses;
import oficina.core.services.TakingByKey;
import oficina.core.services.Talking;

/**
 * The services of the exchange as they work on one decision. They remember nothing, and most
 * decisions need few of them: each is made when it is asked for.
 *
 * @param then what follows from what
 */
record Services(Consequences then) {

  /** Those that work on this draft. */
  static Services with(Draft draft) {
    return new Services(Consequences.of(draft));
  }

  Talking talking() {
    return new Talking(then, mailboxes());
  }

  Handling handling() {
    return new Handling(then, callBacks(), phones(), talking());
  }

  Placing placing() {
    return new Placing(then, phones(), parking(), new Blocking(then));
  }

  Sending sending() {
    return new Sending(then, parking(), placing());
  }

  Parking parking() {
    return new Parking(then);
  }

  PickUps pickUps() {
    return new PickUps(then);
  }

  Delegating delegating() {
    return new Delegating(then);
  }

  Conferencing conferencing() {
    return new Conferencing(then);
  }

  CallBacks callBacks() {
    return new CallBacks(then);
  }

  Mailboxes mailboxes() {
    return new Mailboxes(then);
  }

  Attendants attendants() {
    return new Attendants(then);
  }

  Welcomes welcomes() {
    return new Welcomes(then);
  }

  Waiting waiting() {
    return new Waiting(then);
  }

  Returning returning() {
    return new Returning(then);
  }

  Leading leading() {
    return new Leading(then);
  }

  Members members() {
    return new Members(then);
  }

  Tapes tapes() {
    return new Tapes(then);
  }

  OutsidePhones phones() {
    return new OutsidePhones(then, talking(), devices());
  }

  TakingByKey byKey() {
    return new TakingByKey(then);
  }

  Devices devices() {
    return new Devices(then);
  }

  Statuses statuses() {
    return new Statuses(then);
  }
}
