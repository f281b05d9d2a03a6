package oficina.server.voicemail;

import java.util.List;
import java.util.Locale;
import oficina.server.speech.Transcriber;

/** A transcript as WebVTT, which players show beside the sound. */
final class WebVtt {
  private static final int MOST_WORDS = 8;
  private static final int PAUSE_MS = 700;

  private WebVtt() {}

  static String of(List<Transcriber.Word> words) {
    StringBuilder file = new StringBuilder("WEBVTT\n");
    for (int from = 0; from < words.size(); ) {
      int to = from + 1;
      while (to < words.size()
          && to - from < MOST_WORDS
          && words.get(to).from() - words.get(to - 1).to() < PAUSE_MS) {
        to++;
      }
      List<Transcriber.Word> cue = words.subList(from, to);
      file.append('\n')
          .append(time(cue.get(0).from()))
          .append(" --> ")
          .append(time(cue.get(cue.size() - 1).to()))
          .append('\n')
          .append(String.join(" ", cue.stream().map(Transcriber.Word::text).toList()))
          .append('\n');
      from = to;
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
