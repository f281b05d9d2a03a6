package oficina.server.office;

import org.jspecify.annotations.Nullable;

/**
 * Somebody who joins the office.
 *
 * @param directNumber in E.164; null when they have none
 * @param team identity of the team
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
    boolean callWaiting,
    StandIn standIn) {}
