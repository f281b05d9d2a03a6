/**
 * What members of a line see of its callers beside what is known of everybody: fields of the
 * contact, and what an address of the office's own answers. Begin with {@link
 * oficina.server.callerfields.CallerFieldsController}. No call waits for any of it.
 */
@NullMarked
package oficina.server.callerfields;

import org.jspecify.annotations.NullMarked;
