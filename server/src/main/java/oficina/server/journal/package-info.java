/**
 * The journal of events, the only truth. Begin with {@link oficina.server.journal.JournalWriter};
 * how an old event is read is in {@link oficina.server.journal.EventReader}. Nothing is confirmed
 * before it is durable, unless the database is away; nothing that was ever written becomes
 * unreadable.
 */
@NullMarked
package oficina.server.journal;

import org.jspecify.annotations.NullMarked;
