/**
 * Calls that are recorded. What is recorded for whom is decided in core ({@link
 * oficina.core.machines.Tapes}, {@link oficina.core.heard.Taping}); {@link
 * oficina.server.tapes.Recorder} writes it down, {@link
 * oficina.server.recordings.RecordingController} gives it to whoever may have it. A recording
 * belongs to the employee for whom it was made, and to nobody else but those they hand it to;
 * whatever is done with it is logged.
 */
@NullMarked
package oficina.server.recordings;

import org.jspecify.annotations.NullMarked;
