package oficina.core.people;

import java.time.Duration;
import oficina.core.numbers.PhoneNumber;
import org.jspecify.annotations.Nullable;

/**
 * An employee as the exchange and the directory know them.
 *
 * @param extension digits that reach them inside the office
 * @param directNumber public number that rings them; null when they have none
 * @param place where they belong
 * @param calls how calls are handled for them
 */
public record Person(
    PersonId id,
    String name,
    String extension,
    @Nullable PhoneNumber directNumber,
    Place place,
    Calls calls) {

  /**
   * Where somebody belongs, and where else they are reached.
   *
   * @param team by name
   * @param site by name
   * @param mail address at which they are written to; empty when they have none
   * @param mobile their mobile number for everybody in the office; null when they have none. No
   *     device of theirs by that: whoever calls it calls outside
   */
  public record Place(String team, String site, String mail, @Nullable PhoneNumber mobile) {}

  /**
   * How calls are handled for somebody.
   *
   * @param ringTime how long their devices ring before a call counts as not answered
   * @param callWaiting whether further calls may ring while they have one in hand
   * @param callerId what called outsiders are shown, unless another choice is made for a call
   * @param mailbox whether messages can be left for them
   * @param recording which of their calls they want recorded
   * @param outsidePhone a telephone outside that is one of their devices; null when they have none
   */
  public record Calls(
      Duration ringTime,
      boolean callWaiting,
      CallerIdChoice callerId,
      boolean mailbox,
      RecordingChoice recording,
      @Nullable PhoneNumber outsidePhone) {}

  public String team() {
    return place.team();
  }

  public String site() {
    return place.site();
  }

  public @Nullable PhoneNumber mobile() {
    return place.mobile();
  }

  public Duration ringTime() {
    return calls.ringTime();
  }

  public @Nullable PhoneNumber outsidePhone() {
    return calls.outsidePhone();
  }

  public boolean callWaiting() {
    return calls.callWaiting();
  }
}
