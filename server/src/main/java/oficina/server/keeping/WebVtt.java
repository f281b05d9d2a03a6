package oficina.server.keeping;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import oficina.server.speech.Transcriber.Word;

/** A transcript as WebVTT, which players show beside the sound. */
public final class WebVtt {
  private static final int MOST_WORDS = 8;
  private static final int PAUSE_MS = 700;

  private WebVtt() {}

  /**
   * A few words.
   *
   * @param from milliseconds from the beginning
   * @param to milliseconds from the beginning
   * @param by who says them; empty when there is only one voice
   */
  public record Cue(int from, int to, String text, String by) {}

  /** Words of one voice, as many together as are read at a glance. */
  public static List<Cue> cues(List<Word> words, String by) {
    List<Cue> cues = new ArrayList<>();
    for (int from = 0; from < words.size(); ) {
      int to = from + 1;
      while (to < words.size()
          && to - from < MOST_WORDS
          && words.get(to).from() - words.get(to - 1).to() < PAUSE_MS) {
        to++;
      }
      List<Word> together = words.subList(from, to);
      cues.add(
          new Cue(
              together.get(0).from(),
              together.get(together.size() - 1).to(),
              String.join(" ", together.stream().map(Word::text).toList()),
              by));
      from = to;
    }
    return cues;
  }

  /** The file. */
  public static String of(List<Cue> cues) {
    StringBuilder file = new StringBuilder("WEBVTT\n");
    for (Cue cue : cues) {
      file.append('\n')
          .append(time(cue.from()))
          .append(" --> ")
          .append(time(cue.to()))
          .append('\n')
          .append(cue.by().isEmpty() ? "" : "<v " + cue.by().replaceAll("[<>&\n]", " ") + ">")
          .append(cue.text())
          .append('\n');
    }
    return file.toString();
  }

  private static String time(int millis) {
    return String.format(
        Locale.ROOT,
        "%02d:%02d:%02d.%03d",
        millis / 3_600_000,
        millis / 60_000 % 60,
        millis / 1_000 % 60,
        millis % 1_000);
  }
}
