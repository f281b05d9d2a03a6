/**
 * Voices of the office that answer calls: mailboxes, the one that reads messages out, those that
 * welcome. {@link oficina.server.machines.Machines} has a session for each as long as it is in a
 * call; a {@link oficina.server.machines.MachineKind} for each kind says what it does there. All on
 * the exchange's thread, which waits for nothing.
 */
@NullMarked
package oficina.server.machines;

import org.jspecify.annotations.NullMarked;
