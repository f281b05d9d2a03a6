/**
 * Telling open pages what changes. Begin with {@link oficina.server.push.Pushes}. A page is told
 * only what concerns its person; a slow page delays nobody; one that fails connects anew and gets
 * the whole picture.
 */
@NullMarked
package oficina.server.push;

import org.jspecify.annotations.NullMarked;
