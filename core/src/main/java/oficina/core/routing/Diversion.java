package oficina.core.routing;

import oficina.core.call.Party;
import oficina.core.rules.Situation;
import org.jspecify.annotations.Nullable;

/**
 * A call went on from somebody to somebody else by a decision made beforehand (RFC 7044).
 *
 * @param rule that said so; null when no rule did, but how calls ring one after the other, or the
 *     office
 */
public record Diversion(Party from, Party to, Situation why, @Nullable Long rule) {}
