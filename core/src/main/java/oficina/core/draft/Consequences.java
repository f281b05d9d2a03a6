package oficina.core.draft;

/**
 * What a decision is made with, put together once: the draft, and those who know what follows in it
 * from what.
 *
 * @param reach who can be reached
 * @param machines how voices come into a call
 * @param queueing how calls come to wait at lines
 * @param onward where a call goes that nobody takes
 * @param clearing how parties leave
 * @param answering how parties come to speak
 */
public record Consequences(
    Draft draft,
    Reachability reach,
    Machines machines,
    Queueing queueing,
    Onward onward,
    Clearing clearing,
    Answering answering) {

  /** Those of one decision. */
  public static Consequences of(Draft draft) {
    Reachability reach = new Reachability(draft);
    Machines machines = new Machines(draft);
    Queueing queueing = new Queueing(draft, reach);
    Onward onward = new Onward(draft, reach, machines, queueing);
    Clearing clearing = new Clearing(draft, onward);
    return new Consequences(
        draft, reach, machines, queueing, onward, clearing, new Answering(draft, clearing));
  }
}
