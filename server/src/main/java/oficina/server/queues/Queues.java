package oficina.server.queues;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What somebody sees of queues.
 *
 * @param all how many lines keep callers that the reader may see on request
 * @param reasons why one rests, to choose from
 * @param finishing what the reader still writes down; absent when nothing
 */
record Queues(
    List<QueueView> queues,
    int all,
    List<String> reasons,
    @Schema(nullable = true) @Nullable Finishing finishing) {

  /** That the reader writes down what a call was about. */
  public record Finishing(String line, String call, Instant since, Instant until) {}
}
