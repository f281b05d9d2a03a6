/**
 * What follows from what, whichever service was asked for: a decision in the making ({@link
 * oficina.core.draft.Draft}), who can be reached, where a call goes on that nobody takes ({@link
 * oficina.core.draft.Onward}), and how parties answer and leave. Begin with {@link
 * oficina.core.draft.Consequences}, which puts them together. Nothing here refuses a service.
 */
@NullMarked
package oficina.core.draft;

import org.jspecify.annotations.NullMarked;
