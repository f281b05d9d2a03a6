/**
 * Secrets that the office has to show to others, or to compare with what others show, and cannot
 * keep as hashes. Begin with {@link oficina.server.secrets.Sealer}. The database has them sealed;
 * the key is in a file beside it, and in no database.
 */
@NullMarked
package oficina.server.secrets;

import org.jspecify.annotations.NullMarked;
