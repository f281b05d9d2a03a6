/**
 * Mailboxes as they answer. Begin with {@link oficina.server.mailboxes.Mailboxes}, which greets and
 * records wherever the exchange has one answer. Sound goes into a file each second ({@link
 * oficina.server.mailboxes.MessageSpool}) and, when the message is over, into the database ({@link
 * oficina.server.mailboxes.MessageFiling}): nothing waits for the database.
 */
@NullMarked
package oficina.server.mailboxes;

import org.jspecify.annotations.NullMarked;
