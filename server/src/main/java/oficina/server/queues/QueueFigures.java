package oficina.server.queues;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * How it stands at a line that keeps callers, for whoever is about to send somebody there.
 *
 * @param free how many members would be rung now
 * @param longestSince since when the one has waited who has waited longest; absent when nobody
 * @param expected how many seconds one would wait; absent as long as nobody knows
 */
public record QueueFigures(
    int waiting,
    int free,
    @Schema(nullable = true) @Nullable Instant longestSince,
    @Schema(nullable = true) @Nullable Long expected) {}
