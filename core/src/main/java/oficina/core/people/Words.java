package oficina.core.people;

import static java.util.Map.entry;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/** The words of a text as somebody types them who looks for it: case and accents do not matter. */
public final class Words {
  private static final Pattern ACCENTS = Pattern.compile("\\p{M}+");

  /** Letters that are no base letter with an accent, as people without them type them. */
  private static final Map<String, String> PLAIN =
      Map.ofEntries(
          entry("ł", "l"),
          entry("ø", "o"),
          entry("đ", "d"),
          entry("ð", "d"),
          entry("þ", "th"),
          entry("ß", "ss"),
          entry("æ", "ae"),
          entry("œ", "oe"),
          entry("ħ", "h"),
          entry("ı", "i"),
          entry("ŋ", "n"),
          entry("ŧ", "t"));

  private static final Pattern NOT_PLAIN = Pattern.compile("[łøđðþßæœħıŋŧ]");
  private static final Pattern SEPARATORS = Pattern.compile("[^\\p{L}\\p{N}]+");

  private Words() {}

  /** The words of this text in their order, without anything between them. */
  public static List<String> of(String text) {
    return SEPARATORS.splitAsStream(fold(text)).filter(word -> !word.isEmpty()).toList();
  }

  private static String fold(String text) {
    String decomposed = Normalizer.normalize(text, Normalizer.Form.NFD);
    String lower = ACCENTS.matcher(decomposed).replaceAll("").toLowerCase(Locale.ROOT);
    return NOT_PLAIN.matcher(lower).replaceAll(letter -> PLAIN.get(letter.group()));
  }
}
