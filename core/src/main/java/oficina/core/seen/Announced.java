package oficina.core.seen;

import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.ExchangeState;
import org.jspecify.annotations.Nullable;

/** Who waits while a colleague is told of them. */
public final class Announced {
  private Announced() {}

  /**
   * Who is announced to an employee by a call: whoever its caller has put on hold for it.
   *
   * @param viewer in the call
   * @return null for whoever announces, when nobody is announced, and of several in a conference
   */
  public static @Nullable Party to(PersonId viewer, Call call, ExchangeState state) {
    PersonId announcer = call.caller().employee();
    Call waits = call.announces() == null ? null : state.call(call.announces());
    if (waits == null
        || waits.conference()
        || viewer.equals(announcer)
        || waits.of(announcer) == null) {
      return null;
    }
    return Standpoint.of(waits, announcer).other();
  }
}
