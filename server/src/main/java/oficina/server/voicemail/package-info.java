/**
 * Messages that are left for people and groups. Begin with {@link
 * oficina.server.voicemail.Mailboxes}, which greets and records wherever the exchange has a mailbox
 * answer. Sound goes into a file each second ({@link oficina.server.voicemail.MessageSpool}) and,
 * when the message is over, into the database ({@link oficina.server.voicemail.MessageFiling}):
 * nothing waits for the database. Every question is asked for the mailboxes of the person who is
 * signed in.
 */
@NullMarked
package oficina.server.voicemail;

import org.jspecify.annotations.NullMarked;
