package oficina.server.journal;

import oficina.core.events.ExchangeEvent;
import oficina.server.json.CoreJson;

/**
 * An event as it stands in the journal.
 *
 * @param kind its name for good
 * @param version of the body
 * @param body JSON
 */
record StoredEvent(String subject, String kind, int version, String body) {

  static StoredEvent of(ExchangeEvent event) {
    EventKind kind = EventKind.of(event);
    return new StoredEvent(
        event.subject(), kind.stored(), kind.version(), CoreJson.JSON.writeValueAsString(event));
  }
}
