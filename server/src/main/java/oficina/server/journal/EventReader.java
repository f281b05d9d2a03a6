package oficina.server.journal;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.events.ExchangeEvent;
import oficina.server.json.CoreJson;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ObjectNode;

/** Reads events of any version, as if they had been written today. */
final class EventReader {
  private EventReader() {}

  /**
   * @param stored in the order in which they happened
   * @throws UnreadableEventException when one was written by a later version than this
   */
  static List<ExchangeEvent> read(List<StoredEvent> stored) {
    Map<String, StoredEvent> following = new HashMap<>();
    List<ExchangeEvent> events = new ArrayList<>(stored.size());
    for (int i = stored.size() - 1; i >= 0; i--) {
      StoredEvent each = stored.get(i);
      events.add(read(each, following.put(each.subject(), each)));
    }
    Collections.reverse(events);
    return events;
  }

  private static ExchangeEvent read(StoredEvent stored, @Nullable StoredEvent next) {
    EventKind kind = EventKind.named(stored.kind());
    if (stored.version() > kind.version()) {
      throw new UnreadableEventException(
          "an event " + stored.kind() + " has version " + stored.version());
    }
    if (stored.version() == kind.version()) {
      return CoreJson.JSON.readValue(stored.body(), kind.type());
    }
    ObjectNode body = (ObjectNode) CoreJson.JSON.readTree(stored.body());
    for (int version = stored.version(); version < kind.version(); version++) {
      upcaster(kind, version).change().apply(body, next);
    }
    return CoreJson.JSON.treeToValue(body, kind.type());
  }

  private static Upcaster upcaster(EventKind kind, int from) {
    return Upcasters.ALL.stream()
        .filter(each -> each.kind() == kind && each.from() == from)
        .findFirst()
        .orElseThrow();
  }
}
