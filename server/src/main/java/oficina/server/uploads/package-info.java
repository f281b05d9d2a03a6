/**
 * Files that people bring: contacts, blocks, holidays, sound, pictures. Begin with {@link
 * oficina.server.uploads.Uploads}. They are taken in by whoever asks and read by one thread that
 * goes behind the calls; few wait, one of each person.
 */
@NullMarked
package oficina.server.uploads;

import org.jspecify.annotations.NullMarked;
