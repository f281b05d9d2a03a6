package oficina.core.queueing;

import java.time.Duration;
import java.util.List;
import java.util.Set;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * What a line has decided that keeps callers until somebody is free (an ACD group of ECMA-269).
 *
 * @param order whom it rings of those who are free
 * @param levels after which time of waiting each member is asked, for {@link Order#LEVELS}; those
 *     who are not named are asked at once
 * @param longestWait how long somebody is kept before the line's rules send them on
 * @param most how many are kept at once; whoever comes then finds the line busy
 * @param finishing how long members are left alone after each call, to write down what it was about
 * @param preferences who is served before others
 * @param leads members who may take callers out of turn, and have others rest or take part
 * @param told what is said to whoever waits
 * @param choices what whoever waits can have by a key
 * @param target within which time calls ought to be answered
 * @param shown what members see of whoever calls
 */
public record Queue(
    Order order,
    List<Level> levels,
    Duration longestWait,
    int most,
    Duration finishing,
    List<Preference> preferences,
    Set<PersonId> leads,
    Told told,
    Choices choices,
    Target target,
    Shown shown) {

  public Queue {
    levels = List.copyOf(levels);
    preferences = List.copyOf(preferences);
    leads = Set.copyOf(leads);
  }

  /** That a member is asked only when somebody has waited for so long. */
  public record Level(PersonId member, Duration after) {}

  /** Whom a line rings of the members who are free. */
  public enum Order {
    /** All of them together. */
    ALL,
    /** Whose last call for a queue is the longest ago. */
    LONGEST_IDLE,
    /** Each in turn, whoever was rung longest ago first. */
    IN_TURN,
    /** Who has taken the fewest today. */
    FEWEST,
    /** Some only when the caller has waited for so long; among equals the longest idle. */
    LEVELS
  }

  /**
   * Who is served before others.
   *
   * @param tag of the contact, for {@link Why#TAG}; empty otherwise
   * @param priority the higher, the sooner; of several that fit the highest counts
   */
  public record Preference(Why why, String tag, int priority) {}

  /** Why somebody is served before others. */
  public enum Why {
    /** The contact has a tag. */
    TAG,
    /** They called another line first, which has sent them here. */
    FROM_ANOTHER_LINE,
    /** They have waited here before today. */
    AGAIN_TODAY,
    /** They had been answered, and were sent here. */
    SENT_HERE
  }

  /**
   * What is said to whoever waits.
   *
   * @param place whether their place is said
   * @param time whether it is said how long it will take
   * @param every how often; null for once, at the start
   * @param asks what whoever calls is asked for first; null for nothing
   */
  public record Told(
      boolean place, boolean time, @Nullable Duration every, @Nullable Question asks) {
    /** Music alone. */
    public static final Told NOTHING = new Told(false, false, null, null);
  }

  /**
   * That whoever calls is asked for a number of theirs, which they key in before it rings.
   *
   * @param name what the number is of, in the words of the office: "booking"
   * @param digits how many it has at most, up to {@value #LONGEST}
   */
  public record Question(String name, int digits) {
    /** The longest number that can be asked for, in digits. */
    public static final int LONGEST = 20;
  }

  /**
   * What members see of whoever calls, beside what is known of every caller.
   *
   * @param fields of the contact
   * @param address an address of the office's own that answers questions about callers (a URI with
   *     <code>{number}</code> and <code>{digits}</code>, as in RFC 6570 level 1); empty for none
   */
  public record Shown(List<Field> fields, String address) {
    /** Nothing more. */
    public static final Shown NOTHING = new Shown(List.of(), "");

    public Shown {
      fields = List.copyOf(fields);
    }
  }

  /** What a contact's card says that members of a line can see at once. */
  public enum Field {
    COMPANY,
    TAGS,
    NOTE,
    ADDRESS,
    MAIL
  }

  /**
   * The service level a line is measured by.
   *
   * @param within the time within which a call ought to be answered
   * @param percent of how many of a hundred calls
   */
  public record Target(Duration within, int percent) {}

  /** What a line begins with that is to keep callers. */
  public static final Queue DEFAULT =
      new Queue(
          Order.LONGEST_IDLE,
          List.of(),
          Duration.ofMinutes(10),
          20,
          Duration.ofSeconds(20),
          List.of(),
          Set.of(),
          new Told(true, true, Duration.ofSeconds(45), null),
          new Choices(true, true, false),
          new Target(Duration.ofSeconds(20), 80),
          Shown.NOTHING);

  /**
   * What whoever waits can have by a key.
   *
   * @param keep to hang up, keep the place and be called back: key 1
   * @param message to leave a message: key 2
   * @param elsewhere to go where the line's rules have those go whom nobody answers: key 3
   */
  public record Choices(boolean keep, boolean message, boolean elsewhere) {
    /** They can wait. */
    public static final Choices NONE = new Choices(false, false, false);
  }

  /** The same, led by these members. */
  public Queue ledBy(Set<PersonId> others) {
    return with(others, told, shown);
  }

  /** The same, with this said to whoever waits. */
  public Queue telling(Told others) {
    return with(leads, others, shown);
  }

  /** The same, with this shown to members. */
  public Queue showing(Shown others) {
    return with(leads, told, others);
  }

  private Queue with(Set<PersonId> whoLeads, Told said, Shown seen) {
    return new Queue(
        order,
        levels,
        longestWait,
        most,
        finishing,
        preferences,
        whoLeads,
        said,
        choices,
        target,
        seen);
  }

  /** After which time of waiting this member is asked. */
  public Duration asked(PersonId member) {
    if (order == Order.LEVELS) {
      for (Level level : levels) {
        if (level.member().equals(member)) {
          return level.after();
        }
      }
    }
    return Duration.ZERO;
  }

  /** When, after so long a wait, more members are asked; null when no more will be. */
  public @Nullable Duration nextLevel(Duration waited) {
    return order != Order.LEVELS
        ? null
        : levels.stream()
            .map(Level::after)
            .filter(level -> level.compareTo(waited) > 0)
            .min(Duration::compareTo)
            .orElse(null);
  }
}
