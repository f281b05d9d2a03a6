/**
 * Speech made by this machine. Begin with {@link oficina.server.speech.Speaker}, the port: a better
 * voice can take the place of the one that ships. Nobody waits for speech; until it is there, and
 * where there is none, people hear a tone or nothing.
 */
@NullMarked
package oficina.server.speech;

import org.jspecify.annotations.NullMarked;
