package oficina.core.state;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * What everybody sees of a person. Derived from their devices and calls; says nothing of whom they
 * speak with.
 *
 * @param since how long they have been ringing or on a call; null in any other state
 */
public record Lamp(Light light, @Nullable Instant since) {

  /** State of a person. */
  public enum Light {
    FREE,
    RINGING,
    ON_CALL,
    /** Their devices ring, but nobody is at any of them. */
    AWAY,
    /** No device of theirs would ring. */
    OFF
  }

  /** The lamp of this person now. */
  public static Lamp of(PersonId person, ExchangeState state) {
    Instant talking = null;
    Instant ringing = null;
    for (CallId id : state.inHand(person)) {
      Call call = state.call(id);
      Connection own = call.of(person);
      if (own.rings()) {
        ringing = earlier(ringing, own.since());
      } else {
        talking = earlier(talking, call.answered() == null ? call.began() : call.answered());
      }
    }
    if (talking != null) {
      return new Lamp(Light.ON_CALL, talking);
    }
    return ringing != null
        ? new Lamp(Light.RINGING, ringing)
        : new Lamp(idle(state.devices(person)), null);
  }

  private static Light idle(List<Device> devices) {
    if (devices.isEmpty()) {
      return Light.OFF;
    }
    return devices.stream().anyMatch(Device::attended) ? Light.FREE : Light.AWAY;
  }

  private static Instant earlier(@Nullable Instant one, Instant other) {
    return one == null || other.isBefore(one) ? other : one;
  }
}
