/**
 * A new password by a link. Begin with {@link oficina.server.passwordlinks.LinkController}: an
 * administrator makes one, whoever follows it chooses, and nobody is signed in by it.
 */
@NullMarked
package oficina.server.passwordlinks;

import org.jspecify.annotations.NullMarked;
