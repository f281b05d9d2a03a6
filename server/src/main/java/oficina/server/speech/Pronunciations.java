package oficina.server.speech;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import oficina.core.people.Words;
import org.springframework.stereotype.Component;

/**
 * How names are spoken that are in no dictionary: Debian's flite reads them by the rules it speaks
 * by, and its phones are those of the transcriber's dictionary under other names.
 */
@Component
class Pronunciations {
  private static final int SECONDS = 5;

  /** Letters that no English rule knows. */
  private static final Pattern FOREIGN = Pattern.compile("[^a-z]");

  private final Map<String, String> known = new ConcurrentHashMap<>();

  /** Each name with its phones; those that cannot be read are left out. */
  Map<String, String> of(List<String> names) {
    Map<String, String> all = new LinkedHashMap<>();
    for (String name : names) {
      String phones = known.computeIfAbsent(name, Pronunciations::read);
      if (!phones.isEmpty()) {
        all.put(name, phones);
      }
    }
    return all;
  }

  private static String read(String name) {
    String plain = FOREIGN.matcher(String.join("", Words.of(name))).replaceAll("");
    if (plain.isEmpty()) {
      return "";
    }
    try {
      Process process =
          new ProcessBuilder("flite", "-ps", "-t", plain, "-o", "none")
              .redirectError(ProcessBuilder.Redirect.DISCARD)
              .start();
      String phones =
          new String(process.getInputStream().readAllBytes(), StandardCharsets.US_ASCII);
      if (!process.waitFor(SECONDS, TimeUnit.SECONDS)) {
        process.destroyForcibly();
        return "";
      }
      return phones(phones);
    } catch (IOException e) {
      return ""; // no flite: written down without names
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return "";
    }
  }

  /** Of what flite prints, the phones as the dictionary of Carnegie Mellon University has them. */
  static String phones(String printed) {
    List<String> phones = new ArrayList<>();
    for (String phone : printed.trim().split("\\s+")) {
      if (phone.equals("ax")) {
        phones.add("AH");
      } else if (!phone.equals("pau")) {
        phones.add(phone.toUpperCase(Locale.ROOT));
      }
    }
    return String.join(" ", phones);
  }
}
