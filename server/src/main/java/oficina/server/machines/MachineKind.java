package oficina.server.machines;

import oficina.core.call.Party;

/** A kind of voice, which says what one of them does in a call. */
public interface MachineKind {

  Class<? extends Party.Machine> is();

  /** One of them is in a call from now on. */
  MachineSession join(Joined where);

  /** All that were in calls when the server stopped have joined them again. */
  default void takenUp() {}
}
