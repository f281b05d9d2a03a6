package oficina.core.notes;

/**
 * A note about a call as it was written.
 *
 * @param title what it was about; empty when none was given
 * @param text of any number of lines; empty when nothing was written
 */
public record NoteText(String title, String text) {
  public static final NoteText BLANK = new NoteText("", "");

  /**
   * This note after another window has written it too, perhaps. Nothing that either of them added
   * is lost; whatever one of them has left alone is as the other wrote it.
   *
   * @param kept the note as it is by now
   * @param from the note as it was when this one was begun
   */
  public NoteText onto(NoteText kept, NoteText from) {
    return new NoteText(
        together(from.title, kept.title, title, " / "), together(from.text, kept.text, text, "\n"));
  }

  private static String together(String from, String kept, String mine, String between) {
    if (kept.equals(from)) {
      return mine;
    }
    if (mine.equals(from) || kept.contains(mine)) {
      return kept;
    }
    if (mine.contains(kept)) {
      return mine;
    }
    String added = mine.startsWith(from) && kept.startsWith(from) ? rest(from, mine) : mine;
    return kept.stripTrailing() + between + added;
  }

  private static String rest(String from, String mine) {
    return mine.substring(from.length()).stripLeading();
  }
}
