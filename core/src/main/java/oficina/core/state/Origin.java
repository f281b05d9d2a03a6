package oficina.core.state;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * How a call began.
 *
 * @param caller who began it
 * @param called who was called
 * @param callerId what a called outsider is shown
 * @param began when it was placed
 * @param purpose what it was placed for
 * @param behalf in whose name the caller, a delegate of theirs, placed it; null for their own
 */
public record Origin(
    Party caller,
    Party called,
    CallerId callerId,
    Instant began,
    Purpose purpose,
    @Nullable PersonId behalf) {

  /**
   * What a call was placed for, beyond speaking with whoever was called. At most one of these.
   *
   * @param announces the held call it was placed to announce
   * @param asideOf the conference out of which its other party was taken aside
   * @param callBack the wish that the exchange fulfils with it
   */
  public record Purpose(
      @Nullable CallId announces, @Nullable CallId asideOf, @Nullable CallId callBack) {
    static final Purpose NONE = new Purpose(null, null, null);
  }
}
