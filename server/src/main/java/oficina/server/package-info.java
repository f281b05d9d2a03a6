/**
 * The application. Begin with {@link oficina.server.OficinaApplication}; its rooms are named like
 * those of core. Nothing here decides what the exchange does: it asks core, keeps and shows.
 */
@NullMarked
package oficina.server;

import org.jspecify.annotations.NullMarked;
