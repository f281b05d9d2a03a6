package oficina.server.sound;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/** All ends of sound that are there now. Ends come and go from any thread. */
final class Ports {
  private final Map<EndId, Port> ports = new ConcurrentHashMap<>();
  private volatile Port[] all = {};

  /** Where this leg hears and speaks; null when there is no sound there. */
  @Nullable Port of(Leg leg) {
    return leg.end() == null ? null : ports.get(leg.end());
  }

  /** Those of this moment. */
  Port[] all() {
    return all;
  }

  synchronized void put(EndId id, SoundEnd end) {
    ports.put(id, new Port(id, end));
    all = ports.values().toArray(Port[]::new);
  }

  /** Another end that has taken its place stays. */
  synchronized void remove(EndId id, SoundEnd end) {
    Port port = ports.get(id);
    if (port != null && port.end == end) {
      ports.remove(id);
      all = ports.values().toArray(Port[]::new);
    }
  }
}
