/**
 * What people sign in with besides their password: codes of a program on their telephone (RFC
 * 6238), and codes on paper for when that is lost. Begin with {@link
 * oficina.server.secondfactor.SecondFactors}; who has to have one says the office.
 */
@NullMarked
package oficina.server.secondfactor;

import org.jspecify.annotations.NullMarked;
