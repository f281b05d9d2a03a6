package oficina.core.exchange;

import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.machines.Attendants;
import oficina.core.machines.Mailboxes;
import oficina.core.machines.Tapes;
import oficina.core.machines.Welcomes;
import oficina.core.services.Blocking;
import oficina.core.services.CallBacks;
import oficina.core.services.Conferencing;
import oficina.core.services.Delegating;
import oficina.core.services.Devices;
import oficina.core.services.Handling;
import oficina.core.services.OutsidePhones;
import oficina.core.services.Parking;
import oficina.core.services.PickUps;
import oficina.core.services.Placing;
import oficina.core.services.Sending;
import oficina.core.services.Statuses;
import oficina.core.services.TakingByKey;
import oficina.core.services.Talking;

/**
 * The services of the exchange as they work on one decision, each once.
 *
 * @param then what follows from what
 */
record Services(
    Consequences then,
    Talking talking,
    Handling handling,
    Placing placing,
    Sending sending,
    Parking parking,
    PickUps pickUps,
    Delegating delegating,
    Conferencing conferencing,
    CallBacks callBacks,
    Mailboxes mailboxes,
    Attendants attendants,
    Welcomes welcomes,
    Tapes tapes,
    OutsidePhones phones,
    TakingByKey byKey,
    Devices devices,
    Statuses statuses) {

  /** Those that work on this draft. */
  static Services with(Draft draft) {
    Consequences then = Consequences.of(draft);
    Mailboxes mailboxes = new Mailboxes(then);
    Talking talking = new Talking(then, mailboxes);
    Devices devices = new Devices(then);
    OutsidePhones phones = new OutsidePhones(then, talking, devices);
    CallBacks callBacks = new CallBacks(then);
    Parking parking = new Parking(then);
    Placing placing = new Placing(then, phones, parking, new Blocking(then));
    return new Services(
        then,
        talking,
        new Handling(then, callBacks, phones, talking),
        placing,
        new Sending(then, parking, placing),
        parking,
        new PickUps(then),
        new Delegating(then),
        new Conferencing(then),
        callBacks,
        mailboxes,
        new Attendants(then),
        new Welcomes(then),
        new Tapes(then),
        phones,
        new TakingByKey(then),
        devices,
        new Statuses(then));
  }
}
