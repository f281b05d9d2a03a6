package oficina.server.logs;

import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.classic.spi.IThrowableProxy;
import ch.qos.logback.classic.spi.StackTraceElementProxy;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.logging.structured.StructuredLogFormatter;
import tools.jackson.databind.json.JsonMapper;

/**
 * A line of JSON for everything that is logged, fit to be sent elsewhere: it holds no number, name
 * or word of a person. What is logged is a sentence with gaps; the sentence stands in the program,
 * and of what would fill the gaps only counts, truths and kinds are told. Of an exception it tells
 * where it came from and not what it says, which may quote what somebody typed; only why the server
 * does not start is told in words, before anybody has said anything to it.
 */
class NamelessLines implements StructuredLogFormatter<ILoggingEvent> {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final int MOST_FRAMES = 40;
  private static final String STARTING = SpringApplication.class.getName();

  @Override
  public String format(ILoggingEvent event) {
    Map<String, Object> line = new LinkedHashMap<>();
    line.put("at", event.getInstant().toString());
    line.put("level", event.getLevel().toString());
    line.put("logger", event.getLoggerName());
    line.put("thread", event.getThreadName());
    line.put("message", event.getMessage());
    List<Object> told = told(event.getArgumentArray());
    if (!told.isEmpty()) {
      line.put("values", told);
    }
    if (event.getThrowableProxy() != null) {
      line.put("because", causes(event));
    }
    return JSON.writeValueAsString(line) + "\n";
  }

  private static List<Object> told(Object @Nullable [] arguments) {
    List<Object> told = new ArrayList<>();
    for (Object each : arguments == null ? new Object[0] : arguments) {
      boolean harmless =
          each instanceof Number || each instanceof Boolean || each instanceof Enum<?>;
      told.add(harmless ? each : "-");
    }
    return told;
  }

  private static List<Map<String, Object>> causes(ILoggingEvent event) {
    boolean inWords = event.getLoggerName().equals(STARTING);
    List<Map<String, Object>> causes = new ArrayList<>();
    for (IThrowableProxy each = event.getThrowableProxy(); each != null; each = each.getCause()) {
      List<String> frames = new ArrayList<>();
      for (StackTraceElementProxy frame : each.getStackTraceElementProxyArray()) {
        if (frames.size() < MOST_FRAMES) {
          frames.add(frame.getStackTraceElement().toString());
        }
      }
      Map<String, Object> cause = new LinkedHashMap<>();
      cause.put("kind", each.getClassName());
      if (inWords) {
        cause.put("says", String.valueOf(each.getMessage()));
      }
      cause.put("frames", frames);
      causes.add(cause);
    }
    return causes;
  }
}
