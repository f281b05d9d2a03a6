package oficina.server.journal;

import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ObjectNode;

/**
 * Makes a body of one version one of the next.
 *
 * @param kind of the event
 * @param from the version it reads
 */
record Upcaster(EventKind kind, int from, Change change) {

  /** What is changed. */
  interface Change {
    /**
     * @param body changed in place
     * @param next the event that follows it of the same subject; null when there is none
     */
    void apply(ObjectNode body, @Nullable StoredEvent next);
  }
}
