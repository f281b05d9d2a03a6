package oficina.core.handset;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.commands.Command;
import oficina.core.commands.OfficeCommand;
import oficina.core.handset.Entry.Purpose;
import oficina.core.people.Status;
import oficina.core.state.Call;

/** What the keys beneath the display do now, and when they are pressed. */
record SoftPresses(Telephone phone) {

  /** What the keys do now. */
  List<SoftKey> keys(Instant now) {
    if (phone.entry != null) {
      return phone.entry.purpose().soft();
    }
    if (phone.listing != null) {
      return List.of(SoftKey.CALL, SoftKey.BACK);
    }
    Call call = phone.focus();
    if (call != null) {
      return SoftKey.of(phone.hand.offers(call).services(), phone.hand.isHere(call));
    }
    List<SoftKey> keys = new ArrayList<>(List.of(SoftKey.PICK_UP));
    Status status = phone.hand.around().exchange().state().status(phone.hand.me());
    boolean undisturbed = status != null && status.kind() == Status.Kind.DO_NOT_DISTURB;
    keys.add(undisturbed ? SoftKey.DISTURB : SoftKey.DISTURB_NOT);
    keys.add(phone.forwardedTo(now) == null ? SoftKey.FORWARD : SoftKey.FORWARD_OFF);
    keys.add(SoftKey.ASSIGN_KEYS);
    keys.add(phone.hand.around().lent() ? SoftKey.GIVE_BACK : SoftKey.SIGN_ON);
    return keys;
  }

  /** The key at this place is pressed. */
  List<Effect> press(int number, Instant now) {
    List<SoftKey> keys = keys(now);
    SoftKey key = number < keys.size() ? keys.get(number) : SoftKey.NONE;
    if (key == SoftKey.NONE) {
      return List.of();
    }
    Call call = phone.focus();
    if (key.service() != null && call != null) {
      Command command = phone.services.command(call, key.service());
      if (command != null) {
        return Telephone.ask(command);
      }
      phone.entry =
          Entry.of(
              switch (key) {
                case TRANSFER -> Purpose.TRANSFER;
                case ADD -> Purpose.ADD;
                case DEFLECT -> Purpose.DEFLECT;
                default -> Purpose.PARK;
              },
              call.id(),
              now);
      return List.of();
    }
    return own(key, now);
  }

  /** What a telephone does by itself. */
  private List<Effect> own(SoftKey key, Instant now) {
    switch (key) {
      case BACK -> {
        return phone.end(now);
      }
      case CORRECT -> phone.entry = phone.entry.corrected(now);
      case PICK_UP -> {
        return Telephone.ask(phone.services.pickUp(null));
      }
      case DISTURB_NOT, DISTURB -> {
        Status.Kind kind = key == SoftKey.DISTURB ? Status.Kind.FREE : Status.Kind.DO_NOT_DISTURB;
        return List.of(new Effect.Do(new OfficeCommand.SetStatus(phone.hand.me(), kind, "", null)));
      }
      case FORWARD -> phone.entry = Entry.of(Purpose.FORWARD, null, now);
      case FORWARD_OFF -> {
        return List.of(new Wish.Forward(""));
      }
      case ASSIGN_KEYS -> phone.entry = Entry.of(Purpose.WHICH_KEY, null, now);
      case SIGN_ON -> phone.entry = Entry.of(Purpose.EXTENSION, null, now);
      case GIVE_BACK -> {
        return List.of(new Wish.GiveBack());
      }
      case PARK_NEXT -> {
        CallId call = phone.entry.call();
        phone.entry = null;
        return Telephone.ask(phone.services.park(call, ""));
      }
      case CALL -> {
        if (phone.listing != null) {
          String dial = phone.listing.calls().get(phone.listing.chosen()).dial();
          phone.listing = null;
          return dial == null ? List.of() : phone.call(dial, null);
        }
        return phone.meant().isEmpty() ? List.of() : phone.call(phone.meant(), null);
      }
      default -> {
        boolean nothing = phone.meant().isEmpty() && key != SoftKey.ASSIGN;
        return nothing ? List.of() : forEntry(phone.meant(), key, now);
      }
    }
    return List.of();
  }

  /** A key with a lamp has been pressed for what was being asked: it does the first of its keys. */
  List<Effect> forEntry(String number, Instant now) {
    return forEntry(number, phone.entry.purpose().soft().get(0), now);
  }

  private List<Effect> forEntry(String number, SoftKey key, Instant now) {
    Entry typed = phone.entry;
    phone.entry = null;
    return switch (key) {
      case PUT_THROUGH -> Telephone.ask(phone.services.putThrough(typed.call(), number));
      case ANNOUNCE, ADD_TO_CALL -> Telephone.ask(phone.services.announce(typed.call(), number));
      case SEND_ON -> Telephone.ask(phone.services.deflect(typed.call(), number));
      case PARK_THERE -> Telephone.ask(phone.services.park(typed.call(), number));
      case FORWARD_THERE -> List.of(new Wish.Forward(number));
      case ASSIGN -> List.of(new Wish.Assign(typed.key(), number));
      case NEXT -> {
        phone.entry = typed.withPinOf(number, now);
        yield List.of();
      }
      case SIGN_ON_HERE -> List.of(new Wish.SignOn(typed.extension(), number));
      default -> List.of();
    };
  }
}
