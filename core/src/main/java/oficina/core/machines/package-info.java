/**
 * What voices of the office do in a call, and what is recorded of it: mailboxes, attendants that
 * read messages out, welcomes of lines, tapes. They report how far they are; timers lead on without
 * them. What begins with {@code may} says only whether a service would be refused.
 */
@NullMarked
package oficina.core.machines;

import org.jspecify.annotations.NullMarked;
