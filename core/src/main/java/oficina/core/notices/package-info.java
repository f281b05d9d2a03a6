/**
 * What people are told once, because it happened to a caller of theirs without their doing. Begin
 * with {@link oficina.core.notices.Notices}. Derived from events and the state before them.
 */
@NullMarked
package oficina.core.notices;

import org.jspecify.annotations.NullMarked;
