package oficina.core.office;

import java.time.Duration;
import java.util.List;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.RecordingChoice;
import org.jspecify.annotations.Nullable;

/**
 * What the office has set for its exchange, by subject.
 *
 * @param frontDesk group that gets calls nobody else took; null when there is none
 * @param pickUp whose ringing calls one may take
 * @param barring which numbers may not be called
 */
public record Settings(
    Limits limits,
    Times times,
    Parking parking,
    Voicemail voicemail,
    Recording recording,
    Keeping keeping,
    @Nullable GroupId frontDesk,
    PickUp pickUp,
    Barring barring) {

  /**
   * How much there can be at once.
   *
   * @param outsideLines calls with outsiders
   * @param callsInHand calls of one person
   * @param conferenceParties parties of a conference
   */
  public record Limits(int outsideLines, int callsInHand, int conferenceParties) {}

  /**
   * How long things last.
   *
   * @param networkPatience how long an outside number may ring before the exchange gives up
   * @param holdReminder how long somebody may be held before the holder is reminded
   * @param tone how long a caller hears why a call failed before the exchange hangs up
   * @param callBack how long the exchange waits for a colleague to become free
   * @param unattended how long a connection is kept at whose end nobody is any more
   */
  public record Times(
      Duration networkPatience,
      Duration holdReminder,
      Duration tone,
      Duration callBack,
      Duration unattended) {}

  /**
   * Where calls can wait.
   *
   * @param slots in the order in which they are filled
   * @param comeBack how long a call may wait in a slot before it comes back to its parker
   */
  public record Parking(List<ParkSlot> slots, Duration comeBack) {
    public Parking {
      slots = List.copyOf(slots);
    }
  }

  /**
   * How messages are taken.
   *
   * @param longest how long a message may be
   * @param unanswered where a call goes that was put through and that nobody takes there
   * @param extension at which messages are read out; null when they are not
   * @param number the public number of that extension; null when it has none
   */
  public record Voicemail(
      Duration longest,
      Unanswered unanswered,
      @Nullable String extension,
      @Nullable PhoneNumber number) {}

  /** Where a call goes first that was put through and that nobody takes there. */
  public enum Unanswered {
    /** Back to whoever put it through. */
    BACK,
    /** To the mailbox of whoever it was for. */
    MAILBOX
  }

  /**
   * What is recorded of calls, and how long that is kept.
   *
   * @param announced how the others are told of it
   * @param emergencies whether calls to the emergency services are recorded too
   * @param kept how long a recording is kept
   * @param mayDelete whether people may remove recordings of theirs before
   * @param mayKeep whether people may keep recordings of theirs for longer
   */
  public record Recording(
      Policy policy,
      Announced announced,
      boolean emergencies,
      Duration kept,
      boolean mayDelete,
      boolean mayKeep) {

    /** Which of somebody's calls are recorded, who would choose this. */
    public RecordingChoice of(RecordingChoice wanted) {
      return switch (policy) {
        case EVERY_CALL -> RecordingChoice.EVERY_CALL;
        case CHOICE -> wanted;
        case NEVER -> RecordingChoice.NEVER;
      };
    }
  }

  /**
   * How long the office keeps what it knows of calls; each null for without end. Recordings have
   * theirs in {@link Recording}.
   *
   * @param history entries of calls, and all that follows from them
   * @param messages in mailboxes
   * @param notes about calls, and what is done of what was to be done
   * @param log who changed what, and who heard what
   */
  public record Keeping(
      @Nullable Duration history,
      @Nullable Duration messages,
      @Nullable Duration notes,
      @Nullable Duration log) {
    /** The fewest days: whoever is missed on a Friday is called back on Monday. */
    public static final int FEWEST_DAYS = 7;

    public static final Keeping WITHOUT_END = new Keeping(null, null, null, null);

    /** How long this is kept; null for without end. */
    public @Nullable Duration of(Kept what) {
      return switch (what) {
        case HISTORY -> history;
        case MESSAGES -> messages;
        case NOTES -> notes;
        case LOG -> log;
      };
    }
  }

  /** What the office keeps for a time. */
  public enum Kept {
    HISTORY,
    MESSAGES,
    NOTES,
    LOG
  }

  /** Whose calls are recorded. */
  public enum Policy {
    /** Everybody's. */
    EVERY_CALL,
    /** Each chooses for their own. */
    CHOICE,
    NEVER
  }

  /** How those are told who are recorded. */
  public enum Announced {
    /** By a sentence at the start, which says how to refuse. */
    SENTENCE,
    /** By a short tone at the start and every 15 seconds (ITU-T E.180, recording tone). */
    TONES,
    /** Not by the exchange. */
    NOT
  }

  /** Whose ringing calls one may take. */
  public enum PickUp {
    /** Anybody's in the office. */
    ANYBODY,
    /** Those of one's own team and of the groups one belongs to. */
    OWN_GROUPS
  }

  /** What applies where the office has set nothing. */
  public static final Settings DEFAULT =
      new Settings(
          new Limits(8, 6, 16),
          new Times(
              Duration.ofSeconds(120),
              Duration.ofMinutes(2),
              Duration.ofSeconds(20),
              Duration.ofHours(1),
              Duration.ofSeconds(30)),
          new Parking(List.of(), Duration.ofMinutes(3)),
          new Voicemail(Duration.ofMinutes(3), Unanswered.BACK, null, null),
          new Recording(Policy.CHOICE, Announced.SENTENCE, false, Duration.ofDays(90), true, false),
          Keeping.WITHOUT_END,
          null,
          PickUp.ANYBODY,
          Barring.NONE);

  /** Whether these digits are a park slot. */
  public boolean isSlot(String digits) {
    return parking.slots().stream().anyMatch(slot -> slot.number().equals(digits));
  }
}
