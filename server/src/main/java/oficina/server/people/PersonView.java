package oficina.server.people;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import oficina.core.people.Person;

/**
 * A colleague as everybody sees them. Says nothing of whom they speak with.
 *
 * @param since how long they have been ringing or on a call
 */
public record PersonView(
    long id,
    String name,
    String extension,
    @Schema(nullable = true) String directNumber,
    String team,
    String site,
    Lamp lamp,
    @Schema(nullable = true) Instant since) {

  /** State of a person. */
  public enum Lamp {
    FREE,
    RINGING,
    ON_CALL,
    AWAY,
    OFF
  }

  /** The person with this lamp. */
  public static PersonView of(Person person, Lamp lamp, Instant since) {
    return new PersonView(
        person.id().value(),
        person.name(),
        person.extension(),
        person.directNumber() == null ? null : person.directNumber().e164(),
        person.team(),
        person.site(),
        lamp,
        since);
  }
}
