package oficina.core.draft;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.decision.Decision;
import oficina.core.events.ExchangeEvent;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.routing.Station;
import oficina.core.state.Call;
import oficina.core.state.ExchangeState;
import org.jspecify.annotations.Nullable;

/**
 * One decision in the making. Each consequence is applied to a draft of the state at once, so that
 * the next one is decided on what will be true by then; the exchange itself is not touched.
 */
public final class Draft {
  /** As it would be by now. */
  public final ExchangeState state;

  /** The office on whose decisions this one rests. */
  public final Office office;

  /** When it is decided; it counts as the time of all that happens. */
  public final Instant now;

  private final List<ExchangeEvent> events = new ArrayList<>();
  private final List<Station> stations = new ArrayList<>();
  private Decision.@Nullable PassedOn passedOn;

  /**
   * Begins one.
   *
   * @param state what it is decided on, which stays as it is
   */
  public Draft(ExchangeState state, Office office, Instant now) {
    this.state = state.draft();
    this.office = office;
    this.now = now;
  }

  /** What the office has decided for all calls. */
  public Settings settings() {
    return office.settings();
  }

  /** Whether something was on the office's day on which it is decided. */
  public boolean isToday(Instant at) {
    ZoneId zone = office.identity().zone();
    return LocalDate.ofInstant(at, zone).equals(LocalDate.ofInstant(now, zone));
  }

  /** What happens, in order. */
  public List<ExchangeEvent> events() {
    return List.copyOf(events);
  }

  /** What was found on the ways of calls, in order: why they go where they go. */
  public List<Station> stations() {
    return List.copyOf(stations);
  }

  /** Something was found on the way of a call. */
  public void found(Station station) {
    stations.add(station);
  }

  /** The same, where its kind says it all. */
  public void found(Station.Kind kind, Party at) {
    found(Station.of(kind, at));
  }

  /** Has this happen, in the draft at once. */
  public void emit(ExchangeEvent event) {
    state.apply(event);
    events.add(event);
  }

  /** Keys were pressed in this call: they are passed on if a machine there takes them. */
  public void passOn(Call call, String keys) {
    if (call.connections().stream().anyMatch(each -> each.party().takesKeys())) {
      passedOn = new Decision.PassedOn(call.id(), keys);
    }
  }

  /** All that comes of the decision. */
  public Decision.Accepted accepted() {
    return new Decision.Accepted(events(), passedOn);
  }

  /** The call as it would be by now; null when there is no such call in progress. */
  public @Nullable Call call(CallId id) {
    return state.call(id);
  }
}
