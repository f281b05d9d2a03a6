package oficina.core.office;

import java.util.ArrayList;
import java.util.List;
import oficina.core.people.Directory;

/** What an office has not said yet without which it cannot work as an office does. */
public enum Missing {
  /** What it is called. */
  NAME,
  /** The number by which it is known outside. */
  MAIN_NUMBER,
  /** Anybody beside the one who sets it up. */
  PEOPLE,
  /** A line that several answer. */
  LINES,
  /** Which line rings when somebody calls the main number. */
  MAIN_NUMBER_RINGS_NOBODY,
  /** Who gets calls that nobody else took. */
  FRONT_DESK,
  /** Where calls can be parked. */
  SLOTS,
  /** Where people listen to their messages by telephone. */
  VOICEMAIL;

  /** What this office lacks, the most important first. */
  public static List<Missing> of(Office office) {
    List<Missing> all = new ArrayList<>();
    Office.Identity identity = office.identity();
    Directory directory = office.directory();
    lacks(all, NAME, identity.name().isBlank());
    lacks(all, MAIN_NUMBER, identity.mainNumber() == null);
    lacks(all, PEOPLE, directory.people().size() < 2);
    lacks(all, LINES, directory.groups().isEmpty());
    lacks(
        all,
        MAIN_NUMBER_RINGS_NOBODY,
        identity.mainNumber() != null && directory.extensionOf(identity.mainNumber()) == null);
    lacks(all, FRONT_DESK, office.settings().frontDesk() == null);
    lacks(all, SLOTS, office.settings().parking().slots().isEmpty());
    lacks(all, VOICEMAIL, office.settings().voicemail().extension() == null);
    return List.copyOf(all);
  }

  private static void lacks(List<Missing> all, Missing what, boolean so) {
    if (so) {
      all.add(what);
    }
  }
}
