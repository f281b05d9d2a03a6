package oficina.core.seen;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.Device;
import oficina.core.state.ExchangeState;
import org.jspecify.annotations.Nullable;

/**
 * What everybody sees of a person. Derived from their devices and calls; says nothing of whom they
 * speak with.
 *
 * @param since how long they have been so, where that is known: on a call, ringing, or as they say
 *     of themselves
 * @param status what they say of themselves, whatever the lamp shows; null when nothing
 */
public record Lamp(Light light, @Nullable Instant since, @Nullable Status status) {

  /** State of a person. */
  public enum Light {
    FREE,
    RINGING,
    ON_CALL,
    /** In a call of more than two. */
    CONFERENCE,
    /** They say that they are occupied; it rings all the same. */
    BUSY,
    /**
     * They say so, or their devices ring, but nobody is at any of them, or all their calls go
     * elsewhere.
     */
    AWAY,
    DO_NOT_DISTURB,
    /** They say that they are not at work. */
    OFF_DUTY,
    /** No device of theirs would ring. */
    OFF
  }

  /**
   * The lamp of this person now.
   *
   * @param forwardedTo where all their calls go; null when they ring
   */
  public static Lamp of(PersonId person, ExchangeState state, @Nullable Party forwardedTo) {
    Instant talking = null;
    Instant ringing = null;
    boolean conference = false;
    Status status = state.status(person);
    for (CallId id : state.inHand(person)) {
      Call call = state.call(id);
      Connection own = call.of(person);
      if (own.rings()) {
        ringing = earlier(ringing, own.since());
      } else {
        talking = earlier(talking, call.answered() == null ? call.began() : call.answered());
        conference |= call.conference();
      }
    }
    if (talking != null) {
      return new Lamp(conference ? Light.CONFERENCE : Light.ON_CALL, talking, status);
    }
    if (ringing != null) {
      return new Lamp(Light.RINGING, ringing, status);
    }
    Light there = idle(state.devices(person));
    Light idle = there == Light.FREE && forwardedTo != null ? Light.AWAY : there;
    Light said = status == null ? idle : said(status.kind(), idle);
    return new Lamp(said, status != null && said != idle ? status.since() : null, status);
  }

  /** That somebody would be free or busy means nothing where no device of theirs would ring. */
  private static Light said(Status.Kind kind, Light idle) {
    return switch (kind) {
      case FREE -> idle;
      case BUSY -> idle == Light.OFF ? idle : Light.BUSY;
      case AWAY -> Light.AWAY;
      case DO_NOT_DISTURB -> Light.DO_NOT_DISTURB;
      case OFF_DUTY -> Light.OFF_DUTY;
    };
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
