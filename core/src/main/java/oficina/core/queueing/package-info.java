/**
 * Lines that keep callers until somebody is free: what they have decided ({@link
 * oficina.core.queueing.Queue}), and what the theory of waiting lines says about them ({@link
 * oficina.core.queueing.Erlang}). How calls wait and are handed out is {@link
 * oficina.core.machines.Queues}.
 */
@NullMarked
package oficina.core.queueing;

import org.jspecify.annotations.NullMarked;
