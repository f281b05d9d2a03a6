package oficina.server.logs;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.spi.LoggingEvent;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What is logged can be sent elsewhere: nobody is named in it. */
class NamelessLinesTest {
  private static final String SAID = "Philippa at +441914980123";

  @Test
  void whoIsSpokenOfIsLeftOutAndHowManyIsTold() {
    JsonNode line = line("oficina.server.Any", SAID, 7, new StringBuilder("Bram"));

    assertThat(line.get("message").asString()).isEqualTo("{} has {} of {}");
    assertThat(line.get("values").toString()).isEqualTo("[\"-\",7,\"-\"]");
    assertThat(line.toString()).doesNotContain("Philippa", "4980123", "Bram");
    assertThat(line.get("because").size()).as("the cause, and its own").isEqualTo(2);
    assertThat(line.at("/because/1/frames/0").asString()).contains("NamelessLinesTest");
  }

  @Test
  void whyTheServerDoesNotStartIsToldInWords() {
    JsonNode line = line("org.springframework.boot.SpringApplication", "set OFICINA_TLS_CERT");

    assertThat(line.at("/because/1/says").asString()).isEqualTo("set OFICINA_TLS_CERT");
  }

  private static JsonNode line(String logger, Object... values) {
    String words = (String) values[0];
    Throwable because =
        new IllegalStateException("about " + words, new IllegalArgumentException(words));
    Logger source = new LoggerContext().getLogger(logger);
    LoggingEvent event =
        new LoggingEvent("", source, Level.WARN, "{} has {} of {}", because, values);
    return JsonMapper.shared().readTree(new NamelessLines().format(event));
  }
}
