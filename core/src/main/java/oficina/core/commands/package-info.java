/**
 * What the exchange can be asked to do: begin with {@link oficina.core.commands.Command}. A family
 * of them in each file. Whether it is done is decided in {@code oficina.core.exchange}.
 */
@NullMarked
package oficina.core.commands;

import org.jspecify.annotations.NullMarked;
