package oficina.server.door;

import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.ConcurrentMap;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;

/**
 * Token buckets: each key may do so much at once, and after that as much as trickles in. Keys whose
 * bucket is surely full again are forgotten, so that made-up ones take no memory for long.
 */
public final class TokenBuckets {
  private record Bucket(double tokens, Instant at) {}

  private final double capacity;
  private final double perSecond;
  private final ConcurrentMap<String, Bucket> buckets;

  /**
   * @param capacity how much a key may do at once
   * @param perSecond how much of that comes back each second
   */
  public TokenBuckets(double capacity, double perSecond) {
    this.capacity = capacity;
    this.perSecond = perSecond;
    Duration untilFull = Duration.ofMillis((long) (capacity / perSecond * 1000) + 1);
    buckets = Caffeine.newBuilder().expireAfterWrite(untilFull).<String, Bucket>build().asMap();
  }

  /** How long this key has to wait until it may do one thing more. */
  public Duration wait(String key, Instant now) {
    double there = tokens(buckets.get(key), now);
    return there >= 1 ? Duration.ZERO : untilOne(there);
  }

  /** Takes one, also one that is not there. */
  public void spend(String key, Instant now) {
    buckets.compute(key, (k, bucket) -> new Bucket(Math.max(0, tokens(bucket, now) - 1), now));
  }

  /**
   * Takes one if there is one.
   *
   * @return zero, or how long this key has to wait instead
   */
  public Duration take(String key, Instant now) {
    AtomicReference<Duration> wait = new AtomicReference<>(Duration.ZERO);
    buckets.compute(
        key,
        (k, bucket) -> {
          double there = tokens(bucket, now);
          if (there < 1) {
            wait.set(untilOne(there));
            return bucket;
          }
          return new Bucket(there - 1, now);
        });
    return wait.get();
  }

  /** Gives one back that was taken for nothing. */
  public void giveBack(String key, Instant now) {
    buckets.computeIfPresent(
        key, (k, bucket) -> new Bucket(Math.min(capacity, tokens(bucket, now) + 1), now));
  }

  private Duration untilOne(double there) {
    return Duration.ofMillis((long) ((1 - there) / perSecond * 1000) + 1);
  }

  private double tokens(@Nullable Bucket bucket, Instant now) {
    if (bucket == null) {
      return capacity;
    }
    double since = Math.max(0, Duration.between(bucket.at(), now).toMillis()) / 1000.0;
    return Math.min(capacity, bucket.tokens() + since * perSecond);
  }
}
