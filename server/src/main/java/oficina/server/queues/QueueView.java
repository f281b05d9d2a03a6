package oficina.server.queues;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import oficina.core.queueing.Queue;
import oficina.core.seen.QueueUse;
import oficina.server.people.PartyView;
import org.jspecify.annotations.Nullable;

/**
 * How it stands at a line that keeps callers.
 *
 * @param mine whether the reader is a member
 * @param leads whether the reader leads it
 * @param within seconds within which calls ought to be answered
 * @param free how many members would be rung now
 * @param longestSince since when the one has waited who has waited longest; absent when nobody
 * @param expected how many seconds the next caller would wait; absent as long as nobody knows
 */
public record QueueView(
    long line,
    String name,
    String extension,
    boolean mine,
    boolean leads,
    long within,
    int percent,
    int free,
    @Schema(nullable = true) @Nullable Instant longestSince,
    @Schema(nullable = true) @Nullable Long expected,
    List<Waiter> waiting,
    List<MemberView> members) {

  /**
   * Somebody who waits, in the order in which they are served.
   *
   * @param since since when, at lines before included
   * @param why they are served before others; absent when they are not
   * @param rings whether a member is rung for them now
   * @param kept whether they have hung up and are called back in turn
   */
  public record Waiter(
      String call,
      PartyView who,
      Instant since,
      int priority,
      @Schema(nullable = true) Queue.@Nullable Why why,
      boolean rings,
      boolean kept) {}

  /**
   * A member.
   *
   * @param until when they are done with finishing; absent otherwise
   * @param reason why they rest; empty when they do not, or have given none
   * @param byExchange whether they rest because they did not take calls
   */
  public record MemberView(
      long person,
      String name,
      QueueUse.State state,
      @Schema(nullable = true) @Nullable Instant since,
      @Schema(nullable = true) @Nullable Instant until,
      String reason,
      boolean byExchange) {}
}
