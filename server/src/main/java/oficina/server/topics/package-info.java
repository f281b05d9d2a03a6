/**
 * What people are told of when it changes. Begin with {@link oficina.server.topics.Topics}: whoever
 * changes something says so there, and needs not know who shows it.
 */
@NullMarked
package oficina.server.topics;

import org.jspecify.annotations.NullMarked;
