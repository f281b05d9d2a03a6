package oficina.core.routing;

import java.util.ArrayList;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * Where a call goes that nobody takes: the ways it begins with when it is dialled, comes in, is
 * sent on or parked, and what of them is left when it is led elsewhere. {@link Walk} adds the ways
 * that belong to where it leads.
 */
public final class Ways {
  /** A parked caller whom nobody takes back is not kept for ever. */
  private static final int COME_BACKS = 3;

  private Ways() {}

  /** What people and lines have decided counts when nobody answers there; others decide nothing. */
  public static List<Way> whenDialled(Party called) {
    boolean decides = called.employee() != null || called.group() != null;
    return decides ? List.of(byRules(called)) : List.of();
  }

  /**
   * A caller from outside who reaches nobody can leave a message besides; colleagues are asked
   * first.
   */
  public static List<Way> whenComingIn(Office office, Party called, Party caller) {
    List<Way> ways = new ArrayList<>(whenDialled(called));
    if (caller.usesOutsideLine() && office.hasMailbox(called)) {
      ways.add(message(called));
    }
    return ways;
  }

  /**
   * Back to whoever sent it, then to the front desk, and at last to the mailbox of whoever it was
   * for; or there first.
   *
   * @param unanswered which of both; null for what the office has chosen
   */
  public static List<Way> whenSentOn(
      Settings settings, PersonId sender, Party target, Settings.@Nullable Unanswered unanswered) {
    List<Way> ways = new ArrayList<>(back(sender));
    boolean mailboxFirst =
        (unanswered == null ? settings.voicemail().unanswered() : unanswered)
            == Settings.Unanswered.MAILBOX;
    ways.add(mailboxFirst ? 0 : ways.size(), message(target));
    return ways;
  }

  /**
   * Back to its parker, then to the front desk, then it waits once more, a few times over; at last
   * whoever it is for can be left a message.
   *
   * @param forWhom null when it waits for nobody in particular, but its parker
   */
  public static List<Way> whenParked(PersonId parker, @Nullable PersonId forWhom) {
    List<Way> ways = new ArrayList<>();
    for (int time = 1; time <= COME_BACKS; time++) {
      ways.addAll(back(parker));
      if (time < COME_BACKS) {
        ways.add(new Way(new Way.WaitOn(), Way.Reason.WAITS_ON));
      }
    }
    ways.add(message(new Party.Employee(forWhom == null ? parker : forWhom)));
    return ways;
  }

  /**
   * What follows where a call is led now. The rules of whom it was for before count no more: it
   * goes by those of whom it is led to, which are among the ways of the lead.
   *
   * @param remaining what would have followed where it was before
   */
  public static List<Way> after(Lead lead, List<Way> remaining) {
    List<Way> ways = new ArrayList<>(lead.ways());
    remaining.stream().filter(way -> way.reason() != Way.Reason.BY_RULE).forEach(ways::add);
    return ways;
  }

  static Way byRules(Party owner) {
    return new Way(new Way.ByRules(owner), Way.Reason.BY_RULE);
  }

  private static List<Way> back(PersonId sender) {
    return List.of(
        new Way(new Way.To(new Party.Employee(sender)), Way.Reason.BACK),
        new Way(new Way.FrontDesk(), Way.Reason.FRONT_DESK));
  }

  private static Way message(Party owner) {
    return new Way(new Way.ToMailbox(owner), Way.Reason.MESSAGE);
  }
}
