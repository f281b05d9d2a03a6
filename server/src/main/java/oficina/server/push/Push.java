package oficina.server.push;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import oficina.server.desk.CallBackView;
import oficina.server.desk.CallView;
import oficina.server.desk.LeavingView;
import oficina.server.desk.LineUseView;
import oficina.server.desk.OthersCallView;
import oficina.server.people.PersonView;
import org.jspecify.annotations.Nullable;

/**
 * What a page is told over its WebSocket. The first message after connecting has an item of every
 * topic; later ones of what has changed, each whole.
 *
 * @param now time of the server's clock, by which the page counts
 * @param run which start of the server this is: another one than before tells of a restart
 */
@Schema(name = "Push")
public record Push(Instant now, String run, List<Item> items) {

  /**
   * One topic.
   *
   * @param data what is to be known of it; absent when the page asks for it if it shows it
   */
  public record Item(Topic topic, @Schema(nullable = true) @Nullable Object data) {}

  /** What a page can be told of, and what comes with it. */
  public enum Topic {
    /** {@link MyCalls}. */
    CALLS,
    /** All park slots. */
    SHELF,
    /** {@link Board}. */
    PEOPLE,
    /** Things to be told once. */
    NOTICES,
    /** {@link Service}. */
    SERVICE,
    /** The history has new or changed entries. */
    HISTORY,
    /** The list of calls to return has changed. */
    TO_RETURN,
    /** A message has come, or something has become of one. */
    VOICEMAIL,
    /** A recording has come, or something has become of one. */
    RECORDINGS,
    /** What is to be done by the person or their team has changed. */
    FOLLOW_UPS,
    /** The person has written something about a call of theirs, in this window or another. */
    NOTES,
    /** The person's speed dials have changed. */
    SPEED_DIALS,
    /** What has been decided about calls has changed: rules, lines, opening hours, blocks. */
    RULES,
    /** The person's devices have changed: which are there, whose they are, which are used. */
    DEVICES,
    /** Contacts have changed, and with them who is who everywhere. */
    CONTACTS,
    /** A subscriber this person plays has changed. */
    OUTSIDE,
    /** Who speaks now in each of the person's calls: {@link Speaking}. */
    SPEAKING
  }

  /**
   * The person's own.
   *
   * @param calls all their calls in hand
   * @param callBacks colleagues they wait for, as many as there are
   * @param leaving who leaves a message in a mailbox of theirs right now
   * @param others calls of colleagues that concern them by delegation
   * @param lines those of their shared lines at which something goes on
   */
  public record MyCalls(
      List<CallView> calls,
      List<CallBackView> callBacks,
      List<LeavingView> leaving,
      List<OthersCallView> others,
      List<LineUseView> lines) {}

  /**
   * Colleagues.
   *
   * @param whole whether these are all, in their order, or only those whose state has changed
   */
  public record Board(boolean whole, List<PersonView> people) {}

  /**
   * Who speaks in a call.
   *
   * @param legs numbers of the members, as in {@code conference}
   */
  public record Speaking(String call, List<Integer> legs) {}

  /**
   * How the service stands.
   *
   * @param behind whether events wait for the database
   * @param refused how many commands led to something that the database has refused
   * @param full whether what is recorded waits for a disk that takes nothing
   */
  public record Service(boolean behind, int refused, boolean full) {}
}
