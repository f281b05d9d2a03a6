package oficina.server.office;

import org.jspecify.annotations.Nullable;

/**
 * Somebody who joins the office.
 *
 * @param directNumber in E.164; null when they have none
 * @param team identity of the team
 * @param mail address at which they are written to; empty when they have none
 * @param mobile in E.164; null when they have none
 */
public record NewPerson(
    String name,
    String signInName,
    String passwordHash,
    String role,
    String extension,
    @Nullable String directNumber,
    long team,
    String site,
    String mail,
    @Nullable String mobile,
    boolean callWaiting,
    StandIn standIn) {}
