package oficina.server.standins;

import java.time.Duration;
import java.util.List;
import oficina.core.numbers.PhoneNumber;
import oficina.server.office.DemoOffice;
import org.apache.commons.csv.CSVRecord;

/**
 * Somebody on the simulated network.
 *
 * @param company null when they have none
 * @param answersAfter how long it rings before they answer
 * @param talksFor how long they talk before they hang up
 * @param calls the office number they call by themselves; null when they never do
 */
record Subscriber(
    PhoneNumber number,
    String name,
    String company,
    Habit habit,
    Duration answersAfter,
    Duration talksFor,
    PhoneNumber calls) {

  /** How a subscriber behaves when called. */
  enum Habit {
    ANSWERS,
    NO_ANSWER,
    BUSY,
    /**
     * Somebody of the office at a telephone of their own, who presses the key they are asked for.
     */
    TAKES,
    /** A machine that offers a menu by keys. */
    MENU,
    NOT_IN_USE
  }

  /** All subscribers that ship with the application. */
  static List<Subscriber> all() {
    return DemoOffice.read("subscribers.csv").stream().map(Subscriber::of).toList();
  }

  private static Subscriber of(CSVRecord line) {
    return new Subscriber(
        new PhoneNumber(line.get("number")),
        line.get("name"),
        line.get("company"),
        Habit.valueOf(line.get("habit")),
        Duration.ofSeconds(Long.parseLong(line.get("answers_after"))),
        Duration.ofSeconds(Long.parseLong(line.get("talks_for"))),
        line.get("calls") == null ? null : new PhoneNumber(line.get("calls")));
  }
}
