/**
 * Whom somebody means while they type: colleagues and contacts in one list. Begin at {@link
 * oficina.core.finding.Finder}. For the same letters colleagues come before contacts, then whoever
 * one speaks with most and latest ({@link oficina.core.finding.Familiarity}), then the rest; the
 * same wherever somebody is chosen.
 */
@NullMarked
package oficina.core.finding;

import org.jspecify.annotations.NullMarked;
