/**
 * The contacts of the office and of each person, in the database and in memory. Begin with {@link
 * oficina.server.contacts.Contacts}. Each question says for whom it is asked; a change counts once
 * the database has it.
 */
@NullMarked
package oficina.server.contacts;

import org.jspecify.annotations.NullMarked;
