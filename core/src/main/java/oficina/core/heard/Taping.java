package oficina.core.heard;

import java.util.List;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.jspecify.annotations.Nullable;

/**
 * What is recorded at this moment for one party of a call, in two channels. Derived from the state
 * of the call alone: whoever is on hold, muted or away is not in it, and while either side of a
 * call of two holds the other nothing of both is.
 *
 * @param ours connections heard in the channel of the party for whom it is recorded
 * @param theirs connections heard in the other
 */
public record Taping(List<Integer> ours, List<Integer> theirs) {

  /** What is recorded now for the party of this connection; null when nothing is. */
  public static @Nullable Taping of(Call call, Connection owner) {
    if (!owner.tape().on() || owner.state() != ConnectionState.CONNECTED || !owner.attended()) {
      return null;
    }
    Listening hears = Listening.of(call, owner);
    boolean alone = !call.conversation() || call.failure() != null || call.mailbox() != null;
    boolean everybodyAway =
        call.connections().stream().noneMatch(each -> each != owner && isThere(each));
    if (alone || everybodyAway || hears.sound() == Listening.Sound.MUSIC || secret(call)) {
      return null;
    }
    return new Taping(owner.muted() ? List.of() : List.of(owner.leg()), hears.voices());
  }

  private static boolean isThere(Connection each) {
    return each.state() == ConnectionState.CONNECTED && each.attended();
  }

  /** Whether a voice that reads messages out is there, to which one tells a secret number. */
  private static boolean secret(Call call) {
    return call.connections().stream()
        .map(each -> each.party().machine())
        .anyMatch(machine -> machine != null && !machine.mayBeRecorded());
  }
}
