package oficina.core.exchange;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.call.Party;
import oficina.core.commands.Command;
import oficina.core.decision.Refusal;
import oficina.core.events.DeviceEvent;
import oficina.core.events.ReachEvent;
import oficina.core.events.StatusEvent;
import oficina.core.events.TalkEvent;
import oficina.core.office.Office;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.routing.Station;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import org.jspecify.annotations.Nullable;

/**
 * Tries what would become of a call that nobody places: the exchange decides on it as on any other,
 * on a draft, and nothing rings.
 */
public final class TryIt {
  private static final CallId TRIED = new CallId("tried");
  private static final DeviceId SOMEWHERE = new DeviceId("tried");

  private final Office office;
  private final ExchangeState state;

  /** What is taken for granted of whoever is called. */
  public enum Given {
    /** What is the case now. */
    AS_IT_IS,
    /** They are there, have no call in hand and have said nothing of themselves. */
    THERE,
    ON_A_CALL,
    NOT_THERE,
    DO_NOT_DISTURB,
    OFF_DUTY,
    /** They turn the call away. */
    DECLINES
  }

  /**
   * What would become of it when nobody takes it anywhere.
   *
   * @param told why the caller hears that it cannot be completed; null when a mailbox or a voice
   *     answers, or it goes out
   * @param refused why it cannot be placed at all; null when it can
   */
  public record Trial(List<Station> stations, @Nullable Cause told, @Nullable Refusal refused) {
    public Trial {
      stations = List.copyOf(stations);
    }
  }

  public TryIt(Exchange exchange) {
    office = exchange.office();
    state = exchange.state().draft();
  }

  /**
   * Tries a call.
   *
   * @param command places it, or has it arrive, under the identity {@link #call}
   * @param whom of whom something is taken for granted; null for nobody
   */
  public Trial run(Command command, Instant when, Given given, @Nullable PersonId whom) {
    if (whom != null) {
      grant(given, whom, when);
    }
    Deciding deciding = new Deciding(state, office, when);
    if (deciding.decide(command) instanceof Refusal refusal) {
      return new Trial(List.of(), null, refusal);
    }
    List<Station> stations = new ArrayList<>(deciding.draft().stations());
    Call call = deciding.draft().call(TRIED);
    while (call != null && rings(call)) {
      if (call.standIn() == null) {
        stations.add(Station.of(Station.Kind.NOT_TAKEN, call.called()));
      }
      deciding = new Deciding(deciding.draft().state, office, call.due());
      Connection own = given == Given.DECLINES && whom != null ? call.of(whom) : null;
      if (own != null && own.rings()) {
        deciding.gone(call, own, Cause.DECLINED);
      } else {
        deciding.timeIsUp(TRIED);
      }
      Call after = deciding.draft().call(TRIED);
      if (call.waits() && (after == null || !after.waits())) {
        stations.add(Station.of(Station.Kind.NOT_TAKEN, call.called()));
      }
      stations.addAll(deciding.draft().stations());
      call = deciding.draft().call(TRIED);
    }
    Cause told = call == null || call.failure() == null ? null : call.failure().cause();
    return new Trial(stations, told, null);
  }

  /** The identity of the call that is tried. */
  public static CallId call() {
    return TRIED;
  }

  /** From which device a colleague places a call that is tried. */
  public static DeviceId device() {
    return SOMEWHERE;
  }

  private static boolean rings(Call call) {
    return call.failure() == null
        && call.mailbox() == null
        && call.connections().stream().anyMatch(each -> !each.answered());
  }

  private void grant(Given given, PersonId whom, Instant when) {
    switch (given) {
      case AS_IT_IS -> {}
      case THERE, DECLINES -> there(whom, when);
      case NOT_THERE ->
          state
              .devices(whom)
              .forEach(each -> state.apply(new DeviceEvent.DeviceWent(whom, each.id(), when)));
      case DO_NOT_DISTURB -> says(whom, Status.Kind.DO_NOT_DISTURB, when);
      case OFF_DUTY -> says(whom, Status.Kind.OFF_DUTY, when);
      case ON_A_CALL -> {
        there(whom, when);
        state.apply(
            new ReachEvent.Originated(
                new CallId("tried-in-hand"),
                when,
                1,
                new Party.Employee(whom),
                new Party.Nobody(""),
                SOMEWHERE,
                CallerId.WITHHELD,
                "",
                null,
                null,
                List.of()));
      }
    }
  }

  /** Calls they have in hand now are over by then, as far as anybody can know. */
  private void there(PersonId whom, Instant when) {
    for (CallId id : state.inHand(whom)) {
      Connection own = state.call(id).of(whom);
      state.apply(new TalkEvent.ConnectionCleared(id, when, own.leg(), Cause.NORMAL));
    }
    state.apply(new StatusEvent.StatusOver(whom, when));
    state.apply(new DeviceEvent.DeviceCame(whom, SOMEWHERE, when, DeviceKind.WINDOW, true));
  }

  private void says(PersonId whom, Status.Kind kind, Instant when) {
    state.apply(new StatusEvent.StatusSet(whom, when, kind, "", null));
  }
}
