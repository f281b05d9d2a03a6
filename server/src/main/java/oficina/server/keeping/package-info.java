/**
 * Sound that is kept: messages and recordings alike. It is recorded into files ({@link
 * oficina.server.keeping.Spool}), brought into the database when it is over ({@link
 * oficina.server.keeping.Filing}, {@link oficina.server.keeping.SoundStore}), read in parts ({@link
 * oficina.server.keeping.SoundFile}) and written down ({@link oficina.server.keeping.Transcripts}).
 * Whose it is and who may hear it is known elsewhere: nothing here asks.
 */
@NullMarked
package oficina.server.keeping;

import org.jspecify.annotations.NullMarked;
