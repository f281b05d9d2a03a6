package oficina.core.history;

import oficina.core.call.Owner;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import org.jspecify.annotations.Nullable;

/**
 * The rule of calls to return. A missed call puts its caller on the list of whoever was called: of
 * the group or the colleague on whose line it came in, otherwise of the person. An outside number
 * leaves every list as soon as anybody in the office has spoken with it; a colleague leaves one's
 * own list once one has spoken with them oneself, and a group's list once one of its members has on
 * its line.
 */
public final class ToReturn {
  private ToReturn() {}

  /**
   * What an entry of the history changes in the lists.
   *
   * @param list the owner whose list the caller is put on, or taken from; null for everybody's
   * @param caller who is to be called back
   * @param missed whether they are put on it, or taken off
   */
  public record Change(@Nullable String list, String caller, boolean missed) {}

  /** The change, or null when it concerns no list. */
  public static @Nullable Change of(Part part) {
    String caller = key(part.other());
    if (caller == null || caller.equals(Owner.key(part.person()))) {
      return null;
    }
    String list =
        part.line() != null && part.line().group() != null
            ? Owner.key(part.line())
            : Owner.key(part.person());
    if (part.result().missed()) {
      boolean others = part.line() != null && part.line().employee() != null;
      return new Change(others ? Owner.key(part.line().employee()) : list, caller, true);
    }
    if (part.result() != Part.Result.ANSWERED) {
      return null;
    }
    return new Change(part.other().usesOutsideLine() ? null : list, caller, false);
  }

  /** Who is meant by a key: an outside number, or whoever owns something in the office. */
  public static Party partyOf(String key) {
    return Owner.isKey(key) ? Owner.of(key) : new Party.Outside(new PhoneNumber(key));
  }

  /**
   * What identifies somebody when one looks for calls with the same: an E.164 number, or the key of
   * a person; null when there is no telling.
   */
  public static @Nullable String key(Party party) {
    if (party.employee() != null) {
      return Owner.key(party.employee());
    }
    return party.outsideNumber() == null ? null : party.outsideNumber().e164();
  }
}
