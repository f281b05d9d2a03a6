package oficina.core.figures;

import java.time.Duration;

/**
 * Waits of a line that ended in one way, of those that began in one half hour.
 *
 * @param slot which half hour, counted from midnight of the first day asked for
 * @param inTime how many of them waited no longer than the target
 * @param waited all of them together
 * @param longest the longest of them
 */
public record Count(
    long slot, Wait.Outcome outcome, long calls, long inTime, Duration waited, Duration longest) {}
