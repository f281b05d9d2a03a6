package oficina.server.machines;

import oficina.core.events.ExchangeEvent;
import oficina.core.state.Call;
import oficina.server.sound.SoundEnd;

/** What one voice does in one call. */
public interface MachineSession {

  /** What it says and hears. */
  SoundEnd end();

  /** Something has happened in its call. */
  default void happened(ExchangeEvent event, Call after) {}

  /** Keys were pressed there. They may be a secret number. */
  default void pressed(String keys) {}

  /** It is in the call no more. */
  default void left() {}
}
