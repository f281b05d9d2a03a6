/**
 * Files of the registers that an office keeps: read, compared with what there is, and written.
 * Nothing of a file is taken over that is not right by itself, and nothing is changed here. Begin
 * with {@link oficina.core.register.PeopleCheck}.
 */
@NullMarked
package oficina.core.register;

import org.jspecify.annotations.NullMarked;
