package oficina.server.office;

import java.util.List;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * A line as it is written into the database.
 *
 * @param number public number in E.164; null when it has none
 * @param members in the order in which they stand there
 */
public record NewLine(
    String name,
    String extension,
    @Nullable String number,
    List<PersonId> members,
    int ringSeconds,
    boolean mailbox) {}
