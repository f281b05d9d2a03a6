/**
 * Listening to messages by telephone. Begin with {@link oficina.core.voicemail.Menu}: a pure state
 * machine from keys to what is said and done.
 */
@NullMarked
package oficina.core.voicemail;

import org.jspecify.annotations.NullMarked;
