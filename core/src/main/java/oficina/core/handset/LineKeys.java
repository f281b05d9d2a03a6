package oficina.core.handset;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.office.Office;
import oficina.core.people.Group;
import oficina.core.people.PersonId;
import oficina.core.routing.Called;
import oficina.core.seen.Lamp;
import oficina.core.seen.LineUse;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.jspecify.annotations.Nullable;

/** What the keys with a lamp stand for, and how their lamps burn. */
record LineKeys(Hand hand) {

  /** Whom a number that was assigned means now. */
  Party party(String number) {
    Office office = office();
    return Called.party(office, office.plan().interpret(number));
  }

  private Office office() {
    return hand.around().exchange().office();
  }

  List<Panel.LineKey> all(Instant now) {
    List<Panel.LineKey> all = new ArrayList<>();
    for (String number : hand.around().keys()) {
      all.add(key(number, now));
    }
    return all;
  }

  private Panel.LineKey key(@Nullable String number, Instant now) {
    if (number == null) {
      return new Panel.LineKey("", null, Panel.Light.DARK);
    }
    if (number.isEmpty()) {
      return new Panel.LineKey("", number, own());
    }
    Party party = party(number);
    String name = hand.around().name(party);
    return new Panel.LineKey(name.isEmpty() ? number : name, number, light(party, now));
  }

  private Panel.Light light(Party party, Instant now) {
    if (party.employee() != null) {
      return person(party.employee(), now);
    }
    if (party.group() != null) {
      return office().directory().group(party.group()).map(this::line).orElse(Panel.Light.DARK);
    }
    if (party.slot() != null) {
      boolean taken = hand.around().exchange().state().inSlot(party.slot()) != null;
      return taken ? Panel.Light.WAITING : Panel.Light.FREE;
    }
    return Panel.Light.FREE;
  }

  private Panel.Light own() {
    Panel.Light light = Panel.Light.FREE;
    for (Call call : hand.calls()) {
      Connection mine = call.of(hand.me());
      if (mine.rings()) {
        return Panel.Light.FLASHING;
      }
      if (mine.state() == ConnectionState.CONNECTED) {
        light = Panel.Light.STEADY;
      } else if (light == Panel.Light.FREE) {
        light = Panel.Light.WAITING;
      }
    }
    return light;
  }

  private Panel.Light person(PersonId person, Instant now) {
    Party forwarded = office().directions().forwardOf(person, now);
    return switch (Lamp.of(person, hand.around().exchange().state(), forwarded).light()) {
      case FREE, BUSY -> Panel.Light.FREE;
      case RINGING -> Panel.Light.FLASHING;
      case ON_CALL, CONFERENCE -> Panel.Light.STEADY;
      case DO_NOT_DISTURB, OFF_DUTY -> Panel.Light.CLOSED;
      case AWAY, OFF -> Panel.Light.DARK;
    };
  }

  private Panel.Light line(Group group) {
    LineUse use = LineUse.of(group, hand.around().exchange().state());
    if (use.ringing() > 0) {
      return Panel.Light.FLASHING;
    }
    return use.free() ? Panel.Light.FREE : Panel.Light.STEADY;
  }
}
