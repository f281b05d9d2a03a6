package oficina.server.people;

import io.swagger.v3.oas.annotations.media.Schema;

/**
 * A party as the pages show it.
 *
 * @param name a person's or group's name, otherwise the number; empty when it is withheld
 * @param number extension or number as people here write it
 * @param place team, or town the number belongs to; empty when unknown
 * @param dial what to dial to call them
 */
public record PartyView(
    Kind kind,
    String name,
    @Schema(nullable = true) String number,
    String place,
    @Schema(nullable = true) Long person,
    @Schema(nullable = true) String dial) {

  /** What a party is. */
  public enum Kind {
    PERSON,
    GROUP,
    OUTSIDE,
    WITHHELD,
    EMERGENCY,
    SLOT,
    NOBODY
  }
}
