package oficina.server.problems;

import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.LongAdder;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * What was refused since the server started, and how often, as far as it says something of who asks
 * or of how the server is. What somebody has merely typed wrongly does not.
 */
@Component
public class Refusals {
  private static final Set<HttpStatus> ORDINARY =
      Set.of(
          HttpStatus.BAD_REQUEST,
          HttpStatus.NOT_FOUND,
          HttpStatus.CONFLICT,
          HttpStatus.UNPROCESSABLE_CONTENT);

  /** There are only as many as the server has sentences for. */
  private final Map<String, LongAdder> counts = new ConcurrentHashMap<>();

  void count(Problem problem) {
    if (!ORDINARY.contains(problem.status())) {
      counts.computeIfAbsent(problem.code(), code -> new LongAdder()).increment();
    }
  }

  /** How often, by code. */
  public Map<String, Long> counts() {
    Map<String, Long> all = new TreeMap<>();
    counts.forEach((code, count) -> all.put(code, count.sum()));
    return all;
  }
}
