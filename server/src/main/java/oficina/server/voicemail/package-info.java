/**
 * Messages that were left, as people read, hear and deal with them. Begin with {@link
 * oficina.server.voicemail.MessageController}. Every question is asked for the mailboxes of the
 * person who is signed in. How they are left is told in {@code mailboxes}.
 */
@NullMarked
package oficina.server.voicemail;

import org.jspecify.annotations.NullMarked;
