/**
 * Who somebody is: employees and their passwords. Begin with {@link
 * oficina.server.passwords.Passwords}: it checks one for so long and so often that guessing leads
 * nowhere, and nobody who knows theirs is kept out by those who do not.
 */
@NullMarked
package oficina.server.passwords;

import org.jspecify.annotations.NullMarked;
