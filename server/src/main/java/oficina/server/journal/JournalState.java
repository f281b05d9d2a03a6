package oficina.server.journal;

/**
 * How the journal stands.
 *
 * @param behind whether events wait for a database that is away
 * @param refused how many commands led to something that the database has refused
 */
public record JournalState(boolean behind, int refused) {}
