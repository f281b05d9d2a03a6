/**
 * Values of core as JSON, as they are stored. {@link oficina.server.json.CoreJson} holds the names.
 */
@NullMarked
package oficina.server.json;

import org.jspecify.annotations.NullMarked;
