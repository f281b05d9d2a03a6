package oficina.core.exchange;

import java.time.Duration;
import java.util.List;
import oficina.core.people.GroupId;

/**
 * What the office has set for its exchange.
 *
 * @param outsideLines how many calls with outsiders can be up at once
 * @param callsInHand how many calls one person can have at once
 * @param networkPatience how long an outside number may ring before the exchange gives up
 * @param holdReminder how long somebody may be held before the holder is reminded
 * @param frontDesk group that gets calls nobody else took; null when there is none
 * @param toneTime how long a caller hears why a call failed before the exchange hangs up
 * @param conferenceLimit how many parties a conference can have
 * @param parkSlots where calls can wait, in the order in which they are filled
 * @param parkComeBack how long a call may wait in a slot before it comes back to its parker
 * @param callBackLasts how long the exchange waits for a colleague to become free
 */
public record Settings(
    int outsideLines,
    int callsInHand,
    Duration networkPatience,
    Duration holdReminder,
    GroupId frontDesk,
    Duration toneTime,
    int conferenceLimit,
    List<ParkSlot> parkSlots,
    Duration parkComeBack,
    Duration callBackLasts) {

  public Settings {
    parkSlots = List.copyOf(parkSlots);
  }

  /** What applies where the office has set nothing. */
  public static final Settings DEFAULT =
      new Settings(
          8,
          6,
          Duration.ofSeconds(120),
          Duration.ofMinutes(2),
          null,
          Duration.ofSeconds(20),
          16,
          List.of(),
          Duration.ofMinutes(3),
          Duration.ofHours(1));

  /** Whether these digits are a park slot. */
  public boolean isSlot(String digits) {
    return parkSlots.stream().anyMatch(slot -> slot.number().equals(digits));
  }
}
