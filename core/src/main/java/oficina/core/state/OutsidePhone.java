package oficina.core.state;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.DeviceId;
import oficina.core.call.PhoneStage;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * A telephone outside that is one of somebody's devices, as long as the office has a line to it. It
 * is rung first; when a key is pressed there it is at hand, like any other device, for all calls of
 * its person.
 *
 * @param line names the outside line
 * @param due when waiting for it is given up; null while it is there
 * @param shown what it is shown when it rings
 * @param call the call for which it is wanted
 * @param places whether that call is to be placed once it is there; otherwise it moves there
 */
public record OutsidePhone(
    CallId line,
    PersonId person,
    PhoneNumber number,
    PhoneStage stage,
    @Nullable Instant due,
    CallerId shown,
    CallId call,
    boolean places) {

  /** Whether its person speaks and hears there. */
  public boolean isThere() {
    return stage == PhoneStage.THERE;
  }

  /** Whether this call is yet to be placed, as soon as it is there. */
  public boolean isToPlace(Call wanted) {
    return places && !isThere() && call.equals(wanted.id());
  }

  /** Whether its person has this call there, or is rung there for it. */
  public boolean concerns(Call other) {
    return isThere() ? DeviceId.OUTSIDE.equals(other.of(person).device()) : call.equals(other.id());
  }

  /** The call in which its person speaks there now; null when they do in none. */
  public @Nullable Call speaksIn(ExchangeState state) {
    for (CallId id : state.inHand(person)) {
      Call each = state.call(id);
      Connection own = each.of(person);
      if (DeviceId.OUTSIDE.equals(own.device()) && own.state() == ConnectionState.CONNECTED) {
        return each;
      }
    }
    return null;
  }

  OutsidePhone at(PhoneStage next, @Nullable Instant until) {
    return new OutsidePhone(line, person, number, next, until, shown, call, places);
  }
}
