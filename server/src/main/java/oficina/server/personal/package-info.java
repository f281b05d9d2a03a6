/**
 * Everything that is known of one person: in one file, or erased. Begin with {@link
 * oficina.server.personal.PersonalDataController}. Where it stands is declared in one place for
 * numbers outside ({@link oficina.server.personal.OutsiderStore}) and one for employees who have
 * left ({@link oficina.server.personal.FormerStore}); a test looks through every table whether
 * anything was forgotten there.
 */
@NullMarked
package oficina.server.personal;

import org.jspecify.annotations.NullMarked;
