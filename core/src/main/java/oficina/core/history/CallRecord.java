package oficina.core.history;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.TalkEvent.Merged;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/**
 * Everything worth remembering of one call, gathered from its events: its course, the digits sent,
 * and each employee's part in it.
 */
public final class CallRecord {
  private final Tally tally = new Tally();
  private final EmployeeParts parts;

  CallRecord(CallId id) {
    parts = new EmployeeParts(id, tally);
  }

  /**
   * Takes in one event.
   *
   * @param after the call as it is after the event; null once it is over
   * @return the parts that are complete or have changed with it
   */
  List<Part> follow(ExchangeEvent event, @Nullable Call after) {
    tally.follow(event, after);
    return parts.follow(event, after);
  }

  /** A party comes over from another call: what it did there, it did for this one. */
  void takeOver(Merged e, CallRecord other) {
    tally.comesOver(e.leg(), other.tally.at(e.otherLeg()));
    parts.takeOver(e, other.parts);
  }

  /** The course so far. */
  public List<Segment> course() {
    return tally.course().segments();
  }

  /** The last stretches of the course, at most so many. */
  public List<Segment> lastOfCourse(int most) {
    return tally.course().last(most);
  }

  /** How many stretches the course has. */
  public int stretches() {
    return tally.course().size();
  }

  /** How long the call has been held by or for this employee altogether. */
  public Duration held(PersonId person, Instant now) {
    return tally.course().held(new Party.Employee(person), now);
  }

  /** Digits sent so far, in order. */
  public String digits() {
    return tally.digits();
  }
}
