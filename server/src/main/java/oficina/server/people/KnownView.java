package oficina.server.people;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import oficina.core.contacts.Contact;
import oficina.core.contacts.ContactNumber;
import oficina.core.people.Person;
import org.jspecify.annotations.Nullable;

/**
 * What the reader's contacts say of an outside party, or that it is a colleague on the way.
 *
 * @param contact who it is; absent for a colleague, and while one of several has to be chosen
 * @param company a colleague's team; empty when there is none, or the party is shown under it
 * @param type of the number; absent while nobody is chosen
 * @param tone name of the ring tone they are announced by; empty for the usual one
 * @param several everybody with this number, when they are several
 */
public record KnownView(
    @Schema(nullable = true) @Nullable Long contact,
    String company,
    @Schema(nullable = true) ContactNumber.@Nullable Type type,
    String tone,
    boolean picture,
    List<Candidate> several) {

  /** A colleague, by their mobile. */
  static KnownView mobileOf(Person person) {
    return new KnownView(
        null, person.team(), ContactNumber.Type.MOBILE, "", /* picture= */ false, List.of());
  }

  /** One of several who can be meant. */
  public record Candidate(long contact, String name, String company) {
    static Candidate of(Contact contact) {
      return new Candidate(contact.id().value(), contact.card().title(), contact.card().subtitle());
    }
  }
}
