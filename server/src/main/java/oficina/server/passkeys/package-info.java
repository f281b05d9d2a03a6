/**
 * Signing in with a key that a device keeps and gives to nobody (WebAuthn), instead of a password
 * and a code. Begin with {@link oficina.server.passkeys.Passkeys}: what is asked of a device lives
 * there for minutes and counts once; what a device answers is checked by webauthn4j.
 */
@NullMarked
package oficina.server.passkeys;

import org.jspecify.annotations.NullMarked;
