package oficina.server.door;

import java.time.Duration;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentMap;
import oficina.server.problems.Problem;
import oficina.server.time.MovableClock;
import org.springframework.stereotype.Component;

/**
 * How many requests a sign-in, or an origin where nobody is signed in, may make each second, and
 * how many may be under way at once: strangers together never take all the hands of the server.
 */
@Component
public class RequestLimits {
  /** Signing in takes two requests, whoever else comes from the same network address. */
  private static final double STRANGERS_SHARE = 0.4;

  /** Files of the pages are cheap, and each page needs many. */
  private static final int FILES_FOR_A_REQUEST = 10;

  private static final int AT_ONCE_OF_A_SIGN_IN = 20;
  private static final int AT_ONCE_OF_STRANGERS = 60;
  private static final String STRANGERS = "";

  private final TokenBuckets signIns;
  private final TokenBuckets origins;
  private final TokenBuckets files;
  private final ConcurrentMap<String, Integer> underWay = new ConcurrentHashMap<>();
  private final MovableClock clock;

  public RequestLimits(Limits limits, MovableClock clock) {
    signIns = new TokenBuckets(limits.burst(), limits.requestsPerSecond());
    double burst = STRANGERS_SHARE * limits.burst();
    double perSecond = STRANGERS_SHARE * limits.requestsPerSecond();
    origins = new TokenBuckets(burst, perSecond);
    files = new TokenBuckets(FILES_FOR_A_REQUEST * burst, FILES_FOR_A_REQUEST * perSecond);
    this.clock = clock;
  }

  /** A request that is under way; closed when it is answered. */
  public interface UnderWay extends AutoCloseable {
    @Override
    void close();
  }

  /**
   * A request of a sign-in begins.
   *
   * @throws Problem when it has made too many
   */
  public UnderWay signedIn(String signIn) {
    count(signIns, signIn);
    return begin(signIn, AT_ONCE_OF_A_SIGN_IN);
  }

  /**
   * A request from a network address at which nobody is signed in begins.
   *
   * @param file whether it is for a file of the pages
   * @throws Problem when it has made too many
   */
  public UnderWay stranger(String origin, boolean file) {
    count(file ? files : origins, origin);
    return begin(STRANGERS, AT_ONCE_OF_STRANGERS);
  }

  private void count(TokenBuckets buckets, String key) {
    Duration wait = buckets.take(key, clock.instant());
    if (!wait.isZero()) {
      throw tooMany((int) wait.toSeconds() + 1);
    }
  }

  private UnderWay begin(String key, int most) {
    if (underWay.merge(key, 1, Integer::sum) > most) {
      end(key);
      throw tooMany(1);
    }
    return () -> end(key);
  }

  private void end(String key) {
    underWay.computeIfPresent(key, (k, count) -> count > 1 ? count - 1 : null);
  }

  private static Problem tooMany(int seconds) {
    return Problem.tooMany("TOO_MANY_REQUESTS", seconds);
  }
}
