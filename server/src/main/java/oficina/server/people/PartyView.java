package oficina.server.people;

import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;

/**
 * A party as the pages show it.
 *
 * @param name a person's, group's or contact's name, otherwise the number; empty when it is
 *     withheld
 * @param number extension or number as people here write it
 * @param place team, or town the number belongs to; empty when unknown
 * @param dial what to dial to call them
 * @param known what the reader's contacts say of them; absent when they say nothing
 */
public record PartyView(
    Kind kind,
    String name,
    @Schema(nullable = true) @Nullable String number,
    String place,
    @Schema(nullable = true) @Nullable Long person,
    @Schema(nullable = true) @Nullable String dial,
    @Schema(nullable = true) @Nullable KnownView known) {

  /** The same under another name. */
  PartyView with(String otherName, KnownView of) {
    return new PartyView(kind, otherName, number, place, person, dial, of);
  }

  /** What a party is. */
  public enum Kind {
    PERSON,
    GROUP,
    OUTSIDE,
    WITHHELD,
    EMERGENCY,
    SLOT,
    NOBODY,
    /** The mailbox of a person or a group, under whose name it stands. */
    MAILBOX,
    /** The voice that reads messages out, under its number. */
    ATTENDANT
  }
}
