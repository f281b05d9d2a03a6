/**
 * Who gets in. Begin with {@link oficina.server.signin.SecurityConfig}. Whoever has left is out at
 * once.
 */
@NullMarked
package oficina.server.signin;

import org.jspecify.annotations.NullMarked;
