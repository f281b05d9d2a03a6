/** The server&#39;s one clock, {@link oficina.server.time.MovableClock}. */
@NullMarked
package oficina.server.time;

import org.jspecify.annotations.NullMarked;
