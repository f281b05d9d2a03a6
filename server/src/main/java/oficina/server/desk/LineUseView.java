package oficina.server.desk;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What goes on at a line of somebody's.
 *
 * @param ringing how many calls ring there
 * @param ringsSince since when the longest of them does; absent when none
 * @param talking names of those who have a call that came in on it
 */
public record LineUseView(
    long line,
    String name,
    int ringing,
    @Schema(nullable = true) @Nullable Instant ringsSince,
    List<String> talking) {}
