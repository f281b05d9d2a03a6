package oficina.server.voicemail;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.Owner;
import oficina.core.call.Party;
import org.jspecify.annotations.Nullable;

/**
 * Whose message something recorded is.
 *
 * @param leg the connection of the mailbox within the call
 * @param owner whose mailbox it is: an employee, or the members of a group
 * @param began when the recording began
 * @param tray {@link Trays#BLOCKED} when it is kept apart; null otherwise
 */
public record Label(
    CallId call, int leg, Party owner, Party caller, Instant began, @Nullable String tray) {

  /** The one name of what was recorded there. */
  public String place() {
    return place(call, leg);
  }

  public static String place(CallId call, int leg) {
    return call.value() + "." + leg;
  }

  /** What the mailbox is called. */
  public String mailbox() {
    String mailbox = Owner.key(owner);
    return tray == null ? mailbox : Trays.apart(mailbox);
  }
}
