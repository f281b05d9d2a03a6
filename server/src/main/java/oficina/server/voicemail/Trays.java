package oficina.server.voicemail;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import oficina.core.call.Owner;
import oficina.core.call.Party;

/**
 * A mailbox has a second tray, for what callers say who are blocked: it is nobody's list of calls
 * to return, is not counted as new, and is looked at only by whoever opens it.
 */
public final class Trays {
  /** The tray of callers who are blocked. */
  public static final String BLOCKED = "blocked";

  private static final String APART = "!";

  private Trays() {}

  /** What the second tray of this mailbox is called. */
  static String apart(String mailbox) {
    return mailbox + APART;
  }

  /** The second trays of these mailboxes. */
  public static List<String> apart(Collection<String> mailboxes) {
    return mailboxes.stream().map(Trays::apart).toList();
  }

  /** Both trays of these mailboxes. */
  public static List<String> both(Collection<String> mailboxes) {
    List<String> both = new ArrayList<>(mailboxes);
    both.addAll(apart(mailboxes));
    return both;
  }

  /** Whose mailbox a tray is of. */
  public static Party owner(String tray) {
    return Owner.of(tray.replace(APART, ""));
  }
}
