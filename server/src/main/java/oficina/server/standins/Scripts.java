package oficina.server.standins;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import oficina.server.office.DemoOffice;
import oficina.server.speech.Speaker;
import org.apache.commons.csv.CSVRecord;
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
    /** A machine after a key was pressed that is one of its choices. */
    PRESSED,
    /** A machine after any other key, {@code {key}}. */
    NO_CHOICE,
    /** What somebody says to a machine that has sounded its tone. */
    MESSAGE,
    EMERGENCY,
    COLLEAGUE
  }

  /** Keys of the menu that do something besides being answered. */
  private static final char REPEATS = '1';

  static final char HANGS_UP = '0';

  private final Speaker speaker;
  private final Map<Role, List<String>> lines;
  private final Map<Character, String> choices;

  Scripts(Speaker speaker) {
    this.speaker = speaker;
    List<CSVRecord> spoken = DemoOffice.read("spoken.csv");
    this.choices =
        spoken.stream()
            .filter(line -> Role.valueOf(line.get("role")) == Role.PRESSED)
            .collect(Collectors.toMap(line -> line.get("key").charAt(0), line -> line.get("text")));
    this.lines =
        spoken.stream()
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

  /** What a machine says when a key is pressed: first about the key, then its choices. */
  List<CompletableFuture<short[]>> pressed(String name, char key) {
    List<String> texts = new ArrayList<>();
    if (key != REPEATS) {
      String other = lines.get(Role.NO_CHOICE).get(0).replace("{key}", spoken(key));
      texts.add(choices.getOrDefault(key, other));
    }
    if (key != HANGS_UP) {
      texts.addAll(lines.get(Role.MENU));
    }
    return texts.stream().map(text -> say(name, text.replace("{name}", name))).toList();
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
