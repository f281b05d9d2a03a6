package oficina.core.handset;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import oficina.core.call.Party;
import oficina.core.commands.Command;
import oficina.core.exchange.Offers.Service;
import oficina.core.handset.Entry.Purpose;
import oficina.core.people.GroupId;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/** What the keys with a lamp do when they are pressed. */
record LampPresses(Telephone phone) {

  /** The key is pressed. */
  List<Effect> press(int key, Instant now) {
    if (phone.entry != null && phone.entry.purpose() == Purpose.WHICH_KEY) {
      phone.entry = phone.entry.assigning(key, now);
      return List.of();
    }
    List<@Nullable String> keys = phone.hand.around().keys();
    String number = key < keys.size() ? keys.get(key) : null;
    if (number == null) {
      return List.of();
    }
    if (number.isEmpty()) {
      return ownLine(now);
    }
    Party party = phone.lineKeys.party(number);
    if (party.slot() != null) {
      return slot(party.slot());
    }
    if (phone.entry != null && phone.entry.purpose() != Purpose.CALL) {
      return phone.softPresses.forEntry(number, now);
    }
    if (party.group() != null) {
      Command taken = phone.services.takeFrom(party);
      return taken == null ? lineOut(party.group(), now) : Telephone.ask(taken);
    }
    boolean rings = party.employee() != null && ringsAt(number, now);
    return rings
        ? Telephone.ask(phone.services.pickUp(party.employee()))
        : phone.call(number, null);
  }

  private boolean ringsAt(String number, Instant now) {
    return phone.lineKeys.all(now).stream()
        .anyMatch(key -> number.equals(key.number()) && key.light() == Panel.Light.FLASHING);
  }

  private List<Effect> ownLine(Instant now) {
    Command command = phone.services.own();
    if (command != null) {
      return Telephone.ask(command);
    }
    if (phone.path == Panel.Path.NONE) {
      phone.path = phone.handsFree;
    }
    return phone.opened(now);
  }

  /** What is dialled next goes out on this line. */
  private List<Effect> lineOut(GroupId line, Instant now) {
    String typed =
        phone.entry == null || phone.entry.purpose() != Purpose.CALL ? "" : phone.meant();
    if (!typed.isEmpty()) {
      return phone.call(typed, line);
    }
    phone.tell("DIAL_THEN_LINE", Map.of(), now);
    return List.of();
  }

  private List<Effect> slot(String slot) {
    boolean taken = phone.hand.around().exchange().state().inSlot(slot) != null;
    Call call = toPark();
    if (!taken && call != null) {
      phone.entry = null;
      return Telephone.ask(phone.services.park(call.id(), slot));
    }
    return Telephone.ask(phone.services.takeParked(slot));
  }

  /** The call that is being sent somewhere, the one that is spoken on, or the held one chosen. */
  private @Nullable Call toPark() {
    if (phone.entry != null && phone.entry.call() != null) {
      return phone.hand.call(phone.entry.call());
    }
    if (phone.hand.active() != null) {
      return phone.hand.active();
    }
    Call chosen = phone.focus();
    return chosen != null && phone.hand.offers(chosen, Service.PARK) ? chosen : null;
  }
}
