/**
 * What is written down of who changed what in the office, so that nobody can change it unseen
 * afterwards. Begin with {@link oficina.core.ledger.Entry}; what is found to have changed is in
 * {@link oficina.core.ledger.Differences}.
 */
@NullMarked
package oficina.core.ledger;

import org.jspecify.annotations.NullMarked;
