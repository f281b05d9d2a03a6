/**
 * What people and lines decide about their calls. Begin with {@link
 * oficina.server.rules.RuleController}; what comes of it is tried by {@link
 * oficina.server.rules.TryController}. People change their own rules, administrators those of lines
 * and of anybody.
 */
@NullMarked
package oficina.server.rules;

import org.jspecify.annotations.NullMarked;
