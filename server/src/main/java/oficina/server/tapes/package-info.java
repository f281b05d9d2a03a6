/**
 * How calls are recorded: {@link oficina.server.tapes.Recorder} taps the sound of those that the
 * exchange wants recorded, writes both sides into files each second, and has what is over brought
 * into the database. What one does with recordings is told in {@code recordings}.
 */
@NullMarked
package oficina.server.tapes;

import org.jspecify.annotations.NullMarked;
