package oficina.server.desk;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import oficina.server.people.PartyView;
import org.jspecify.annotations.Nullable;

/**
 * Somebody who is leaving a message right now, and can still be spoken with.
 *
 * @param line the group whose mailbox it is; absent when it is one's own
 * @param since when the mailbox answered
 * @param speaks whether they have said enough to be a message; they listen to the greeting before
 */
public record LeavingView(
    String call,
    PartyView who,
    @Schema(nullable = true) @Nullable String line,
    Instant since,
    boolean speaks) {}
