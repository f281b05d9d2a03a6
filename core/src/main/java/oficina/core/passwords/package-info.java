/**
 * Which passwords may be chosen. Begin with {@link oficina.core.passwords.PasswordRules}. A
 * password is judged by how soon it would be guessed, never by the kinds of characters in it.
 */
@NullMarked
package oficina.core.passwords;

import org.jspecify.annotations.NullMarked;
