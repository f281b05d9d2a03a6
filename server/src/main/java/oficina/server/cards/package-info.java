/**
 * What people do with contacts: look them up, write and change their cards, say whom of several
 * they had, and keep their own groups. Begin with {@link oficina.server.cards.ContactController}.
 * What is another person's own is answered as if it did not exist.
 */
@NullMarked
package oficina.server.cards;

import org.jspecify.annotations.NullMarked;
