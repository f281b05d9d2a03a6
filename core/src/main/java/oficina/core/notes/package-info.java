/**
 * What employees write about their calls. {@link oficina.core.notes.NoteText} says what becomes of
 * a note that was written in two windows at once: both texts are kept.
 */
@NullMarked
package oficina.core.notes;

import org.jspecify.annotations.NullMarked;
