/**
 * How calls and people look to one person. Begin with {@link oficina.server.desk.DeskViews}. Drawn
 * up on the exchange&#39;s thread; what goes wrong with one desk touches no other.
 */
@NullMarked
package oficina.server.desk;

import org.jspecify.annotations.NullMarked;
