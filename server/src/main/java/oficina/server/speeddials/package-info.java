/**
 * Keys for whom one calls often. Begin with {@link oficina.server.speeddials.SpeedDialController}.
 * A key says whom it is for and not how they are called: it follows people, contacts and groups as
 * they change.
 */
@NullMarked
package oficina.server.speeddials;

import org.jspecify.annotations.NullMarked;
