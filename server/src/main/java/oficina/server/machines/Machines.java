package oficina.server.machines;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.events.ExchangeEvent;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.ExchangeState;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Told;
import oficina.server.exchange.Turn;
import oficina.server.sound.EndId;
import oficina.server.sound.SoundEngine;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The voices that are in calls now. */
@Component
class Machines implements ExchangeListener {
  private final Map<Class<?>, MachineKind> kinds;
  private final SoundEngine engine;

  /** By connection. */
  private final Map<CallId, Map<Integer, MachineSession>> sessions = new HashMap<>();

  Machines(List<MachineKind> kinds, SoundEngine engine, ExchangeLoop loop) {
    this.kinds = kinds.stream().collect(Collectors.toMap(MachineKind::is, Function.identity()));
    this.engine = engine;
    loop.listen(this);
  }

  @Override
  public Turn turn() {
    return Turn.VOICES;
  }

  @Override
  public void happened(Told told) {
    Call after = told.after();
    if (after != null) {
      of(after.id()).values().forEach(session -> session.happened(told.event(), after));
    }
    for (Told.Touched call : told.calls()) {
      leave(call.id(), call.after());
      if (call.after() != null) {
        join(call.after(), told.event());
      }
    }
  }

  private Map<Integer, MachineSession> of(CallId id) {
    return sessions.getOrDefault(id, Map.of());
  }

  private void leave(CallId id, @Nullable Call after) {
    of(id)
        .entrySet()
        .removeIf(
            each -> {
              boolean gone = after == null || after.leg(each.getKey()) == null;
              if (gone) {
                engine.detach(new EndId.Machine(id, each.getKey()), each.getValue().end());
                each.getValue().left();
              }
              return gone;
            });
    if (of(id).isEmpty()) {
      sessions.remove(id);
    }
  }

  private void join(Call call, @Nullable ExchangeEvent with) {
    for (Connection connection : call.connections()) {
      Party.Machine machine = connection.party().machine();
      boolean there = machine != null && connection.state() == ConnectionState.CONNECTED;
      if (there && !of(call.id()).containsKey(connection.leg())) {
        EndId.Machine id = new EndId.Machine(call.id(), connection.leg());
        MachineSession session =
            kinds.get(machine.getClass()).join(new Joined(id, call, connection, with));
        sessions.computeIfAbsent(call.id(), c -> new TreeMap<>()).put(connection.leg(), session);
        engine.attach(id, session.end());
      }
    }
  }

  @Override
  public void pressed(CallId call, String keys) {
    of(call).values().forEach(session -> session.pressed(keys));
  }

  @Override
  public void takenUp(ExchangeState state) {
    state.calls().forEach(call -> join(call, null));
    kinds.values().forEach(MachineKind::takenUp);
  }
}
