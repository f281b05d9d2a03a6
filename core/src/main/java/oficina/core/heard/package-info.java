/**
 * Who hears whom, and what is recorded, derived from the state of a call alone. Begin with {@link
 * oficina.core.heard.Listening}.
 */
@NullMarked
package oficina.core.heard;

import org.jspecify.annotations.NullMarked;
