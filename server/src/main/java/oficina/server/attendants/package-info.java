/**
 * Messages by telephone: {@link oficina.server.attendants.Attendants} reads them out to whoever
 * calls the office's number for it and knows the secret one ({@link
 * oficina.server.attendants.Pins}).
 */
@NullMarked
package oficina.server.attendants;

import org.jspecify.annotations.NullMarked;
