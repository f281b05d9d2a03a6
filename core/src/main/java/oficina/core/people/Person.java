package oficina.core.people;

import java.time.Duration;
import oficina.core.numbers.PhoneNumber;

/**
 * An employee as the exchange and the directory know them.
 *
 * @param extension digits that reach them inside the office
 * @param directNumber public number that rings them; null when they have none
 * @param team name of the team they belong to
 * @param ringTime how long their devices ring before a call counts as not answered
 * @param callWaiting whether further calls may ring while they have one in hand
 */
public record Person(
    PersonId id,
    String name,
    String extension,
    PhoneNumber directNumber,
    String team,
    String site,
    Duration ringTime,
    boolean callWaiting) {

  /** The same person with further calls ringing, or not, while they have one in hand. */
  public Person withCallWaiting(boolean on) {
    return new Person(id, name, extension, directNumber, team, site, ringTime, on);
  }
}
