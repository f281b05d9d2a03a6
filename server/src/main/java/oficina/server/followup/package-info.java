/**
 * What becomes of a call afterwards: notes, outcomes, what is still to be done, and what is known
 * of whoever calls again. Begin with {@link oficina.server.followup.NoteController}. Notes and
 * follow-ups are the office's; a colleague's calls with somebody who is a contact of theirs alone
 * are nobody else's business.
 */
@NullMarked
package oficina.server.followup;

import org.jspecify.annotations.NullMarked;
