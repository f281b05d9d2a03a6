package oficina.server.standins;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import oficina.server.office.DemoOffice;
import oficina.server.speech.Speaker;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** What stand-ins say, spoken by a voice that is always the same for the same name. */
@Component
@ConditionalOnProperty("oficina.stand-ins")
class Scripts {
  /** Who speaks. */
  enum Role {
    /** A subscriber who was called. */
    CALLED,
    /** A subscriber who has called. */
    CALLER,
    /** A machine with a menu. */
    MENU,
    /** A machine after a key was pressed; {@code {key}} is the key. */
    PRESSED,
    /** What somebody says to a machine that has sounded its tone. */
    MESSAGE,
    EMERGENCY,
    COLLEAGUE
  }

  private final Speaker speaker;
  private final Map<Role, List<String>> lines;

  Scripts(Speaker speaker) {
    this.speaker = speaker;
    this.lines =
        DemoOffice.read("spoken.csv").stream()
            .collect(
                Collectors.groupingBy(
                    line -> Role.valueOf(line.get("role")),
                    () -> new EnumMap<>(Role.class),
                    Collectors.mapping(line -> line.get("text"), Collectors.toList())));
  }

  /**
   * Somebody of this role and name, who has not said anything yet.
   *
   * @param said when they have left a message with a machine; null for whoever leaves none
   */
  ScriptedVoice voice(Role role, String name, @Nullable Runnable said) {
    return new ScriptedVoice(
        lines.get(role).stream().map(text -> say(name, text.replace("{name}", name))).toList(),
        role == Role.CALLER,
        said == null ? null : new ScriptedVoice.ToMachine(message(name), said));
  }

  /** What somebody says after a tone, always the same for the same name. */
  List<CompletableFuture<short[]>> message(String name) {
    List<String> all = lines.get(Role.MESSAGE);
    String text = all.get(Math.floorMod(name.hashCode(), all.size()));
    return List.of(say(name, text.replace("{name}", name)));
  }

  /** What a machine says when a key is pressed. */
  List<CompletableFuture<short[]>> pressed(String name, char key) {
    return lines.get(Role.PRESSED).stream()
        .map(text -> say(name, text.replace("{key}", spoken(key)).replace("{name}", name)))
        .toList();
  }

  private static String spoken(char key) {
    return switch (key) {
      case '*' -> "star";
      case '#' -> "the number sign";
      default -> String.valueOf(key);
    };
  }

  private CompletableFuture<short[]> say(String name, String text) {
    return speaker.say(Speaker.Voice.of(name), text);
  }
}
